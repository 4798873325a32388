/**
 * Signs of the shipped knowledge by which a fault shows itself to whoever drives, so that proving can ask after each
 * of them without the knowledge at hand. What only narrows a fault down (*fine once moving*) is none.
 */
export const FAULT_SIGNS: ReadonlySet<string> = new Set([
  'hunting',
  'stalls',
  'idle-high',
  'idle-low',
  'rough',
  'after-blip',
  'response',
  'snatch',
  'cruise-surge',
  'clicking',
  'motor-noise',
  'whistle',
  'hangs',
  'sticky-pedal',
  'hard-start',
  'fast-idle',
  'heater-cold',
  'other-lamp',
  'smoke',
  'limp',
]);

/** Outcomes by which a sign says that nothing is wrong. */
export const WELL_OUTCOMES: ReadonlySet<string> = new Set(['no', 'right']);
