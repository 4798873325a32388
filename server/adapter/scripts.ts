/** What a simulated vehicle has and does. Values are physical; the simulator encodes them. */
export interface VehicleScript {
  readonly id: string;
  readonly name: string;
  /** Id of the demo vehicle it stands for. */
  readonly vehicleId: string;
  readonly vin: string;
  readonly stored: readonly string[];
  readonly pending: readonly string[];
  /** Freeze frame of the first stored code: PID → value. */
  readonly frame: Readonly<Record<number, number>>;
  /** PID → value, with a swing of so much every so many seconds. */
  readonly values: Readonly<
    Record<number, number | { readonly mean: number; readonly swing: number; readonly seconds: number }>
  >;
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

const warm = { 0x05: 88, 0x0d: 0, 0x0f: 24, 0x42: 14.1 } as const;

/** The demo vehicles that can be plugged into, each with its fault. */
export const SCRIPTS: readonly VehicleScript[] = [
  {
    id: 'van3',
    name: 'post van 3, CW 118',
    vehicleId: 'van3',
    vin: 'XCW14EB2.LT001180',
    stored: ['P2119'],
    pending: ['P0171'],
    frame: { 0x04: 31.4, 0x05: 84, 0x0c: 590, 0x0d: 0, 0x11: 12.9 },
    values: {
      ...warm,
      0x04: 29,
      0x06: 4.7,
      0x07: 3.1,
      0x0b: 36,
      0x0c: { mean: 622, swing: 18, seconds: 3 },
      0x10: 2.1,
      0x11: 12.2,
      0x1f: 640,
      0x45: 1.6,
      0x47: 12.5,
      0x49: 15.7,
      0x4a: 7.8,
      0x4c: 3.5,
    },
    faults: {},
  },
  {
    id: 'van2',
    name: 'post van 2, CW 112',
    vehicleId: 'van2',
    vin: 'XCW14EB2.LT001120',
    stored: ['P2111', 'P0507', 'P2101', 'P0121'],
    pending: [],
    frame: { 0x04: 22, 0x05: 71, 0x0c: 1910, 0x0d: 0, 0x11: 21.2 },
    values: {
      ...warm,
      0x04: 24,
      0x06: 1.6,
      0x07: 0,
      0x0b: 48,
      0x0c: 1840,
      0x10: 4.9,
      0x11: 21.6,
      0x1f: 210,
      0x45: 11,
      0x47: 21.6,
      0x49: 15.7,
      0x4a: 7.8,
      0x4c: 4,
    },
    faults: { garbled: [0x10] },
  },
  {
    id: 'bus',
    name: 'library bus, TQ 417',
    vehicleId: 'bus',
    vin: 'XNP25KA4.WT004170',
    stored: ['P0505'],
    pending: [],
    frame: { 0x04: 27, 0x05: 82, 0x0c: 610, 0x0d: 0, 0x11: 11.8 },
    values: {
      ...warm,
      0x04: 30,
      0x06: 2.3,
      0x07: 1.6,
      0x0b: 38,
      0x0c: { mean: 760, swing: 160, seconds: 4 },
      0x11: 11.8,
      0x1f: 900,
    },
    faults: { slowMs: 40 },
  },
  {
    id: 'farm',
    name: 'farm utility, OT 551',
    vehicleId: 'farm',
    vin: 'XTT20UC1.VF005510',
    stored: [],
    pending: [],
    frame: {},
    values: { ...warm, 0x04: 26, 0x06: 14.1, 0x07: 9.4, 0x0b: 46, 0x0c: 930, 0x11: 12.5, 0x1f: 300 },
    faults: { silent: [0x0f], empty: [0x42], keepsCodes: true },
  },
  {
    id: 'gone',
    name: 'an adapter with a loose plug',
    vehicleId: '',
    vin: 'XCW14EB2.LT001060',
    stored: ['P0122'],
    pending: [],
    frame: {},
    values: { ...warm, 0x0c: 715 },
    faults: { goneAfter: 3 },
  },
];
