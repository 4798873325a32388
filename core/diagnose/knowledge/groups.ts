import type { SignGroup } from '../types.ts';

const group = (id: string, name: string, signs: string, why: string): SignGroup => ({
  id,
  name,
  signs: signs.split(' '),
  why,
});

/** Signs that are several views of one observation. */
export const SIGN_GROUPS: readonly SignGroup[] = [
  group(
    'idle-level',
    'How high it idles',
    'idle-high idle-low idle-speed idle-code',
    'told, measured and coded, it is one idle',
  ),
  group('valve-heard', 'Whether the valve works', 'clicking valve-moves valve-idling', 'one valve, listened to'),
  group('valve-by-hand', 'Whether the valve turns', 'valve-turns valve-deposit', 'what is coked does not turn'),
  group('ring', 'Deposit at the plate', 'duct-off-look back-of-plate', 'one deposit, from two sides'),
  group('closing', 'How the plate closes', 'light-gap reaches-stop closed-volts', 'one closed plate'),
  group('air-demand', 'How much air it asks for', 'valve-duty learned-angle', 'one want of air'),
  group('plate-moves', 'How the plate moves by hand', 'plate-by-hand spring-return sticky-pedal', 'one plate, moved'),
  group('lean', 'The mixture', 'mixture-code trims', 'the code is set by the trim'),
  group('leak-heard', 'A leak heard', 'whistle leak-by-ear', 'one leak, listened to'),
  group('air-reading', 'The air reading', 'air-code air-mass fit-code', 'one reading'),
  group('coolant-reading', 'The coolant reading', 'temperature-code cold-temperatures', 'one sensor'),
  group('one-cylinder', 'One cylinder', 'misfire-code misfire-count cylinders', 'one cylinder that does less'),
  group('tracks', 'The position signal', 'position-code two-tracks tracks-running', 'one signal'),
  group('pedal-signal', 'The pedal signal', 'pedal-code pedal-tracks', 'one signal'),
  group(
    'plate-drive',
    'How the plate is driven',
    'limp limited-code motor-code stuck-code',
    'limp mode is what the code does',
  ),
  group('wiring-seen', 'The plug', 'plug-pins plug-fit wiggle', 'one plug'),
  group('voltage', 'The voltage', 'supply-code supply-volts', 'one supply'),
  group('recirculation', 'Recirculation', 'egr-code egr-blank', 'one valve'),
  group('vapour', 'Fuel vapour', 'vapour-code purge-pinch after-fill', 'one valve'),
  group('breather', 'The breather', 'pcv-shake pcv-pinch oil-source', 'one valve'),
  group('learned', 'What is learned', 'learn-code learn-status relearn-done', 'one memory'),
  group('coolant', 'The coolant', 'coolant-level heater-cold', 'one circuit'),
  group('warm-up', 'Fast idle', 'fast-idle fast-idle-look', 'one device'),
  group('other-lamps', 'Another system', 'other-lamp other-system-code other-modules', 'one system that complains'),
  group('gasket', 'The gasket', 'boot-look gasket-look gasket-reused', 'one gasket'),
];
