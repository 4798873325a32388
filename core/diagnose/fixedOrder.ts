/**
 * The fixed order against which the program is measured: what a careful printed checklist would say, from quick and
 * outside to slow and inside.
 */
export const FIXED_ORDER: readonly string[] = [
  'idle-speed', 'leak-by-ear', 'pcv-shake', 'plug-pins', 'cable-play', 'stop-screw', 'duct-off-look', 'light-gap', 'plate-by-hand',
  'shaft-play', 'key-on-sweep', 'valve-moves', 'valve-duty', 'closed-volts', 'sweep-dropouts', 'two-tracks', 'pedal-tracks', 'learned-angle',
  'trims', 'air-mass', 'manifold', 'idle-screw-ring', 'boot-look', 'variant', 'coil-ohms', 'supply-volts', 'ground-drop', 'wiggle', 'pcv-pinch',
  'purge-pinch', 'cold-temperatures', 'cylinders', 'egr-blank', 'bank-balance', 'plugs-look', 'smoke-test', 'fuel-pressure', 'gear-look',
  'relearn-trial', 'flatness',
];

