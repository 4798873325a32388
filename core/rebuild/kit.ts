import { advise, type Advice, LUBRICANTS, SUBSTANCES, type Substance, type Surface } from '../clean/index.ts';

/** Rubber of a seal. */
export const RUBBERS = { nbr: 'NBR', fkm: 'FKM', epdm: 'EPDM', 'silicone-rubber': 'silicone' } as const;
/** The id of a rubber; each is a surface of the advice. */
export type Rubber = keyof typeof RUBBERS & Surface;

/** One piece of a kit. */
export interface KitPart {
  readonly id: string;
  readonly name: string;
  readonly partNumber: string;
  readonly count: number;
  /** Null for what is not rubber: a gasket of paper or steel, a screw. */
  readonly rubber: Rubber | null;
  /** Which way round it sits; empty where it does not matter. */
  readonly wayRound: string;
  /** 1 first. Parts with the same figure go in any order. */
  readonly order: number;
  /** One to a place, back to its own: “cylinder”; empty for others. */
  readonly placed?: string | undefined;
  readonly note?: string | undefined;
}

/** What may be put on a rubber before it goes in, best first. @param favourite the house's, first among those that suit alike */
export function lubricantsFor(
  rubber: Rubber,
  favourite?: string,
): readonly { readonly substance: Substance; readonly advice: Advice }[] {
  const rank = { use: 0, 'with care': 1, never: 2 } as const;
  return LUBRICANTS.map((substance) => ({ substance, advice: advise(substance, rubber, 'smear') })).sort(
    (a, b) =>
      rank[a.advice.verdict] - rank[b.advice.verdict] ||
      Number(b.substance === favourite) - Number(a.substance === favourite),
  );
}

/** Why a lubricant must not go on a rubber, in a sentence, or null when it may. */
export function lubricantProblem(substance: Substance, rubber: Rubber): string | null {
  const { verdict, reason } = advise(substance, rubber, 'smear');
  if (verdict !== 'never') return null;
  const best = lubricantsFor(rubber)[0];
  const instead = best === undefined || best.advice.verdict === 'never' ? 'dry' : SUBSTANCES[best.substance];
  return `Never ${SUBSTANCES[substance]} on ${RUBBERS[rubber]}: ${reason}. Take ${instead}.`;
}

/** The pieces in the order in which they go in. */
export const inOrder = (kit: readonly KitPart[]): KitPart[] => [...kit].sort((a, b) => a.order - b.order);

/** The pieces that come before this one and are not in yet. @param done ids */
export const missingBefore = (kit: readonly KitPart[], id: string, done: ReadonlySet<string>): KitPart[] => {
  const own = kit.find((part) => part.id === id);
  return own === undefined ? [] : inOrder(kit).filter((part) => part.order < own.order && !done.has(part.id));
};
