import { EVEN_SPREAD_KPA } from '../balance/index.ts';
import { LEAST_CHANCE, type OptionId, OPTIONS, USUAL } from '../choose/index.ts';
import { BATH_MINUTES, DRYING_MINUTES, type SoakFigures, soakMinutes } from '../clean/index.ts';
import { LIGHT_SHAPE } from '../inspect/index.ts';
import { type RungId, RUNGS } from '../seized/index.ts';

/** A figure of the trade that a shop may set for itself. */
export interface ShopFigure {
  readonly name: string;
  readonly unit: string;
  /** What holds until the shop says otherwise: our own estimate, without a source. */
  readonly usual: number;
  readonly low: number;
  readonly high: number;
  /** Where it counts. */
  readonly where: string;
}

const rung = (id: RungId): ShopFigure => {
  const { name, chance } = RUNGS.find((each) => each.id === id)!;
  return {
    name: `Comes out: ${name.toLowerCase()}`,
    unit: '%',
    usual: Math.round(chance * 100),
    low: 0,
    high: 100,
    where: 'the ladder of a seized screw',
  };
};

const minutesOf = (id: OptionId): ShopFigure => ({
  name: `Minutes: ${OPTIONS[id].toLowerCase()}`,
  unit: 'min',
  usual: USUAL[id].minutes,
  low: 1,
  high: 6000,
  where: 'the plans at Decide, where no procedure says better',
});
const lifeOf = (id: OptionId): ShopFigure => ({
  name: `Lasts: ${OPTIONS[id].toLowerCase()}`,
  unit: 'km',
  usual: USUAL[id].lifeKm,
  low: 100,
  high: 1_000_000,
  where: 'the plans at Decide; running hours in proportion',
});

/** Every figure that a shop may set, by its id; stored, never change one. */
export const SHOP_FIGURES = {
  'least-chance': {
    name: 'A step is not worth trying under',
    unit: '%',
    usual: LEAST_CHANCE * 100,
    low: 0,
    high: 50,
    where: 'the plans at Decide',
  },
  'light-shape': {
    name: 'Uneven light is a shape from',
    unit: '%',
    usual: LIGHT_SHAPE * 100,
    low: 10,
    high: 95,
    where: 'the light test at Inspect: under it, deposit',
  },
  'balance-spread': {
    name: 'A bank draws evenly up to a spread of',
    unit: 'kPa',
    usual: EVEN_SPREAD_KPA,
    low: 0.4,
    high: 15,
    where: 'the balance at Prove: 2.7 kPa is 20 mmHg',
  },
  'due-interval': {
    name: 'Cleaned again after',
    unit: 'km',
    usual: 60_000,
    low: 1000,
    high: 500_000,
    where: 'what is due, where nothing is known of a vehicle; running hours in proportion',
  },
  'unit-minutes': {
    name: 'Work on a unit that nobody has timed',
    unit: 'min',
    usual: 40,
    low: 1,
    high: 1440,
    where: 'the outlook at Prepare',
  },
  'soak-minutes': {
    name: 'A usual soak',
    unit: 'min',
    usual: 25,
    low: 1,
    high: 1440,
    where: 'the outlook at Prepare',
  },
  'bath-detergent': {
    name: 'A detergent bath',
    unit: 'min',
    usual: BATH_MINUTES['alkaline-detergent'],
    low: 1,
    high: 240,
    where: 'cleaning a stripped body',
  },
  'bath-drying': {
    name: 'Drying after a bath',
    unit: 'min',
    usual: DRYING_MINUTES,
    low: 1,
    high: 1440,
    where: 'cleaning a stripped body',
  },
  'soak-body': {
    name: 'A soak of a body of grade 2',
    unit: 'min',
    usual: soakMinutes('cable', 2),
    low: 1,
    high: 240,
    where: 'cleaning; other grades in proportion',
  },
  'soak-valve': {
    name: 'A soak of a valve of grade 2',
    unit: 'min',
    usual: soakMinutes('rotary-valve', 2),
    low: 1,
    high: 240,
    where: 'cleaning; other grades in proportion',
  },
  'recheck-days': {
    name: 'Looked at again after',
    unit: 'days',
    usual: 14,
    low: 1,
    high: 3650,
    where: 'what is proposed at Coolant',
  },
  'minutes-relearn': minutesOf('relearn'),
  'minutes-remove': minutesOf('remove'),
  'minutes-adjust': minutesOf('adjust'),
  'minutes-clean-in-place': minutesOf('clean-in-place'),
  'minutes-clean-bench': minutesOf('clean-bench'),
  'minutes-rebuild': minutesOf('rebuild'),
  'minutes-replace': minutesOf('replace'),
  'minutes-replace-rebuilt': minutesOf('replace-rebuilt'),
  'minutes-replace-used': minutesOf('replace-used'),
  'minutes-elsewhere': minutesOf('elsewhere'),
  'life-relearn': lifeOf('relearn'),
  'life-remove': lifeOf('remove'),
  'life-adjust': lifeOf('adjust'),
  'life-clean-in-place': lifeOf('clean-in-place'),
  'life-clean-bench': lifeOf('clean-bench'),
  'life-rebuild': lifeOf('rebuild'),
  'life-replace': lifeOf('replace'),
  'life-replace-rebuilt': lifeOf('replace-rebuilt'),
  'life-replace-used': lifeOf('replace-used'),
  'life-elsewhere': lifeOf('elsewhere'),
  'rung-right-bit': rung('right-bit'),
  'rung-access': rung('access'),
  'rung-oil': rung('oil'),
  'rung-oil-again': rung('oil-again'),
  'rung-heat': rung('heat'),
  'rung-impact': rung('impact'),
  'rung-grip': rung('grip'),
  'rung-slot': rung('slot'),
  'rung-drill': rung('drill'),
} as const satisfies Readonly<Record<string, ShopFigure>>;
/** The id of a {@link SHOP_FIGURES}. */
export type ShopFigureId = keyof typeof SHOP_FIGURES;

/** What a shop said of a figure: how much, where it has it from, and who said so when. */
export interface FigureSaid {
  readonly value: number;
  /** Null is shown as *shop figure, verify*. */
  readonly source: string | null;
  readonly by: string;
  readonly at: string;
}
/** The figures that a shop has set. */
export type ShopValues = Readonly<Partial<Record<ShopFigureId, FigureSaid>>>;

/** A figure as it holds in this shop, in its own unit. */
export const figureOf = (said: ShopValues, id: ShopFigureId): number => said[id]?.value ?? SHOP_FIGURES[id].usual;

/** Why a figure cannot be so; null when it can. */
export function figureProblem(id: ShopFigureId, value: number): string | null {
  const { low, high, unit } = SHOP_FIGURES[id];
  return Number.isFinite(value) && value >= low && value <= high
    ? null
    : `Expected ${low} to ${high} ${unit}, got ${value}.`;
}

/** The chances of the ladder as the shop has them, 0 to 1, by rung. */
export const rungChances = (said: ShopValues): Readonly<Partial<Record<RungId, number>>> =>
  Object.fromEntries(RUNGS.map(({ id }) => [id, figureOf(said, `rung-${id}`) / 100]));

/** How long things lie wet in this shop, for the method of a unit. */
export const soakFigures = (said: ShopValues): SoakFigures => ({
  body: figureOf(said, 'soak-body'),
  valve: figureOf(said, 'soak-valve'),
  bath: figureOf(said, 'bath-detergent'),
  drying: figureOf(said, 'bath-drying'),
});

/** By how much a shop's own minutes and life of an option differ from the usual ones: factors, 1 where nothing was said. */
export const optionFactors = (said: ShopValues, id: OptionId): { readonly minutes: number; readonly life: number } => ({
  minutes: figureOf(said, `minutes-${id}`) / SHOP_FIGURES[`minutes-${id}`].usual,
  life: figureOf(said, `life-${id}`) / SHOP_FIGURES[`life-${id}`].usual,
});
