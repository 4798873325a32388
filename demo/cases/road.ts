import type { WrittenCase } from './case.ts';

const cable = { group: 'cable', hasValve: true } as const;
const electronic = { group: 'electronic', hasValve: false } as const;
const flap = { group: 'diesel-flap', hasValve: false } as const;

/** Buses, vans and the farm utility of the island. */
export const ROAD_CASES: readonly WrittenCase[] = [
  {
    id: 'bus-hunts', title: 'Library bus hunts at the quay', subject: cable, truth: 'valve-stuck',
    says: 'Hunts at the quay.',
    codes: [], asked: ['temperature=cold'],
    finds: { 'valve-moves': 'clicks', 'valve-duty': 'high', 'duct-off-look': 'ring', 'idle-speed': 'low' },
  },
  {
    id: 'bus-lacquer', title: 'Bus dips at every stop', subject: cable, truth: 'deposit',
    says: 'Dips at every stop.',
    codes: [], asked: ['load=yes'],
    finds: { 'duct-off-look': 'ring', 'light-gap': 'blocked', 'plate-by-hand': 'sticks', 'valve-duty': 'high', 'idle-speed': 'low' },
  },
  {
    id: 'farm-ring', title: 'Farm utility races after a service', subject: cable, truth: 'cable',
    says: 'Idles too high since the service.',
    codes: ['P0507'], asked: [],
    finds: { 'cable-play': 'tight', 'closed-volts': 'high', 'valve-duty': 'low', 'idle-speed': 'high', 'duct-off-look': 'ring' },
  },
  {
    id: 'farm-screw', title: 'Farm utility hunts with a hiss', subject: cable, truth: 'idle-screw',
    says: 'Hunting at the gate, worse when cold.',
    codes: [], asked: [],
    finds: { 'idle-screw-ring': 'hard', 'valve-duty': 'low', 'idle-speed': 'high' },
  },
  {
    id: 'bus-hose', title: 'Bus with a split hose', subject: cable, truth: 'intake-leak',
    says: 'Idle goes up and down and it is rough at the lights.',
    codes: [], asked: ['temperature=cold'],
    finds: { 'leak-by-ear': 'changed', 'smoke-test': 'hose', trims: 'lean-idle', 'valve-duty': 'low', manifold: 'high', 'duct-off-look': 'ring' },
  },
  {
    id: 'farm-track', title: 'Farm utility snatches off idle', subject: cable, truth: 'position',
    says: 'Snatches when pulling away.',
    codes: [], asked: ['onset=gradual'],
    finds: { 'sweep-dropouts': 'dropouts', 'duct-off-look': 'ring' },
  },
  {
    id: 'bus-coil', title: 'Bus with a dead valve', subject: cable, truth: 'valve-coil',
    says: 'Stalls at every stop.',
    codes: ['P0505'], asked: ['onset=sudden'],
    finds: { 'valve-moves': 'dead', 'coil-ohms': 'open', 'idle-speed': 'low' },
  },
  {
    id: 'bus-breaker', title: 'Bus with a valve from the breaker', subject: cable, truth: 'wrong-variant',
    says: 'Hunts and idles too high, never right since last month.',
    codes: ['P0505'], asked: [],
    finds: { variant: 'differs', 'valve-duty': 'low', 'idle-speed': 'high' },
  },
  {
    id: 'farm-pcv', title: 'Farm utility rough and oily', subject: cable, truth: 'pcv',
    says: 'Rough at idle.',
    codes: [], asked: [],
    finds: { 'pcv-shake': 'silent', 'pcv-pinch': 'settles', 'duct-off-look': 'oil', trims: 'lean-idle' },
  },
  {
    id: 'farm-plug', title: 'Farm utility misses in the rain', subject: cable, truth: 'ignition',
    says: 'Shakes at idle and has no power.',
    codes: [], asked: ['load=yes'],
    finds: { cylinders: 'one', 'plugs-look': 'worn' },
  },
  {
    id: 'bus-stop', title: 'Bus after somebody trimmed the stop', subject: cable, truth: 'stop-moved',
    says: 'Idles too high.',
    codes: ['P0507'], asked: ['onset=sudden'],
    finds: { 'stop-screw': 'moved', 'closed-volts': 'high', 'valve-duty': 'low', 'idle-speed': 'high' },
  },
  {
    id: 'van3-battery', title: 'Post van 3 after a flat battery', subject: electronic, truth: 'not-learned',
    says: 'Rough at the lights and idles too low since the battery went flat.',
    codes: ['P2119', 'P0171'], asked: [],
    finds: { 'relearn-trial': 'cured', 'idle-speed': 'low', 'learned-angle': 'low' },
  },
  {
    id: 'van1-ring', title: 'Post van 1 dips at every stop', subject: electronic, truth: 'deposit',
    says: 'Twice went out at a stop.',
    codes: ['P0506'], asked: [],
    finds: { 'duct-off-look': 'ring', 'light-gap': 'blocked', 'learned-angle': 'high', 'idle-speed': 'low' },
  },
  {
    id: 'van2-seed', title: 'Post van 2 will not come down', subject: electronic, truth: 'foreign',
    says: 'Went into limp mode this morning.',
    codes: ['P2101'], asked: [],
    finds: { 'duct-off-look': 'object', 'light-gap': 'uneven', 'key-on-sweep': 'short', 'closed-volts': 'high' },
  },
  {
    id: 'van4-gears', title: 'Post van 4 skips', subject: electronic, truth: 'gears',
    says: 'Limp mode now and then.',
    codes: [], asked: [],
    finds: { 'key-on-sweep': 'jumps', 'gear-look': 'worn' },
  },
  {
    id: 'van5-pigtail', title: 'Post van 5 in the wet', subject: electronic, truth: 'pigtail',
    says: 'Limp mode comes and goes.',
    codes: ['P2135'], asked: [],
    finds: { 'plug-pins': 'bad', wiggle: 'reacts', 'two-tracks': 'disagree' },
  },
  {
    id: 'van6-meter', title: 'Post van 6 flat after an oiled filter', subject: electronic, truth: 'air-meter',
    says: 'No power and flat.',
    codes: ['P0171'], asked: [],
    finds: { 'air-mass': 'low', trims: 'lean-all' },
  },
  {
    id: 'van7-pedal', title: 'Post van 7 will not rev', subject: electronic, truth: 'pedal',
    says: 'Limp mode, will not rev.',
    codes: ['P2106'], asked: [],
    finds: { 'pedal-tracks': 'disagree' },
  },
  {
    id: 'van8-volts', title: 'Post van 8 with its lights on', subject: electronic, truth: 'supply',
    says: 'Idle is too low and it is hard to start.',
    codes: ['P2119'], asked: [],
    finds: { 'supply-volts': 'low', 'ground-drop': 'high' },
  },
  {
    id: 'van9-gasket', title: 'Post van 9 after cleaning', subject: electronic, truth: 'flange-leak',
    says: 'Idles too high since the throttle was cleaned.',
    codes: ['P0507'], asked: [],
    finds: { 'smoke-test': 'flange', 'boot-look': 'folded', trims: 'lean-idle' },
  },
  {
    id: 'van10-purge', title: 'Post van 10 after filling up', subject: electronic, truth: 'purge',
    says: 'Lumpy when warm, comes and goes.',
    codes: ['P0172'], asked: [],
    finds: { 'purge-pinch': 'settles', trims: 'rich' },
  },
  {
    id: 'van11-timing', title: 'Post van 11, a stretched chain', subject: electronic, truth: 'other',
    says: 'Poor response and rough.',
    codes: [], asked: [],
    finds: { manifold: 'high' },
  },
  {
    id: 'mini-egr', title: 'School minibus smokes', subject: flap, truth: 'egr',
    says: 'No power and stalls at the quay.',
    codes: [], asked: ['onset=gradual'],
    finds: { 'egr-blank': 'better', 'air-mass': 'low', 'duct-off-look': 'ring' },
  },
  {
    id: 'mini-flap', title: 'School minibus flap skips', subject: flap, truth: 'gears',
    says: 'Does not pull on the hill.',
    codes: ['P0638'], asked: [],
    finds: { 'gear-look': 'worn', 'key-on-sweep': 'jumps' },
  },
  {
    id: 'bus-fuel', title: 'Bus after a winter laid up', subject: cable, truth: 'fuel',
    says: 'No power on the hill, stands a lot.',
    codes: [], asked: [],
    finds: { 'fuel-pressure': 'low', trims: 'lean-all' },
  },
];
