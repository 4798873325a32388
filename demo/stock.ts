import type { StockDetail, StockKind } from '../contract/index.ts';
import type { CrossReference } from '../core/stock/index.ts';

/** A row of the demo's stock, as a shop file has it. */
interface DemoStock {
  readonly id: string;
  readonly name: string;
  readonly partNumber: string;
  readonly kind: StockKind;
  readonly place: string;
  readonly counted: number;
  readonly priceMinor: number;
  readonly detail: StockDetail;
}

/** The safety sheet of the cleaner that the demo shop buys; made up, as the cleaner is. */
const THROTTLE_SHEET: StockDetail['safety'] = {
  molarMass: 64,
  evaporates: 0.95,
  flashPointC: -18,
  lelPercent: 2.2,
  limitPpm: 400,
  source: 'Demo data, made up: safety sheet TQ-CL-500, 2026',
};

const row = (
  id: string,
  kind: StockKind,
  name: string,
  partNumber: string,
  place: string,
  counted: number,
  priceMinor: number,
  detail: StockDetail = {},
): DemoStock => ({ id, name, partNumber, kind, place, counted, priceMinor, detail });

/** What lies in the drawers of Tern Quay Garage. */
export const stock: readonly DemoStock[] = [
  row('s-1107', 'gasket', 'Body gasket, cable body', 'NP-25-1107', 'drawer G2', 3, 640, {
    barcode: '4006381333931',
    leadDays: 6,
    supplier: 'Norrland parts, mainland',
  }),
  row('s-1131', 'seal', 'Valve O-ring', 'NP-25-1131', 'drawer G2', 5, 180, {
    leadDays: 6,
    supplier: 'Norrland parts, mainland',
    rubber: 'nbr',
  }),
  row('s-1140', 'seal', 'Idle screw O-ring', 'NP-25-1140', 'drawer G3', 4, 120, {
    leadDays: 6,
    supplier: 'Norrland parts, mainland',
    rubber: 'nbr',
  }),
  row('s-0210', 'seal', 'Body seal ring, 1.4', 'CW-14-0210', 'drawer G4', 6, 410, {
    leadDays: 3,
    supplier: 'Calder depot',
    rubber: 'fkm',
  }),
  row('s-clean', 'cleaner', 'Throttle cleaner, sensor-safe, 500 mL', 'TQ-CL-500', 'vented cupboard', 7, 890, {
    leadDays: 4,
    supplier: 'Quay factors',
    substance: 'throttle-cleaner',
    contentsG: 400,
    safety: THROTTLE_SHEET,
  }),
  row('s-iso', 'cleaner', 'Isopropyl alcohol, 1 L', 'TQ-IP-1000', 'vented cupboard', 2, 1150, {
    leadDays: 4,
    supplier: 'Quay factors',
    substance: 'isopropyl',
    contentsG: 785,
  }),
  row('s-cool', 'coolant', 'Coolant concentrate, 1 L', 'TQ-CO-1', 'shelf W1', 9, 1320, {
    leadDays: 4,
    supplier: 'Quay factors',
    contentsL: 1,
    concentration: 1,
    inhibitor: 'OAT',
  }),
  row('s-screw', 'screw', 'Valve screw M5×14', 'NP-05-0514', 'drawer S1', 24, 45, {
    leadDays: 6,
    supplier: 'Norrland parts, mainland',
  }),
  row('s-0330', 'gasket', 'Body gasket, V8', 'VR-48-0330', 'drawer G6', 2, 2140),
  row('s-0341', 'seal', 'Idle actuator O-ring', 'VR-48-0341', 'drawer G6', 4, 310, {
    leadDays: 9,
    supplier: 'Vantaro house',
    rubber: 'fkm',
  }),
  row('s-0350', 'seal', 'Injector O-ring, V8', 'VR-48-0350', 'drawer G6', 9, 140, {
    leadDays: 9,
    supplier: 'Vantaro house',
    rubber: 'fkm',
  }),
  row('s-0302', 'seal', 'Plenum seal, V8', 'VR-48-0302', 'drawer G6', 0, 5890, {
    leadDays: 9,
    supplier: 'Vantaro house',
    rubber: 'silicone-rubber',
  }),
  row('s-0714', 'gasket', 'Flap gasket', 'VF-30-0714', 'drawer G5', 1, 720),
  row('s-0731', 'gasket', 'Recirculation gasket, steel', 'VF-30-0731', 'drawer G5', 0, 980),
  row('s-112', 'seal', 'Injector O-ring, 900', 'SU-90-112', 'drawer G7', 3, 160, {
    leadDays: 5,
    supplier: 'Sule riders',
    rubber: 'epdm',
  }),
  row('s-121', 'seal', 'Stepper O-ring', 'TM-45-121', 'drawer G8', 2, 240, {
    leadDays: 4,
    supplier: 'Terrow Marine',
    rubber: 'nbr',
  }),
  row('s-carb', 'cleaner', 'Carburettor cleaner, 400 mL', 'TQ-CC-400', 'vented cupboard', 1, 760, {
    substance: 'carburettor-cleaner',
    contentsG: 330,
  }),
  row('s-oil', 'cleaner', 'Penetrating oil, 200 mL', 'TQ-PO-200', 'bench 2', 3, 640, {
    substance: 'penetrating-oil',
    contentsG: 170,
  }),
  row('s-silicone', 'cleaner', 'Silicone grease, 80 g', 'TQ-SG-80', 'bench 2', 2, 580, {
    substance: 'silicone-grease',
    contentsG: 80,
  }),
  row('s-mix', 'coolant', 'Ready-mix 50 %, 5 L', 'TQ-CM-5', 'shelf W1', 4, 3150, {
    contentsL: 5,
    concentration: 0.5,
    inhibitor: 'OAT',
    leadDays: 4,
    supplier: 'Quay factors',
  }),
  row('s-deion', 'coolant', 'Deionised water, 5 L', 'TQ-DW-5', 'shelf W1', 3, 420, { contentsL: 5, concentration: 0 }),
  row('s-tb118', 'part', 'Throttle body, 45 hp, new', 'TM-45-118', 'shelf P3', 1, 43_000, {
    leadDays: 12,
    supplier: 'Terrow Marine',
  }),
];

/** Which numbers may stand in for which. Made up. */
export const references: readonly CrossReference[] = [
  { a: 'NP-25-1107', b: 'TQ-1107', fit: 'fits', note: '', source: 'Demo data, made up' },
  { a: 'TQ-1107', b: 'OT-20-0417', fit: 'fits-but', note: '0.5 mm thicker: longer screws', source: null },
  { a: 'NP-25-1131', b: 'OT-20-0431', fit: 'fits', note: '', source: 'Demo data, made up' },
  { a: 'NP-25-1131', b: 'VR-48-0341', fit: 'no', note: '1 mm thinner, leaks', source: null },
  { a: 'TM-45-118', b: 'TM-45-116', fit: 'fits-but', note: 'older stop: sets idle codes until learned', source: null },
];
