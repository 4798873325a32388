import type { VehicleInput } from '../contract/index.ts';
import { vinCheckDigit } from '../core/vehicle/index.ts';
import { DEMO_SOURCE } from './procedures/parts.ts';

/** A made-up number with the check digit worked out; the ninth place is written as a dot. */
const vin = (pattern: string): string => pattern.replace('.', vinCheckDigit(pattern.replace('.', '0')) ?? '0');

const band = (low: number, high: number) => ({ low, high, source: DEMO_SOURCE });
const cable = { idleRpm: band(780, 880), valveDuty: band(28, 40), closedVolts: band(0.45, 0.55) };

/** Five vehicles of the island, by id. */
export const vehicles: Readonly<Record<string, VehicleInput>> = {
  bus: {
    plate: 'TQ 417',
    vin: vin('XNP25KA4.WT004170'),
    make: 'Norrland',
    model: 'Parcel',
    nickname: 'library bus',
    year: 1998,
    engine: '2.5 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    owner: 'Island library',
    meterUnit: 'km',
    figures: cable,
    notes: 'Stands a lot. Short trips.',
    units: [
      { id: 'bus-tb', kind: 'throttle-body', place: 'only', partNumber: 'NP-25-1100', variant: 'C' },
      { id: 'bus-iv', kind: 'idle-valve', place: 'under the body', partNumber: 'NP-25-1120', variant: '2' },
    ],
  },
  van3: {
    plate: 'CW 118',
    vin: vin('XCW14EB2.LT001180'),
    make: 'Calder',
    model: 'Wick',
    nickname: 'post van 3',
    year: 2016,
    engine: '1.4 L four',
    throttle: 'electronic',
    idleValve: 'none',
    owner: 'Island post',
    meterUnit: 'km',
    notes: '',
    figures: { idleRpm: band(680, 760), valveDuty: null, closedVolts: band(0.6, 0.9) },
    units: [{ id: 'van3-tb', kind: 'throttle-body', place: 'only', partNumber: 'CW-14-0200', variant: 'E4' }],
  },
  van1: {
    plate: 'CW 106',
    vin: vin('XCW14EB2.LT001060'),
    make: 'Calder',
    model: 'Wick',
    nickname: 'post van 1',
    year: 2015,
    engine: '1.4 L four',
    throttle: 'electronic',
    idleValve: 'none',
    owner: 'Island post',
    meterUnit: 'km',
    notes: '',
    figures: { idleRpm: band(680, 760), valveDuty: null, closedVolts: band(0.6, 0.9) },
    units: [{ id: 'van1-tb', kind: 'throttle-body', place: 'only', partNumber: 'CW-14-0200', variant: 'E4' }],
  },
  farm: {
    plate: 'OT 551',
    vin: vin('XTT20UC1.VF005510'),
    make: 'Ostrea',
    model: 'Till',
    nickname: 'farm utility',
    year: 2001,
    engine: '2.0 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    owner: 'Sandwick farm',
    meterUnit: 'km',
    figures: { ...cable, idleRpm: band(800, 900) },
    notes: 'Dust. Dashpot fitted.',
    units: [{ id: 'farm-tb', kind: 'throttle-body', place: 'only', partNumber: 'OT-20-0410', variant: 'B' }],
  },
  launch: {
    plate: 'LN 007',
    vin: '',
    make: 'Terrow Marine',
    model: '45',
    nickname: 'harbour launch',
    year: 2011,
    engine: '45 hp outboard',
    throttle: 'cable',
    idleValve: 'stepper',
    owner: 'Harbour office',
    meterUnit: 'h',
    notes: 'Plastic body: heat warps it.',
    figures: { idleRpm: band(700, 800), valveDuty: null, closedVolts: band(0.5, 0.7) },
    units: [{ id: 'launch-tb', kind: 'throttle-body', place: 'only', partNumber: 'TM-45-118', variant: 'P' }],
  },
};
