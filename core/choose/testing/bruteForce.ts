import type { ChooseInput } from '../index.ts';

/** Each word as a chance, written down again: this search shares no code with the one it is held against. */
const OFTEN: Readonly<Record<string, number>> = {
  never: 0,
  seldom: 0.1,
  sometimes: 0.3,
  often: 0.6,
  'nearly always': 0.9,
};

/** Which of a vehicle's faults are still there, with how likely that is. */
type World = readonly { readonly faults: readonly string[]; readonly p: number }[];

/**
 * The cheapest plan per distance by trying everything, as a reference for tests: worlds of faults are followed one by
 * one, in plain lists.
 */
export function bruteForce(input: ChooseInput): { readonly perUseMinor: number } | null {
  const least = input.leastChance ?? 0.05;
  const cures = (option: string, fault: string): number =>
    OFTEN[
      input.causes.find((cause) => cause.id === fault)?.cures.find((each) => each.option === option)?.word ?? 'never'
    ] ?? 0;
  const start: World = input.belief.map((one) => ({
    faults: one.with === undefined ? [one.cause] : [one.cause, one.with.cause],
    p: one.share,
  }));
  let best: number | null = null;
  const sequences = input.terms.flatMap((a) => [
    [a],
    ...input.terms
      .filter((b) => b !== a)
      .flatMap((b) => [[a, b], ...input.terms.filter((c) => c !== a && c !== b).map((c) => [a, b, c])]),
  ]);
  for (const sequence of sequences) {
    if (sequence.some((term, at) => sequence.slice(0, at).some((before) => lesser(term.id, before.id)))) continue;
    let world: World = start;
    let [cost, life, hopeless] = [0, 0, false];
    for (const term of sequence) {
      const reach = world.reduce((sum, { p }) => sum + p, 0);
      const next: { faults: readonly string[]; p: number }[] = [];
      let [cured, helped] = [0, 0];
      for (const { faults, p } of world) {
        for (const gone of subsets(faults)) {
          const chance = faults.reduce(
            (product, fault) => product * (gone.includes(fault) ? cures(term.id, fault) : 1 - cures(term.id, fault)),
            1,
          );
          if (gone.length > 0) helped += p * chance;
          const left = faults.filter((fault) => !gone.includes(fault));
          if (left.length > 0) {
            next.push({ faults: left, p: p * chance });
            continue;
          }
          cured += p * chance;
          const ends = faults.map(
            (fault) => input.causes.find((cause) => cause.id === fault)?.returns?.[input.per] ?? Infinity,
          );
          life += p * chance * Math.min(term.life, ...ends);
        }
      }
      if (helped < least * reach) hopeless = true;
      cost +=
        reach *
          ((term.partsMinor ?? 0) +
            term.consumablesMinor +
            (term.minutes * input.ratePerHourMinor) / 60 +
            term.daysOff * input.dayPriceMinor) +
        (reach - cured) * (1 - (term.showsAtOnce ?? 0)) * input.comebackMinor;
      world = next;
    }
    if (hopeless) continue;
    const open = world.reduce((sum, { p }) => sum + p, 0);
    const perUse =
      ((cost + open * (input.unsolvedMinor ?? input.comebackMinor)) / life) * (input.per === 'h' ? 100 : 10_000);
    if (best === null || perUse < best) best = perUse;
  }
  return best === null ? null : { perUseMinor: best };
}

/** What does less to the unit than another: a clean than a rebuild, a rebuild than a new one. */
const LADDER = ['clean-in-place', 'clean-bench', 'rebuild', 'replace'];
const lesser = (now: string, before: string): boolean =>
  LADDER.includes(now) && LADDER.includes(before) && LADDER.indexOf(now) <= LADDER.indexOf(before);

const subsets = (faults: readonly string[]): readonly (readonly string[])[] =>
  faults.reduce<readonly (readonly string[])[]>((all, fault) => [...all, ...all.map((each) => [...each, fault])], [[]]);
