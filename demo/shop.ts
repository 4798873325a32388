import type { Person } from '../contract/index.ts';
import type { Wrench } from '../core/torque/index.ts';
import { APART_CASES, casesFor, WORK_CASES } from './cases/index.ts';
import { SHIPPED_KNOWLEDGE } from '../core/diagnose/knowledge/index.ts';
import { families } from './families.ts';
import type { Calendar, Tool } from '../core/prepare/index.ts';
import { PROCEDURES } from './procedures/index.ts';
import { RECIPES } from './recipes.ts';
import { references, stock } from './stock.ts';

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
    kind: 'screwdriver',
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
    'time-zone': 'Europe/London',
    'rate-per-hour-minor': '5800',
    'first-job-number': '228',
    'day-price-minor': '4500',
    'comeback-minor': '9000',
    'bay-volume-m3': '240',
    bays: '3',
    pause: '{"from":720,"to":760}',
  },
  wrenches,
  stock,
  references,
  procedures: PROCEDURES,
  recipes: RECIPES,
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
  cases: [
    ...casesFor(SHIPPED_KNOWLEDGE, WORK_CASES).map((each) => ({ ...each, apart: false })),
    ...casesFor(SHIPPED_KNOWLEDGE, APART_CASES).map((each) => ({ ...each, apart: true })),
  ],
};
