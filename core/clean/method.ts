import type { HouseRules } from '../house/index.ts';
import { BATH_MINUTES } from './advise.ts';
import { againstAdvice } from './gate.ts';
import { FORM_SURFACES, isBody, isPart, type Mask, MASKS, type PartForm, type UnitForm } from './forms.ts';
import { PASS_KINDS, type PassKind, type Rounds } from './passes.ts';
import { SURFACES, type Method, type Substance } from './substances.ts';

/** What is known of a unit when its cleaning is planned. */
export interface MethodFindings {
  /** Worst deposit grade before, 0 to 4; null when not graded. */
  readonly grade: number | null;
  /** See {@link UnitState}. */
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
/** Minutes to dry after a bath was rinsed off; a shop convention. */
export const DRYING_MINUTES = 30;

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
  drying: DRYING_MINUTES,
};

/** A soak as the shop has it: the usual of the grade, longer or shorter by what it says of grade 2. */
const soakHere = (form: UnitForm, grade: number | null, said: SoakFigures): number => {
  const of = isBody(form) ? 'body' : 'valve';
  return Math.max(1, Math.round((soakMinutes(form, grade) * said[of]) / USUAL_SOAKS[of]));
};

/** A pass of a proposal, by hand and with nothing but what is said of it. */
export const pass = (
  kind: PassKind,
  why: string,
  given: Partial<Omit<MethodPass, 'kind' | 'why'>> = {},
): MethodPass => ({
  kind,
  words: PASS_KINDS[kind],
  substance: null,
  how: null,
  minutes: null,
  why,
  ...given,
});

/** The substance a house rule asks for, where it can be used on this form at all. */
function substanceFor(
  form: UnitForm,
  rule: string | undefined,
  stripped: boolean,
): { substance: Substance; rule: string } {
  if (rule === 'mild' || rule === 'nearly-dry') return { substance: 'isopropyl', rule: 'House rule: a mild solvent.' };
  if (rule === 'strong') {
    const [against] = againstAdvice(form, 'carburettor-cleaner', 'spray', { covered: true, stripped });
    return against === undefined
      ? { substance: 'carburettor-cleaner', rule: 'House rule: strong solvent on bare metal.' }
      : {
          substance: 'throttle-cleaner',
          rule: `House rule left: strong solvent here meets ${SURFACES[against.surface]}, and ${against.advice.reason}.`,
        };
  }
  return { substance: 'throttle-cleaner', rule: rule === undefined ? '' : 'House rule: throttle cleaner.' };
}

/** Bodies that are bare metal once they are stripped. */
const BATHED: ReadonlySet<UnitForm> = new Set<UnitForm>(['cable', 'bank']);

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
  if (isPart(form) && WASHED[form] !== undefined) return washed(WASHED[form], protect, dry, masks);
  const bare = FORM_SURFACES[form][0] === 'bare-aluminium';
  if (rules.substance === 'bath' && bare && isBody(form)) {
    if (findings.fullyStripped && BATHED.has(form)) return bath(protect, dry, masks, said);
    return wet(
      form,
      findings,
      protect,
      dry,
      {
        substance: 'throttle-cleaner',
        rule: 'House rule left: a bath is for a cable body, or one of a bank, with sensors, seals and valve off.',
      },
      rules,
      masks,
      said,
    );
  }
  return wet(
    form,
    findings,
    protect,
    dry,
    substanceFor(form, rules.substance, findings.fullyStripped),
    rules,
    masks,
    said,
  );
}

/** Parts that are not gone over in wet rounds: with what, how, and what follows. */
interface Washed {
  readonly substance: Substance;
  readonly first: PassKind;
  readonly how: Method;
  readonly minutes?: number;
  readonly then: readonly PassKind[];
  readonly words: string;
  readonly why: string;
}
const WASHED: Readonly<Partial<Record<PartForm, Washed>>> = {
  injector: {
    substance: 'injector-cleaner',
    first: 'soak',
    how: 'soak',
    minutes: 20,
    then: ['wipe'],
    words: 'Outside only: soaked at the tip, wiped. What sits inside wants a bench that pulses it.',
    why: 'lacquer at the tip spoils the spray',
  },
  breather: {
    substance: 'isopropyl',
    first: 'wipe',
    how: 'wipe',
    then: [],
    words: 'Wiped, shaken, looked through. It must rattle free; what sticks is renewed.',
    why: 'oil mist glues it',
  },
  hose: {
    substance: 'alkaline-detergent',
    first: 'wipe',
    how: 'wipe',
    then: ['rinse'],
    words: 'Washed, rinsed, hung to dry. Soft, cracked or oil-swollen ones are renewed.',
    why: 'oil softens it from inside',
  },
  'air-meter': {
    substance: 'air-mass-cleaner',
    first: 'wet',
    how: 'spray',
    then: [],
    words: 'Sprayed from a hand’s width with its own cleaner, nothing else, nothing touched.',
    why: 'dust and oil on the film shift its reading',
  },
  'air-box': {
    substance: 'alkaline-detergent',
    first: 'wipe',
    how: 'wipe',
    then: ['rinse'],
    words: 'Washed out, rinsed, dry before the filter goes in.',
    why: 'what lies there is breathed in next',
  },
};
function washed(
  { substance, first, how, minutes, then, words, why }: Washed,
  protect: MethodPass,
  dry: MethodPass,
  masks: readonly Mask[],
): CleaningMethod {
  return {
    masks,
    passes: [
      protect,
      pass(first, why, { substance, how, minutes: minutes ?? null }),
      ...then.map((kind) => pass(kind, kind === 'rinse' ? 'with clean water, twice' : 'until the cloth stays clean')),
      { ...dry, why: 'nothing wet goes back' },
    ],
    rounds: {
      round: [first, ...then.filter((kind) => kind !== 'rinse')],
      end: [...then.filter((kind) => kind === 'rinse'), 'dry'],
    },
    words,
    rule: '',
  };
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
    rule: 'House rule: a bath for a fully stripped body.',
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
  const scrape = (form === 'diesel-flap' || form === 'passage') && rules.tool === 'scraper' && grade === 4;
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
