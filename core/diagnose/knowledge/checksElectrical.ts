import type { Sign } from '../types.ts';
import { checked, outcome } from './build.ts';

const DRIVEN = ['electronic', 'multi-bank', 'diesel-flap'] as const;

/** Meter work at the connector, and motion with the key on. */
export const ELECTRICAL_CHECKS: readonly Sign[] = [
  checked('key-on-sweep', 'Key-on sweep of the plate against the pedal', [
    outcome('jumps|Jumps or skips|plate jumps in its sweep'),
    outcome('short|Stops short|plate stops short in its sweep'),
    outcome('smooth|Follows smoothly|plate follows the pedal'),
  ], { jumps: 'never', short: 'never' }, {
    minutes: 5,
    key: 'key on, engine off',
    steps: ['Duct off, hands and tools clear, key on.', 'A second person moves the pedal slowly down and up.', 'The plate follows without steps, to both ends.'],
    normal: 'follows smoothly to both ends',
    cautions: ['plate'],
    needs: ['duct-off'],
    leaves: ['duct-off'],
  }, { groups: ['electronic', 'multi-bank'] }),
  checked('valve-moves', 'Valve moves with key on', [
    outcome('clicks|Clicks, does not move|valve clicks but does not move'),
    outcome('dead|Silent and still|valve silent'),
    outcome('moves|Moves once, then still|valve moves'),
  ], { clicks: 'never', dead: 'never' }, {
    minutes: 4,
    key: 'key on, engine off',
    steps: ['Hand on the valve, a second person at the key.', 'Key on: it should move once and be still.', 'Key off: it may move again to park.'],
    normal: 'moves once, then still',
  }, { needsValve: true }),
  checked('coil-ohms', 'Valve coil resistance', [
    outcome('short|Below the band|valve coil below its band'),
    outcome('open|Above the band|valve coil open or high'),
    outcome('in-band|In the band|valve coil in its band'),
  ], { short: 'never', open: 'never' }, {
    minutes: 5,
    key: 'key off',
    tools: ['multimeter, leads zeroed'],
    steps: ['Plug out. Zero the leads.', 'Measure across the coil at the valve, and coil to body.', 'Note the temperature: copper reads 4 % more for 10 °C.'],
    normal: 'in the family’s band, nothing to the body',
    after: ['plug-pins'],
    needs: ['plug-out'],
    leaves: ['plug-out'],
    entry: { kind: 'number', unit: 'Ω', low: 0, high: 1_000_000, figure: 'coilOhms', band: [7, 60], outcomes: ['short', 'in-band', 'open'] },
  }, { needsValve: true }),
  checked('supply-volts', 'Battery voltage at idle', [
    outcome('low|Low|charging voltage low'),
    outcome('high|High|charging voltage high'),
    outcome('right|In the band|charging voltage right'),
  ], { low: 'never', high: 'never' }, {
    minutes: 3,
    key: 'engine running',
    tools: ['multimeter'],
    steps: ['Meter across the battery posts.', 'Engine idling, lights and blower on.', 'Read after half a minute.'],
    normal: '13.2 to 14.8 V',
    cautions: ['running'],
    entry: { kind: 'number', unit: 'V', low: 0, high: 18, figure: null, band: [13.2, 14.8], outcomes: ['low', 'right', 'high'] },
  }),
  checked('ground-drop', 'Ground drop at the unit', [
    outcome('high|Too much|ground drop too high'),
    outcome('right|Small|ground drop small'),
  ], { high: 'never' }, {
    minutes: 6,
    key: 'key on, engine off',
    tools: ['multimeter', 'back probe'],
    steps: ['Back-probe the ground pin at the plug.', 'Other lead on the battery negative.', 'Read with everything switched on.'],
    normal: 'below 0.1 V',
    entry: { kind: 'number', unit: 'V', low: 0, high: 15, figure: null, band: [0, 0.1], outcomes: ['right', 'right', 'high'] },
  }),
  checked('closed-volts', 'Position sensor, plate closed', [
    outcome('low|Below the band|position sensor low when closed'),
    outcome('high|Above the band|position sensor high when closed'),
    outcome('in-band|In the band|position sensor right when closed'),
  ], { low: 'never', high: 'seldom' }, {
    minutes: 5,
    key: 'key on, engine off',
    tools: ['multimeter', 'back probe'],
    steps: ['Key on, plate on its stop, pedal up.', 'Back-probe the signal wire of the first track.', 'Read to a hundredth.'],
    normal: 'in the family’s band',
    cautions: ['plate'],
    entry: { kind: 'number', unit: 'V', low: 0, high: 5.5, figure: 'closedVolts', band: [0.45, 0.9], outcomes: ['low', 'in-band', 'high'] },
  }),
  checked('sweep-dropouts', 'Position sensor sweep', [
    outcome('dropouts|Drops out or jumps|position sensor drops out'),
    outcome('smooth|Smooth from end to end|position sensor smooth'),
  ], { dropouts: 'never' }, {
    minutes: 6,
    key: 'key on, engine off',
    tools: ['multimeter with bar graph, or scan tool graph'],
    steps: ['Key on; open the throttle by the pedal as slowly as you can.', 'Watch for a drop or a jump, most of all just off idle.', 'Tap the sensor and do it again.'],
    normal: 'rises without a drop',
    cautions: ['plate'],
  }),
  checked('two-tracks', 'The two throttle tracks', [
    outcome('disagree|Disagree|throttle tracks disagree'),
    outcome('agree|Agree|throttle tracks agree'),
  ], { disagree: 'never' }, {
    minutes: 5,
    key: 'key on, engine off',
    tools: ['multimeter, or scan tool'],
    steps: ['Key on, read both tracks with the pedal up.', 'Read both again at half pedal.', 'Where one falls as the other rises, they add up to the supply.'],
    normal: 'add up to 5.0 V within 0.25',
    cautions: ['plate'],
    entry: { kind: 'pair', names: ['Track A', 'Track B'], unit: 'V', low: 0, high: 5.5, rule: { kind: 'adds-up-to', total: 5, slack: 0.25 }, outcomes: { yes: 'agree', no: 'disagree' } },
  }, { groups: ['electronic', 'multi-bank'] }),
  checked('pedal-tracks', 'The two pedal tracks', [
    outcome('disagree|Disagree|pedal tracks disagree'),
    outcome('agree|Agree|pedal tracks agree'),
  ], { disagree: 'never' }, {
    minutes: 4,
    key: 'key on, engine off',
    tools: ['scan tool or multimeter'],
    steps: ['Key on, pedal up, read D and E.', 'Pedal down slowly, watch both.', 'E is half of D all the way, where the maker says so.'],
    normal: 'D is twice E within 0.2 V',
    entry: { kind: 'pair', names: ['Pedal D', 'Pedal E'], unit: 'V', low: 0, high: 5.5, rule: { kind: 'double', slack: 0.2 }, outcomes: { yes: 'agree', no: 'disagree' } },
  }, { groups: DRIVEN }),
  checked('wiggle', 'Wiggle the loom', [
    outcome('reacts|Value jumps or engine reacts|reacts when the loom is moved'),
    outcome('steady|Steady|steady when the loom is moved'),
  ], { reacts: 'never' }, {
    minutes: 5,
    key: 'engine running',
    steps: ['Idling, watch position or duty.', 'Move the loom at the plug, along the run and at the bulkhead.', 'Pull each wire gently.'],
    normal: 'steady',
    cautions: ['running'],
  }),
];
