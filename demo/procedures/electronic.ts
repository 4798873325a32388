import type { Procedure } from '../../core/procedure/index.ts';
import { before, DEMO_SOURCE, group, item, loose } from './parts.ts';

/** Electronic body without an idle valve: off, wiped nearly dry, back. */
export const electronicProcedure: Procedure = {
  id: 'electronic-small',
  version: 2,
  name: 'Electronic body, off and wipe',
  family: '1.2 to 1.4 L fours, electronic body',
  source: DEMO_SOURCE,
  items: [
    item('battery', 'Battery negative', 'other', {
      tool: '10 mm spanner',
      note: 'Insulate the end.',
      cautions: ['battery'],
    }),
    item('airbox-lid', 'Air box lid', 'cover', { tool: 'T25', fasteners: loose(4, '5×16', 'plastic') }),
    item('maf-plug', 'Air-mass sensor plug', 'connector', { note: 'Slide the lock first.' }),
    item('duct', 'Air duct with resonator', 'duct', { tool: '6 mm nut driver' }),
    item('breather', 'Breather hose', 'hose', { note: 'Press both tabs.' }),
    item('purge', 'Purge hose', 'hose'),
    item('body-plug', 'Throttle body plug', 'connector', {
      note: 'Key off. Red lock slides sideways.',
      cautions: ['plate'],
    }),
    item('loom', 'Loom clip', 'clamp'),
    item('bolts', 'Body bolts, four', 'fasteners', {
      tool: '8 mm',
      note: 'All the same length.',
      cautions: ['alloy'],
      fasteners: group('M6×35', 'brass inserts in plastic', '7 Nm', [
        ['1', 0, 0, 'upper left'],
        ['2', 58, 58, 'lower right'],
        ['3', 58, 0, 'upper right'],
        ['4', 0, 58, 'lower left'],
      ]),
    }),
    item('body', 'Throttle body', 'unit', {
      unit: 'throttle-body',
      opens: ['inlet'],
      cautions: ['plate'],
      note: 'Never push the plate while it is plugged in.',
    }),
    item('seal', 'Body seal ring', 'gasket', { singleUse: true, partNumber: 'CW-14-0210' }),
  ],
  openings: [{ id: 'inlet', name: 'Manifold inlet', plugWith: 'Inlet cap' }],
  constraints: [
    before('seal', 'body', 'the ring sits in the manifold’s groove'),
    before('body', 'bolts', 'the bolts hold the body'),
    before('bolts', 'body-plug', 'the loom pulls a loose body crooked'),
    before('body-plug', 'duct', 'the duct closes the way to the lock'),
    before('loom', 'duct', 'the clip is behind the duct'),
    before('duct', 'maf-plug', 'the sensor is in the duct'),
  ],
  needs: [
    { id: 'n-seal', kind: 'part', name: 'Body seal ring', partNumber: 'CW-14-0210', note: '', caution: null },
    {
      id: 'n-cleaner',
      kind: 'consumable',
      name: 'Throttle cleaner, sensor-safe',
      partNumber: 'TQ-CL-500',
      note: 'on the cloth, not into the body',
      caution: 'vapour',
    },
    {
      id: 'n-wrench',
      kind: 'tool',
      name: 'Low-range torque wrench',
      partNumber: '',
      note: '2 to 20 N·m',
      caution: null,
    },
    {
      id: 'n-key',
      kind: 'do-first',
      name: 'Key off and out of the vehicle',
      partNumber: '',
      note: '',
      caution: 'plate',
    },
  ],
  coolant: null,
  relearn: ['timed-idle', 'drive'],
};
