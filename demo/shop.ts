import type { Person, StockItem } from '../contract/index.ts';
import type { Wrench } from '../core/torque/index.ts';
import { CASES } from './cases/index.ts';
import { families } from './families.ts';
import { cableProcedure } from './procedures/cable.ts';
import { electronicProcedure } from './procedures/electronic.ts';

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
];

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
  procedures: [cableProcedure, electronicProcedure],
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
