import { ENGINE_KINDS, type EngineFaults, type EngineSpec } from '../../core/engine/index.ts';

/** What a simulated vehicle is and what is wrong with it. Its values come from an engine that behaves. */
export interface VehicleScript {
  readonly id: string;
  readonly name: string;
  /** Id of the demo vehicle it stands for. */
  readonly vehicleId: string;
  readonly vin: string;
  readonly engine: EngineSpec;
  /** What is wrong with it until something is done about it. */
  readonly wrong: Partial<EngineFaults>;
  /** Codes that were stored before anybody came. */
  readonly stored: readonly string[];
  readonly pending: readonly string[];
  /** What the engine does sets no further code: it is too old to watch itself, or has stored all that it could. */
  readonly blind?: true;
  /** Freeze frame of the first stored code: PID → value. */
  readonly frame: Readonly<Record<number, number>>;
  readonly faults: {
    /** Waits so long before every answer, ms. */
    readonly slowMs?: number;
    /** PIDs that are never answered. */
    readonly silent?: readonly number[];
    /** PIDs that are answered with rubbish the first time. */
    readonly garbled?: readonly number[];
    /** PIDs that are answered with an empty line. */
    readonly empty?: readonly number[];
    /** Refuses to clear codes while the engine runs. */
    readonly keepsCodes?: boolean;
    /** Requests after which the connection goes. */
    readonly goneAfter?: number;
  };
}

/** The demo vehicles that can be plugged into, each with its fault. */
export const SCRIPTS: readonly VehicleScript[] = [
  {
    id: 'van3',
    name: 'post van 3, CW 118',
    vehicleId: 'van3',
    vin: 'XCW14EB2.LT001180',
    engine: ENGINE_KINDS.electronic,
    // A plate that is coked, and a computer that has learned as far as it may.
    wrong: { depositMm2: 3.2, mostIdleMm2: 6 },
    stored: ['P2119'],
    pending: ['P0171'],
    frame: { 0x04: 31.4, 0x05: 84, 0x0c: 590, 0x0d: 0, 0x11: 12.9 },
    faults: {},
  },
  {
    id: 'van2',
    name: 'post van 2, CW 112',
    vehicleId: 'van2',
    vin: 'XCW14EB2.LT001120',
    engine: ENGINE_KINDS.electronic,
    // The plate does not close.
    wrong: { heldOpenDeg: 7 },
    blind: true,
    stored: ['P2111', 'P0507', 'P2101', 'P0121'],
    pending: [],
    frame: { 0x04: 22, 0x05: 71, 0x0c: 1910, 0x0d: 0, 0x11: 21.2 },
    faults: { slowMs: 40, garbled: [0x10] },
  },
  {
    id: 'bus',
    name: 'library bus, TQ 417',
    vehicleId: 'bus',
    vin: 'XNP25KA4.WT004170',
    engine: ENGINE_KINDS.valve,
    // A closed gap that is coked, and a valve that sticks in its own dirt: it hunts.
    wrong: { depositMm2: 3.1, valveStickPercent: 18 },
    stored: ['P0505'],
    pending: [],
    frame: { 0x04: 27, 0x05: 82, 0x0c: 610, 0x0d: 0, 0x11: 11.8 },
    faults: {},
  },
  {
    id: 'farm',
    name: 'farm utility, OT 551',
    vehicleId: 'farm',
    vin: 'XTT20UC1.VF005510',
    engine: { ...ENGINE_KINDS.valve, displacementL: 2, boreMm: 50, idleRpm: 850, gapMm2: 4, meter: 'air-mass' },
    // A dead valve, and a leak behind the meter.
    wrong: { leakMm2: 3.2, deadCoil: true },
    stored: [],
    pending: [],
    blind: true,
    frame: {},
    faults: { silent: [0x0f], empty: [0x42], keepsCodes: true },
  },
  {
    id: 'launch',
    name: 'harbour launch, LN 007',
    vehicleId: 'launch',
    vin: 'XLN15EB4.ET000070',
    engine: ENGINE_KINDS.outboard,
    // Salt and soot in the port of the stepper.
    wrong: { depositMm2: 2.5, valveStickPercent: 14 },
    stored: [],
    pending: [],
    frame: {},
    faults: {},
  },
  {
    id: 'saloon',
    name: 'hotel saloon, HR 480',
    vehicleId: 'saloon',
    vin: 'XVR48TB8.GT004800',
    engine: { ...ENGINE_KINDS.banks, displacementL: 4.8 },
    // A boot that leaks behind the meter, on the right bank.
    wrong: { leakMm2: 4, leakBank: 2 },
    stored: ['P0174'],
    pending: [],
    frame: { 0x04: 19, 0x05: 86, 0x0c: 705, 0x0d: 0, 0x11: 15.3 },
    faults: {},
  },
  {
    id: 'minibus',
    name: 'school minibus, SB 030',
    vehicleId: 'minibus',
    vin: 'XVF30DF6.KT000300',
    engine: { ...ENGINE_KINDS.diesel, displacementL: 3, cylinders: 6 },
    // Its flap does not set the load; the computer sees that it does not answer.
    wrong: { plateStickDeg: 6 },
    stored: ['P2100'],
    pending: [],
    frame: { 0x04: 14, 0x05: 79, 0x0c: 790, 0x0d: 0 },
    faults: {},
  },
  {
    id: 'four',
    name: 'courier’s four, SU 904',
    vehicleId: 'four',
    vin: 'XSU06FB4.ET009040',
    engine: { ...ENGINE_KINDS.bodies, displacementL: 0.9 },
    wrong: { depositMm2: 2 },
    stored: [],
    pending: [],
    frame: {},
    faults: {},
  },
  {
    id: 'gone',
    name: 'an adapter with a loose plug',
    vehicleId: '',
    vin: 'XCW14EB2.LT001060',
    engine: ENGINE_KINDS.electronic,
    wrong: {},
    stored: ['P0122'],
    pending: [],
    frame: {},
    faults: { goneAfter: 3 },
  },
];
