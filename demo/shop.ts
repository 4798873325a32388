import type { Person, StockItem } from '../contract/index.ts';
import type { Wrench } from '../core/torque/index.ts';
import { CASES } from './cases/index.ts';
import { families } from './families.ts';
import type { Calendar, Tool } from '../core/prepare/index.ts';
import { PROCEDURES } from './procedures/index.ts';

const people: Person[] = [
  { id: 'isla', name: 'Isla Renn', role: 'lead', bay: 'bay 1' },
  { id: 'marit', name: 'Marit Sorle', role: 'owner', bay: 'office' },
  { id: 'tomas', name: 'Tomas Virk', role: 'technician', bay: 'bay 2' },
  { id: 'wen', name: 'Wen Okafor', role: 'apprentice', bay: 'bay 3' },
];

const wrenches: Wrench[] = [
  {
    id: 'small-click',
    name: 'Small click',
    scale: { unit: 'in·lb', low: 18, high: 177, step: 1 },
    deviationPercent: 4,
    calibratedOn: '2026-02-11',
  },
  {
    id: 'driver',
    name: 'Preset screwdriver',
    scale: { unit: 'N·m', low: 1, high: 6, step: 0.1 },
    deviationPercent: null,
    calibratedOn: '2026-01-20',
  },
  {
    id: 'middle-click',
    name: 'Middle click',
    scale: { unit: 'N·m', low: 10, high: 50, step: 0.5 },
    deviationPercent: null,
    calibratedOn: '2025-11-03',
  },
  {
    id: 'wheel',
    name: 'Wheel wrench',
    scale: { unit: 'N·m', low: 40, high: 200, step: 5 },
    deviationPercent: null,
    calibratedOn: null,
  },
];

const stock: Omit<StockItem, 'left'>[] = [
  {
    id: 's-1107',
    name: 'Body gasket, cable body',
    partNumber: 'NP-25-1107',
    kind: 'gasket',
    place: 'drawer G2',
    counted: 3,
    priceMinor: 640,
  },
  {
    id: 's-1131',
    name: 'Valve O-ring',
    partNumber: 'NP-25-1131',
    kind: 'seal',
    place: 'drawer G2',
    counted: 5,
    priceMinor: 180,
  },
  {
    id: 's-1140',
    name: 'Idle screw O-ring',
    partNumber: 'NP-25-1140',
    kind: 'seal',
    place: 'drawer G3',
    counted: 4,
    priceMinor: 120,
  },
  {
    id: 's-0210',
    name: 'Body seal ring, 1.4',
    partNumber: 'CW-14-0210',
    kind: 'seal',
    place: 'drawer G4',
    counted: 6,
    priceMinor: 410,
  },
  {
    id: 's-clean',
    name: 'Throttle cleaner, sensor-safe, 500 mL',
    partNumber: 'TQ-CL-500',
    kind: 'cleaner',
    place: 'vented cupboard',
    counted: 7,
    priceMinor: 890,
  },
  {
    id: 's-iso',
    name: 'Isopropyl alcohol, 1 L',
    partNumber: 'TQ-IP-1000',
    kind: 'cleaner',
    place: 'vented cupboard',
    counted: 2,
    priceMinor: 1150,
  },
  {
    id: 's-cool',
    name: 'Coolant concentrate, 1 L',
    partNumber: 'TQ-CO-1',
    kind: 'coolant',
    place: 'shelf W1',
    counted: 9,
    priceMinor: 1320,
  },
  {
    id: 's-screw',
    name: 'Valve screw M5×14',
    partNumber: 'NP-05-0514',
    kind: 'screw',
    place: 'drawer S1',
    counted: 24,
    priceMinor: 45,
  },
  {
    id: 's-0330',
    name: 'Body gasket, V8',
    partNumber: 'VR-48-0330',
    kind: 'gasket',
    place: 'drawer G6',
    counted: 2,
    priceMinor: 2140,
  },
  {
    id: 's-0341',
    name: 'Idle actuator O-ring',
    partNumber: 'VR-48-0341',
    kind: 'seal',
    place: 'drawer G6',
    counted: 4,
    priceMinor: 310,
  },
  {
    id: 's-0350',
    name: 'Injector O-ring, V8',
    partNumber: 'VR-48-0350',
    kind: 'seal',
    place: 'drawer G6',
    counted: 9,
    priceMinor: 140,
  },
  {
    id: 's-0302',
    name: 'Plenum seal, V8',
    partNumber: 'VR-48-0302',
    kind: 'seal',
    place: 'drawer G6',
    counted: 0,
    priceMinor: 5890,
  },
  {
    id: 's-0714',
    name: 'Flap gasket',
    partNumber: 'VF-30-0714',
    kind: 'gasket',
    place: 'drawer G5',
    counted: 1,
    priceMinor: 720,
  },
  {
    id: 's-0731',
    name: 'Recirculation gasket, steel',
    partNumber: 'VF-30-0731',
    kind: 'gasket',
    place: 'drawer G5',
    counted: 0,
    priceMinor: 980,
  },
  {
    id: 's-112',
    name: 'Injector O-ring, 900',
    partNumber: 'SU-90-112',
    kind: 'seal',
    place: 'drawer G7',
    counted: 3,
    priceMinor: 160,
  },
  {
    id: 's-121',
    name: 'Stepper O-ring',
    partNumber: 'TM-45-121',
    kind: 'seal',
    place: 'drawer G8',
    counted: 2,
    priceMinor: 240,
  },
];

const tool = (id: string, name: string, place: string, range = '', calibratedOn: string | null = null): Tool => ({
  id,
  name,
  place,
  range,
  calibratedOn,
  calibrationMonths: calibratedOn === null ? null : 12,
});

const tools: Tool[] = [
  tool('t-low', 'Low-range torque wrench', 'board 2', '2 to 20 N·m', '2026-02-11'),
  tool('t-middle', 'Middle torque wrench', 'board 2', '10 to 50 N·m', '2025-11-03'),
  tool('t-driver', 'Preset screwdriver', 'drawer T1', '1 to 6 N·m', '2026-01-20'),
  tool('t-bits', 'Cross-point bits, Japanese pattern', 'drawer T1'),
  tool('t-ext', 'Extension, 400 mm', 'board 1'),
  tool('t-fuel', 'Fuel release tools, set', 'drawer T4', '5/16 and 3/8'),
  tool('t-ball', 'Hex keys, ball end', 'drawer T2', '2 to 10 mm'),
  tool('t-scrape', 'Scraper and wire brush', 'drawer T5', 'bare metal only'),
];

const day = { from: 8 * 60, to: 17 * 60 };
/** Weekdays, and Saturday until one; the ferry brings parts on weekdays. */
const calendar: Calendar = { hours: [day, day, day, day, day, { from: 9 * 60, to: 13 * 60 }, null], closed: [] };

/** Tern Quay Garage: its people, tools, stock, procedures, engine families, house rules and written cases. */
export const shop = {
  people,
  settings: {
    'shop-name': 'Tern Quay Garage',
    currency: 'cr',
    'rate-per-hour-minor': '5800',
    'first-job-number': '228',
    'day-price-minor': '4500',
    'comeback-minor': '9000',
  },
  wrenches,
  stock,
  procedures: PROCEDURES,
  tools,
  calendar,
  families,
  rules: {
    where: 'off',
    substance: 'throttle-cleaner',
    tool: 'soft',
    gasket: 'renew',
    battery: 'electronics',
    'caught-coolant': 'return',
    plate: 'never',
    relearn: 'tool',
    tightening: 'figure',
    'stop-screw': 'never',
    'idle-screw': 'new',
  },
  cases: CASES,
};
