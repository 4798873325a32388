import type { LineCase } from './lineCase.ts';

/** Sentences set apart before the reader was written; they are never looked at while it is changed. */
export const APART_LINES: readonly LineCase[] = [
  {
    text: 'airbox lid, 6 screws, T25',
    things: [{ name: 'Airbox lid', kind: 'cover', count: 6, tool: 'T25', joint: 'trim' }],
  },
  {
    text: 'two clamps on the intake trunking',
    things: [{ name: 'Clamps on the intake trunking', kind: 'clamp', count: 2 }],
  },
  { text: 'tps plug', things: [{ name: 'Tps plug', kind: 'connector' }] },
  { text: 'throttle cable, 12 mm', things: [{ name: 'Throttle cable', kind: 'cable', tool: '12 mm' }] },
  {
    text: '4x m8x30 manifold nuts 13mm in tray c1',
    things: [
      {
        name: 'Manifold nuts',
        kind: 'fasteners',
        count: 4,
        thread: 'M8×30',
        tool: '13 mm',
        place: 'C1',
        joint: 'flange',
      },
    ],
  },
  { text: 'heater hose off, bunged', things: [{ name: 'Heater hose', kind: 'coolant-hose', plug: 'Bung' }] },
  { text: 'I took off the engine cover', things: [{ name: 'Engine cover', kind: 'cover' }] },
  {
    text: 'idle valve; its gasket',
    things: [
      { name: 'Idle valve', kind: 'unit' },
      { name: 'Gasket', kind: 'gasket' },
    ],
  },
  {
    text: 'breather hose and vacuum pipe',
    things: [
      { name: 'Breather hose', kind: 'hose' },
      { name: 'Vacuum pipe', kind: 'hose' },
    ],
  },
  {
    text: 'three bolts of the throttle body, M6 by 40, hex 5',
    things: [
      {
        name: 'Bolts of the throttle body',
        kind: 'fasteners',
        count: 3,
        thread: 'M6×40',
        tool: '5 mm hex',
        joint: 'flange',
      },
    ],
  },
  { text: 'fuel return line, capped', things: [{ name: 'Fuel return line', kind: 'hose', plug: 'Cap' }] },
  {
    text: 'support bracket 2 bolts m8 13 mm',
    things: [{ name: 'Support bracket', kind: 'bracket', count: 2, thread: 'M8', tool: '13 mm', joint: 'bracket' }],
  },
  {
    text: 'map sensor, one screw T20, pocket A4',
    things: [{ name: 'Map sensor', kind: 'other', count: 1, tool: 'T20', place: 'A4', joint: 'sensor' }],
  },
  { text: 'throttle body itself', things: [{ name: 'Throttle body', kind: 'unit' }] },
  { text: 'Battery negative', things: [{ name: 'Battery negative', kind: 'cable' }] },
  {
    text: 'both coolant hoses, clamped off',
    things: [{ name: 'Coolant hoses', kind: 'coolant-hose', count: 2, plug: 'Clamp' }],
  },
  { text: 'loom clip left', things: [{ name: 'Loom clip left', kind: 'clamp' }] },
  {
    text: 'flange nuts four M6, 8 Nm, tray A1',
    things: [
      { name: 'Flange nuts', kind: 'fasteners', count: 4, thread: 'M6', torque: '8 Nm', place: 'A1', joint: 'flange' },
    ],
  },
  {
    text: 'the seat and the tank',
    things: [
      { name: 'Seat', kind: 'cover' },
      { name: 'Tank', kind: 'cover' },
    ],
  },
  {
    text: 'fairing screws, 8 pcs, bag 3',
    things: [{ name: 'Fairing screws', kind: 'fasteners', count: 8, place: 'bag 3', joint: 'trim' }],
  },
  {
    text: 'rubber boot clamp, cross-point',
    things: [{ name: 'Rubber boot clamp', kind: 'clamp', tool: 'cross-point' }],
  },
  {
    text: 'air mass meter with its two screws',
    things: [{ name: 'Air mass meter', kind: 'other', count: 2, joint: 'sensor' }],
  },
  {
    text: 'injector rail bolts 2 off M8x25, 20 Nm',
    things: [
      { name: 'Injector rail bolts', kind: 'fasteners', count: 2, thread: 'M8×25', torque: '20 Nm', joint: 'fuel' },
    ],
  },
  {
    text: 'thermostat housing bolts x3 M6x20 10mm',
    things: [
      {
        name: 'Thermostat housing bolts',
        kind: 'fasteners',
        count: 3,
        thread: 'M6×20',
        tool: '10 mm',
        joint: 'coolant',
      },
    ],
  },
  { text: 'duct off, on the bench', things: [{ name: 'Duct', kind: 'duct', place: 'bench' }] },
  { text: 'one o-ring', things: [{ name: 'O-ring', kind: 'gasket', count: 1 }] },
  { text: 'coil plugs, 4, hung up', things: [{ name: 'Coil plugs', kind: 'connector', count: 4 }] },
  {
    text: 'purge valve hose then purge valve plug',
    things: [
      { name: 'Purge valve hose', kind: 'hose' },
      { name: 'Purge valve plug', kind: 'connector' },
    ],
  },
  {
    text: 'stay M8x16 1 bolt',
    things: [{ name: 'Stay', kind: 'bracket', count: 1, thread: 'M8×16', joint: 'bracket' }],
  },
  {
    text: 'IACV two screws M5x14 PH2',
    things: [{ name: 'IACV', kind: 'unit', count: 2, thread: 'M5×14', tool: 'PH2', joint: 'flange' }],
  },
  { text: 'dashpot linkage', things: [{ name: 'Dashpot linkage', kind: 'cable' }] },
  {
    text: 'air filter housing (4 clips)',
    things: [{ name: 'Air filter housing', kind: 'cover', count: 4, joint: 'trim' }],
  },
  {
    text: 'coolant pipe at the throttle body, plugged with a rubber bung',
    things: [{ name: 'Coolant pipe at the throttle body', kind: 'coolant-hose', plug: 'Rubber bung' }],
  },
  {
    text: 'ground strap m6 10mm',
    things: [{ name: 'Ground strap', kind: 'cable', thread: 'M6', tool: '10 mm', joint: 'bracket' }],
  },
  { text: 'fuel rail', things: [{ name: 'Fuel rail', kind: 'hose' }] },
  { text: 'undertray, eight quarter-turns', things: [{ name: 'Undertray', kind: 'cover', count: 8, joint: 'trim' }] },
  {
    text: 'strut brace, 4 nuts 13 mm',
    things: [{ name: 'Strut brace', kind: 'bracket', count: 4, tool: '13 mm', joint: 'bracket' }],
  },
  { text: 'remove idle screw', things: [{ name: 'Idle screw', kind: 'fasteners', joint: 'flange' }] },
  { text: 'connector at the pedal, lock slid', things: [{ name: 'Connector at the pedal', kind: 'connector' }] },
  { text: 'pcv hose stuffed with a rag', things: [{ name: 'Pcv hose', kind: 'hose', plug: 'Rag' }] },
];
