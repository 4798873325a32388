import type { Surface } from './substances.ts';

/** What a unit is made as: it decides how it is drawn, looked at and cleaned. */
export const UNIT_FORMS = {
  cable: 'cable body',
  electronic: 'electronic body',
  'diesel-flap': 'diesel flap',
  bank: 'body of a bank',
  plastic: 'plastic body',
  'rotary-valve': 'rotary valve',
  'stepper-valve': 'stepper valve',
  'duty-valve': 'duty valve',
  'wax-valve': 'fast-idle wax',
  actuator: 'actuator with gears',
  injector: 'injector',
  'fast-idle': 'fast-idle part',
  breather: 'breather valve',
  hose: 'hose',
  'air-meter': 'air meter',
  'air-box': 'air box',
  passage: 'air or recirculation passage',
  seat: 'seat or joint',
} as const;
/** The id of a form. */
export type UnitForm = keyof typeof UNIT_FORMS;

/** What else comes off and is cleaned, and is no unit of its own in a vehicle’s file. */
export const PART_FORMS = [
  'injector',
  'fast-idle',
  'breather',
  'hose',
  'air-meter',
  'air-box',
  'passage',
  'seat',
] as const satisfies readonly UnitForm[];
/** The form of a part. */
export type PartForm = (typeof PART_FORMS)[number];
/** Whether a form is a part, and not a unit. */
export const isPart = (form: UnitForm): form is PartForm => (PART_FORMS as readonly UnitForm[]).includes(form);

/** Whether a form is a body with a plate, and not a valve or an actuator. */
export const isBody = (form: UnitForm): boolean =>
  form === 'cable' || form === 'electronic' || form === 'diesel-flap' || form === 'bank' || form === 'plastic';

/** What of a form cleaner gets onto; the first is what is cleaned. Usual make-up, to be checked on the part. */
export const FORM_SURFACES: Readonly<Record<UnitForm, readonly Surface[]>> = {
  cable: ['bare-aluminium', 'brass-plate', 'zinc-steel', 'shaft-bearing', 'gasket-face', 'nbr', 'position-sensor'],
  electronic: ['coated-bore', 'brass-plate', 'shaft-bearing', 'motor-gears', 'position-sensor', 'gasket-face', 'fkm'],
  'diesel-flap': ['bare-aluminium', 'zinc-steel', 'shaft-bearing', 'motor-gears', 'gasket-face', 'fkm'],
  bank: ['bare-aluminium', 'brass-plate', 'shaft-bearing', 'position-sensor', 'epdm', 'nbr', 'gasket-face'],
  plastic: ['pa66', 'brass-plate', 'shaft-bearing', 'nbr', 'position-sensor', 'gasket-face'],
  'rotary-valve': ['bare-aluminium', 'motor-gears', 'nbr', 'gasket-face'],
  'stepper-valve': ['brass-plate', 'motor-gears', 'nbr', 'gasket-face'],
  'duty-valve': ['bare-aluminium', 'motor-gears', 'nbr', 'gasket-face'],
  'wax-valve': ['bare-aluminium', 'nbr', 'gasket-face'],
  actuator: ['anodised-aluminium', 'motor-gears', 'position-sensor', 'nbr', 'gasket-face'],
  injector: ['zinc-steel', 'pa66', 'fkm', 'motor-gears'],
  'fast-idle': ['bare-aluminium', 'brass-plate', 'nbr', 'gasket-face'],
  breather: ['pa66', 'nbr', 'silicone-rubber'],
  hose: ['nbr', 'epdm'],
  'air-meter': ['hot-film', 'pa66'],
  'air-box': ['pa66', 'epdm'],
  passage: ['bare-aluminium', 'zinc-steel', 'gasket-face'],
  seat: ['bare-aluminium', 'brass-plate', 'gasket-face'],
};

/** What is covered before anything wet comes near, with what. */
export interface Mask {
  readonly what: string;
  readonly with: string;
  readonly why: string;
  /** The surfaces that it keeps dry. */
  readonly keeps: readonly Surface[];
}

const PLUG: Mask = {
  what: 'Plug and pins',
  with: 'tape over the open plug',
  why: 'solvent creeps along the pins',
  keeps: [],
};
const SENSOR: Mask = {
  what: 'Position sensor',
  with: 'off, or tape right round',
  why: 'solvent lifts the track',
  keeps: ['position-sensor'],
};
const BEARING: Mask = {
  what: 'Shaft ends',
  with: 'hold them upwards, cloth round',
  why: 'grease washes out',
  keeps: ['shaft-bearing'],
};
const MOTOR: Mask = {
  what: 'Motor side',
  with: 'kept on top, a dry cloth under',
  why: 'what runs in stays in',
  keeps: ['motor-gears'],
};
/** A motor that is one with what is cleaned cannot be kept dry by how it is held. */
const MOTOR_ON: Mask = { ...MOTOR, keeps: [] };
const RINGS: Mask = {
  what: 'O-rings',
  with: 'out and in a bag',
  why: 'they swell',
  keeps: ['nbr', 'fkm', 'epdm', 'silicone-rubber'],
};

/** What to cover on a form, before the first spray. */
export const MASKS: Readonly<Record<UnitForm, readonly Mask[]>> = {
  cable: [SENSOR, BEARING, RINGS],
  electronic: [PLUG, MOTOR_ON, BEARING],
  'diesel-flap': [PLUG, MOTOR, BEARING],
  bank: [
    SENSOR,
    BEARING,
    RINGS,
    { what: 'Sync screws', with: 'a dab of paint, never turned', why: 'the cylinders no longer match', keeps: [] },
    { what: 'Injector seats', with: 'clean plugs', why: 'dirt there goes straight in', keeps: [] },
  ],
  plastic: [
    SENSOR,
    BEARING,
    RINGS,
    { what: 'Threads in plastic', with: 'dry plugs', why: 'oil in an insert works it loose', keeps: [] },
  ],
  'rotary-valve': [PLUG, MOTOR, RINGS],
  'stepper-valve': [PLUG, MOTOR, RINGS],
  'duty-valve': [PLUG, MOTOR, RINGS],
  'wax-valve': [{ ...RINGS }, { what: 'Wax element', with: 'kept below 60 °C', why: 'it loses its stroke', keeps: [] }],
  actuator: [PLUG, MOTOR_ON, SENSOR],
  injector: [
    PLUG,
    MOTOR,
    RINGS,
    { what: 'Tip and screen', with: 'kept downwards, never poked', why: 'a scratch spoils its spray', keeps: [] },
  ],
  'fast-idle': [RINGS, { what: 'Wax element', with: 'kept below 60 °C', why: 'it loses its stroke', keeps: [] }],
  breather: [{ what: 'Diaphragm', with: 'not bent, not oiled', why: 'it tears where it was stretched', keeps: [] }],
  hose: [{ what: 'Its way round', with: 'a mark on both ends', why: 'it goes back as it lay', keeps: [] }],
  'air-meter': [{ what: 'Film and mesh', with: 'nothing touches them', why: 'a breath too much breaks it', keeps: [] }],
  'air-box': [
    { what: 'Clean side', with: 'filter out, outlet plugged', why: 'what falls in is breathed in', keeps: [] },
  ],
  passage: [
    { what: 'What lies behind', with: 'a rag with a tail, counted in', why: 'it goes into the engine', keeps: [] },
  ],
  seat: [{ what: 'The hole', with: 'a rag with a tail, counted in', why: 'what is scraped falls in', keeps: [] }],
};

/** Whether covering a form keeps a surface dry under a spray. */
export const isCovered = (form: UnitForm, surface: Surface): boolean =>
  MASKS[form].some(({ keeps }) => keeps.includes(surface));
