import type { HouseRules } from '../house/index.ts';
import { advise } from './advise.ts';
import { PASS_KINDS, type PassKind, type Rounds } from './passes.ts';
import type { Method, Substance, Surface } from './substances.ts';

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
} as const;
/** The id of a form. */
export type UnitForm = keyof typeof UNIT_FORMS;

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
};

/** What is covered before anything wet comes near, with what. */
export interface Mask {
  readonly what: string;
  readonly with: string;
  readonly why: string;
}

const PLUG: Mask = { what: 'Plug and pins', with: 'tape over the open plug', why: 'solvent creeps along the pins' };
const SENSOR: Mask = { what: 'Position sensor', with: 'off, or tape right round', why: 'solvent lifts the track' };
const BEARING: Mask = { what: 'Shaft ends', with: 'hold them upwards, cloth round', why: 'grease washes out' };
const MOTOR: Mask = { what: 'Motor side', with: 'kept on top, a dry cloth under', why: 'what runs in stays in' };
const RINGS: Mask = { what: 'O-rings', with: 'out and in a bag', why: 'they swell' };

/** What to cover on a form, before the first spray. */
export const MASKS: Readonly<Record<UnitForm, readonly Mask[]>> = {
  cable: [SENSOR, BEARING, RINGS],
  electronic: [PLUG, MOTOR, BEARING],
  'diesel-flap': [PLUG, MOTOR, BEARING],
  bank: [
    SENSOR,
    BEARING,
    { what: 'Sync screws', with: 'a dab of paint, never turned', why: 'the cylinders no longer match' },
    { what: 'Injector seats', with: 'clean plugs', why: 'dirt there goes straight in' },
  ],
  plastic: [SENSOR, BEARING, { what: 'Threads in plastic', with: 'dry plugs', why: 'oil in an insert works it loose' }],
  'rotary-valve': [PLUG, MOTOR, RINGS],
  'stepper-valve': [PLUG, MOTOR, RINGS],
  'duty-valve': [PLUG, MOTOR, RINGS],
  'wax-valve': [{ ...RINGS }, { what: 'Wax element', with: 'kept below 60 °C', why: 'it loses its stroke' }],
  actuator: [PLUG, MOTOR, SENSOR],
};

/** What is known of a unit when its cleaning is planned. */
export interface MethodFindings {
  /** Worst deposit grade before, 0 to 4; null when not graded. */
  readonly grade: number | null;
  /** Sensors, seals and valve are off: nothing but metal is left. */
  readonly fullyStripped: boolean;
}

/** One pass of a proposal. */
export interface MethodPass {
  readonly kind: PassKind;
  readonly words: string;
  readonly substance: Substance | null;
  readonly how: Method | null;
  /** A wait that needs nobody; null for hands-on passes. */
  readonly minutes: number | null;
  readonly why: string;
}

/** A way of cleaning one unit. */
export interface CleaningMethod {
  readonly passes: readonly MethodPass[];
  readonly rounds: Rounds;
  readonly masks: readonly Mask[];
  /** One sentence for the head of the run. */
  readonly words: string;
  /** The house rule it follows or had to leave, in words; empty when no rule speaks. */
  readonly rule: string;
}

/** Minutes that a soak takes at each grade, a shop convention; valves hold more and are stiffer. */
export const soakMinutes = (form: UnitForm, grade: number | null): number =>
  (isBody(form) ? [3, 5, 10, 15, 20] : [5, 10, 20, 25, 40])[grade ?? 2] ?? 10;
/** Minutes in a bath, and to dry after rinsing; shop conventions. */
export const BATH_MINUTES = { 'alkaline-detergent': 10, 'oxalic-acid-bath': 8, drying: 30 } as const;

/** What a shop has instead: a soak at grade 2, minutes, other grades in proportion; a detergent bath; drying after it. */
export interface SoakFigures {
  readonly body: number;
  readonly valve: number;
  readonly bath: number;
  readonly drying: number;
}
const USUAL_SOAKS: SoakFigures = {
  body: soakMinutes('cable', 2),
  valve: soakMinutes('rotary-valve', 2),
  bath: BATH_MINUTES['alkaline-detergent'],
  drying: BATH_MINUTES.drying,
};

/** A soak as the shop has it: the usual of the grade, longer or shorter by what it says of grade 2. */
const soakHere = (form: UnitForm, grade: number | null, said: SoakFigures): number => {
  const of = isBody(form) ? 'body' : 'valve';
  return Math.max(1, Math.round((soakMinutes(form, grade) * said[of]) / USUAL_SOAKS[of]));
};

const pass = (kind: PassKind, why: string, given: Partial<Omit<MethodPass, 'kind' | 'why'>> = {}): MethodPass => ({
  kind,
  words: PASS_KINDS[kind],
  substance: null,
  how: null,
  minutes: null,
  why,
  ...given,
});

/** The substance a house rule asks for, where it can be used on this form at all. */
function substanceFor(form: UnitForm, rule: string | undefined): { substance: Substance; rule: string } {
  const surface = FORM_SURFACES[form][0] ?? 'bare-aluminium';
  if (rule === 'mild' || rule === 'nearly-dry') return { substance: 'isopropyl', rule: 'House rule: a mild solvent.' };
  if (rule === 'strong') {
    const advice = advise('carburettor-cleaner', surface, 'spray');
    return advice.verdict === 'use'
      ? { substance: 'carburettor-cleaner', rule: 'House rule: strong solvent on bare metal.' }
      : { substance: 'throttle-cleaner', rule: `House rule left: strong solvent here ${advice.reason}.` };
  }
  return { substance: 'throttle-cleaner', rule: rule === undefined ? '' : 'House rule: throttle cleaner.' };
}

/**
 * Ordered passes for this unit: protect, wet, soak, brush, wipe, again while deposit or light say so, dry. Electronic
 * bodies and actuators are wiped nearly dry; a bath is for a fully stripped body of bare metal and only where the house
 * wants it; a scraper only on heavy coke, bare metal, where the house allows it.
 * @param rules the house's answers; `substance` and `tool` are looked at
 * @param said how long things lie wet in this shop
 */
export function methodFor(
  form: UnitForm,
  findings: MethodFindings,
  rules: HouseRules,
  said: SoakFigures = USUAL_SOAKS,
): CleaningMethod {
  const masks = MASKS[form];
  const protect = pass('protect', masks.map(({ what, with: cover }) => `${what.toLowerCase()}: ${cover}`).join('; '));
  const dry = pass('dry', 'wet grease and wet pins are the next fault', { minutes: 10 });
  if (form === 'electronic' || form === 'actuator') return nearlyDry(form, protect, dry, masks);
  const bare = FORM_SURFACES[form][0] === 'bare-aluminium';
  if (rules.substance === 'bath' && bare && isBody(form)) {
    if (findings.fullyStripped && form === 'cable') return bath(protect, dry, masks, said);
    return wet(
      form,
      findings,
      protect,
      dry,
      {
        substance: 'throttle-cleaner',
        rule: 'House rule left: a bath is for a cable body with sensors, seals and valve off.',
      },
      rules,
      masks,
      said,
    );
  }
  return wet(form, findings, protect, dry, substanceFor(form, rules.substance), rules, masks, said);
}

function nearlyDry(form: UnitForm, protect: MethodPass, dry: MethodPass, masks: readonly Mask[]): CleaningMethod {
  const substance: Substance = form === 'electronic' ? 'throttle-cleaner' : 'isopropyl';
  return {
    masks,
    passes: [
      protect,
      pass('wipe', 'nothing may run: a cloth, damp, never dripping', { substance, how: 'wipe' }),
      pass('brush', 'soft brush on the edge, cloth under', { substance, how: 'brush' }),
      pass('wipe', 'the last degrees round the plate', { substance, how: 'wipe' }),
      dry,
    ],
    rounds: { round: ['wipe', 'brush', 'wipe'], end: ['dry'] },
    words: 'Nearly dry: damp cloth and soft brush, motor side up. Never sprayed, never soaked.',
    rule: 'What runs in stays in; no house rule changes that.',
  };
}

function bath(protect: MethodPass, dry: MethodPass, masks: readonly Mask[], said: SoakFigures): CleaningMethod {
  return {
    masks,
    passes: [
      protect,
      pass('bath', 'mild and watched', {
        substance: 'alkaline-detergent',
        how: 'bath',
        minutes: said.bath,
      }),
      pass('brush', 'soft, under the surface'),
      pass('rinse', 'with clean water, twice'),
      { ...dry, minutes: said.drying, why: 'warm air; water in a bearing rusts' },
    ],
    rounds: { round: ['bath', 'brush'], end: ['rinse', 'dry'] },
    words: 'Bath: stripped to bare metal, mild and watched, rinsed twice.',
    rule: 'House rule: a bath for a fully stripped cable body.',
  };
}

function wet(
  form: UnitForm,
  { grade }: MethodFindings,
  protect: MethodPass,
  dry: MethodPass,
  { substance, rule }: { substance: Substance; rule: string },
  rules: HouseRules,
  masks: readonly Mask[],
  said: SoakFigures,
): CleaningMethod {
  const scrape = form === 'diesel-flap' && rules.tool === 'scraper' && grade === 4;
  const tool = scrape
    ? pass('scrape', 'heavy coke on bare metal; the house allows it', { substance, how: 'brush' })
    : pass('brush', 'soft: metal marks the bore', { substance, how: 'brush' });
  return {
    masks,
    passes: [
      protect,
      pass('wet', isBody(form) ? 'bearing sides up and dry' : 'port down, motor up', { substance, how: 'spray' }),
      pass('soak', 'time does the work', { substance, how: 'soak', minutes: soakHere(form, grade, said) }),
      tool,
      pass('wipe', 'until the cloth stays clean'),
      dry,
    ],
    rounds: { round: ['wet', 'soak', tool.kind, 'wipe'], end: ['dry'] },
    words: `Wet rounds${grade === null ? '' : `, about ${Math.max(1, grade)} of them at this grade`}: ${isBody(form) ? 'plate held open by hand, then the edge' : 'turn it by hand between passes'}.`,
    rule,
  };
}
