import type { Sign } from '../types.ts';
import { checked, outcome } from './build.ts';

const PETROL = ['cable', 'electronic', 'multi-bank'] as const;
const bandOutcomes = (what: string) => [
  outcome(`low|Below the band|${what} below its band`),
  outcome(`high|Above the band|${what} above its band`),
  outcome(`in-band|In the band|${what} in its band`),
];

/** Values while it runs: by scan tool, the adapter, or a gauge. */
export const LIVE_CHECKS: readonly Sign[] = [
  checked('idle-speed', 'Warm idle speed', bandOutcomes('warm idle'), { low: 'sometimes', high: 'sometimes' }, {
    minutes: 3,
    key: 'engine running',
    steps: ['Engine warm, loads off, fan not running.', 'Wait for it to settle; read the middle of its swing.'],
    normal: 'in the family’s band',
    cautions: ['running'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'number', unit: 'rpm', low: 0, high: 8000, figure: 'idleRpm', band: [650, 900], outcomes: ['low', 'in-band', 'high'] },
  }),
  checked('valve-duty', 'Idle valve duty, warm', bandOutcomes('valve duty'), { low: 'seldom', high: 'seldom' }, {
    minutes: 3,
    key: 'engine running',
    tools: ['scan tool, or meter with duty'],
    steps: ['Engine warm, loads off.', 'Read the duty the computer asks for at idle.', 'High: too little air gets by. Low: too much.'],
    normal: 'in the family’s band',
    cautions: ['running'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'number', unit: '%', low: 0, high: 100, figure: 'valveDuty', band: [25, 45], outcomes: ['low', 'in-band', 'high'] },
  }, { needsValve: true }),
  checked('learned-angle', 'Learned closed angle', bandOutcomes('learned angle'), { low: 'seldom', high: 'seldom' }, {
    minutes: 4,
    key: 'key on, engine off',
    tools: ['scan tool'],
    steps: ['Read the learned closed angle, or the throttle at warm idle.', 'High: the plate must open more for the same air.'],
    normal: 'in the family’s band',
    entry: { kind: 'number', unit: '°', low: -10, high: 90, figure: 'learnedAngle', band: [1.5, 5], outcomes: ['low', 'in-band', 'high'] },
  }, { groups: ['electronic', 'multi-bank'] }),
  checked('air-mass', 'Air-mass reading, warm idle', bandOutcomes('air mass'), { low: 'seldom', high: 'seldom' }, {
    minutes: 3,
    key: 'engine running',
    tools: ['scan tool'],
    steps: ['Engine warm, loads off, idle settled.', 'Read the air mass; a litre of engine takes about 1.5 g/s.'],
    normal: 'in the family’s band',
    cautions: ['running'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'number', unit: 'g/s', low: 0, high: 655, figure: 'idleAir', band: [1.5, 4], outcomes: ['low', 'in-band', 'high'] },
  }, { groups: ['electronic', 'multi-bank', 'diesel-flap'] }),
  checked('manifold', 'Manifold pressure, warm idle', bandOutcomes('manifold pressure'), { low: 'never', high: 'seldom' }, {
    minutes: 4,
    key: 'engine running',
    tools: ['scan tool or vacuum gauge'],
    steps: ['Engine warm, loads off.', 'Read at idle; steady or swinging?'],
    normal: '28 to 42 kPa, steady',
    cautions: ['running'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'number', unit: 'kPa', low: 0, high: 255, figure: 'idleManifold', band: [28, 42], outcomes: ['low', 'in-band', 'high'] },
  }, { groups: ['cable', 'electronic', 'multi-bank', 'motorcycle', 'outboard'] }),
  checked('trims', 'Fuel trim at idle and at 2500', [
    outcome('lean-idle|Lean at idle only|lean at idle only'),
    outcome('lean-all|Lean all over|lean at idle and at speed'),
    outcome('rich|Rich|fuel trim rich'),
    outcome('normal|Within ±8 %|fuel trims normal'),
  ], { 'lean-idle': 'never', 'lean-all': 'never', rich: 'never' }, {
    minutes: 6,
    key: 'engine running',
    tools: ['scan tool'],
    steps: ['Engine warm and in closed loop.', 'Add short and long trim at idle; write it down.', 'Hold 2500 rpm half a minute; add them again.'],
    normal: 'both within ±8 %',
    cautions: ['running'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'pair', names: ['At idle', 'At 2500 rpm'], unit: '%', low: -100, high: 99.3, rule: { kind: 'idle-and-speed', limit: 8 }, outcomes: { 'lean-idle': 'lean-idle', 'lean-all': 'lean-all', rich: 'rich', normal: 'normal' } },
  }, { groups: PETROL }),
  checked('cold-temperatures', 'Coolant and intake air, cold engine', [
    outcome('differ|Differ|coolant sensor differs on a cold engine'),
    outcome('agree|Agree|coolant sensor right when cold'),
  ], { differ: 'never' }, {
    minutes: 4,
    key: 'key on, engine off',
    tools: ['scan tool'],
    steps: ['Engine stood overnight. Key on.', 'Read coolant and intake air temperature.', 'They should be alike.'],
    normal: 'within 5 °C of each other',
    entry: { kind: 'pair', names: ['Coolant', 'Intake air'], unit: '°C', low: -40, high: 215, rule: { kind: 'agree', slack: 5 }, outcomes: { yes: 'agree', no: 'differ' } },
  }),
  checked('cylinders', 'Cylinder by cylinder', [
    outcome('one|One does not fall|one cylinder does less'),
    outcome('even|All fall alike|cylinders even'),
  ], { one: 'never' }, {
    minutes: 10,
    key: 'engine running',
    steps: ['By scan tool, or injector plugs one at a time.', 'Never a coil lead in the hand.', 'Each should drop the speed alike.'],
    normal: 'all fall alike',
    cautions: ['running'],
  }),
  checked('fuel-pressure', 'Fuel pressure', [
    outcome('low|Low or falls|fuel pressure low'),
    outcome('right|As in the book|fuel pressure right'),
  ], { low: 'never' }, {
    minutes: 18,
    key: 'engine running',
    tools: ['fuel gauge and fittings', 'rag, extinguisher'],
    steps: ['Release the pressure the maker’s way.', 'Gauge in, key on, read; idle, read.', 'Key off: it must hold for five minutes.'],
    normal: 'as in the maker’s book',
    cautions: ['fuel', 'running'],
  }),
  checked('egr-blank', 'Blank the exhaust recirculation', [
    outcome('better|Runs better|better with recirculation blanked'),
    outcome('same|No change|no change with recirculation blanked'),
  ], { better: 'never' }, {
    minutes: 9,
    key: 'engine running',
    steps: ['Command it shut by scan tool, or unplug it.', 'If it will not shut, blank it for the test only.', 'Watch idle and smoke; put it back.'],
    normal: 'no change',
    cautions: ['running'],
  }, { groups: ['electronic', 'multi-bank', 'diesel-flap'] }),
  checked('bank-balance', 'Balance of the bank', [
    outcome('out|Spread above 2.5 kPa|bodies out of balance'),
    outcome('even|Even|bodies in balance'),
  ], { out: 'never' }, {
    minutes: 12,
    key: 'engine running',
    tools: ['vacuum gauges, one a body'],
    steps: ['Gauges on every body, engine warm.', 'Note the highest and the lowest at idle.', 'Enter the difference.'],
    normal: 'spread below 2.5 kPa',
    cautions: ['running', 'fuel'],
    needs: ['warm'],
    leaves: ['warm'],
    entry: { kind: 'number', unit: 'kPa', low: 0, high: 100, figure: null, band: [0, 2.5], outcomes: ['even', 'even', 'out'] },
  }, { groups: ['motorcycle', 'multi-bank'] }),
];
