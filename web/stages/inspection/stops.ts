import type { UnitForm } from '../../../core/clean/index.ts';

/** Where the stops of the walk stand on the drawing of each form, in its own units (460 × 300). */
type Stops = Readonly<Record<string, readonly [number, number]>>;

const BODY: Stops = {
  'deposit-front': [196, 96],
  'deposit-back': [264, 208],
  'deposit-edge': [141, 150],
  light: [230, 46],
  play: [352, 150],
  'plate-flat': [230, 176],
  'body-flat': [92, 40],
  'gasket-height': [92, 262],
  ring: [368, 258],
  'ring-look': [406, 258],
  port: [230, 262],
  leak: [134, 262],
};
const CABLE: Stops = {
  ...BODY,
  spring: [410, 104],
  'stop-screw': [414, 176],
  dashpot: [418, 40],
  'sensor-spring': [52, 176],
  stripped: [52, 122],
};
const MOTOR: Stops = {
  ...BODY,
  gears: [386, 190],
  'rest-angle': [352, 110],
  coil: [414, 98],
  spring: [352, 196],
  'plate-time': [414, 150],
};
const VALVE: Stops = {
  'valve-deposit': [124, 128],
  'valve-free': [150, 178],
  'valve-travel': [190, 100],
  coil: [338, 120],
  'gasket-height': [82, 250],
  ring: [226, 250],
  'ring-look': [264, 250],
  leak: [126, 250],
  port: [72, 150],
  'rest-angle': [268, 110],
  gears: [232, 190],
};

/** A part is drawn as a length of duct in section: what is inside, what seals, what moves. */
const PART: Stops = {
  'part-deposit': [150, 150],
  'part-whole': [320, 62],
  'coke-thickness': [230, 96],
  'part-clear': [230, 150],
  'part-moves': [310, 150],
  'part-face': [92, 150],
  'gasket-height': [92, 232],
  ring: [368, 96],
  'ring-look': [368, 204],
  leak: [230, 238],
};

const STOPS: Readonly<Record<UnitForm, Stops>> = {
  cable: CABLE,
  plastic: CABLE,
  bank: {
    ...CABLE,
    'deposit-front': [166, 118],
    'deposit-back': [262, 118],
    'deposit-edge': [92, 112],
    light: [52, 66],
    play: [424, 150],
    spring: [424, 104],
    'stop-screw': [440, 188],
    'plate-flat': [166, 178],
    'body-flat': [30, 100],
    'sensor-spring': [34, 150],
    'gasket-height': [30, 200],
    port: [262, 178],
    leak: [118, 200],
    ring: [310, 200],
    'ring-look': [394, 200],
  },
  electronic: MOTOR,
  'diesel-flap': {
    ...MOTOR,
    'sensor-spring': [434, 222],
    'deposit-recirculation': [300, 244],
    'coke-thickness': [176, 208],
  },
  'rotary-valve': VALVE,
  'stepper-valve': VALVE,
  'duty-valve': VALVE,
  'wax-valve': VALVE,
  actuator: { ...VALVE, 'valve-deposit': [96, 104], 'valve-free': [96, 190], coil: [376, 120], gears: [186, 150] },
  injector: PART,
  'fast-idle': PART,
  breather: PART,
  hose: PART,
  'air-meter': PART,
  'air-box': PART,
  passage: PART,
  seat: PART,
};

/** The place of a stop, or null where the drawing does not show it. */
export const stopAt = (form: UnitForm, point: string): readonly [number, number] | null => STOPS[form][point] ?? null;
