import { found, type Match, stemsOf } from './pattern.ts';

/** Words that turn what follows into its opposite. */
const NEGATIONS = new Set(
  `not no never without nor neither hardly doesnt isnt dont didnt wasnt hasnt havent wont cannot cant arent werent
  stopped free nobody none`
    .trim()
    .split(/\s+/),
);
/** How far before a phrase a negation still belongs to it, in words. */
const REACH = 4;
/** Words that end what a negation reaches: “not too high, just rough” is one thing and another. */
const ENDS_REACH = new Set(
  `just only and or when because since so then until if after in with at under once while during`.split(' '),
);
/** Of those, the ones that carry it on: “no hunting or stalling”. */
const CARRIES = new Set(['or', 'nor', 'and']);

/** Whether a phrase is denied: by a word before it, or by “no more” after it. */
export function isNegated(words: readonly string[], { pattern, from, end }: Match): boolean {
  if (words.slice(from, end).some((word) => NEGATIONS.has(word) && !stemsOf(pattern).includes(word))) return true;
  if (found(['no more', 'not any more'], words.slice(end, end + 3))) return true;
  if (words[end] === 'no' && words[end + 1] === 'more') return true;
  // “no relearn after cleaning” denies the relearn; “not when cold” denies the cold.
  if (ENDS_REACH.has(words[from] ?? '')) return NEGATIONS.has(words[from - 1] ?? '');
  let carried = false;
  for (let back = from - 1; back >= Math.max(0, from - REACH); back -= 1) {
    const word = words[back] ?? '';
    if (NEGATIONS.has(word)) {
      return !carried || word === 'no' || word === 'neither' || word === 'nor' || word === 'without';
    }
    if (ENDS_REACH.has(word)) {
      if (!CARRIES.has(word)) return false;
      carried = true;
    }
  }
  return false;
}

/** Whether it is said to be so “not only” there: neither a yes nor a no. */
export const isNotOnly = (words: readonly string[], { from, end }: Match): boolean =>
  found(['not only', 'not just'], words.slice(Math.max(0, from - 3), end)) && !found(['too', 'also'], words.slice(end));

const NEARLY = [
  'nearly',
  'almost',
  'close to',
  'on the point of',
  'about to',
  '=wants to',
  '=want to',
  'trie/try to',
  'threaten to',
  'on the verge of',
  'just about',
];
/** Whether a phrase is said to have nearly happened. */
export const isNearly = (words: readonly string[], { from }: Match): boolean =>
  found(NEARLY, words.slice(Math.max(0, from - 5), from));

const SUPPOSED = [
  '=if',
  'what if',
  'should it',
  'could it be',
  'can it be',
  'maybe',
  'perhaps',
  'might be',
  'may be',
  'i think it needs',
  'afraid',
  'i wonder',
  'do i need',
  'should we',
  'should i',
  'is it possible',
  'in case',
];
/** Whether a clause only supposes, asks or fears. */
export const isSupposed = (words: readonly string[]): boolean => found(SUPPOSED, words);

const WISHED = [
  'please',
  '=want',
  '=wants',
  '=wanted',
  'would like',
  'id like',
  'should be',
  'needs =a/=to/=new/cleaning/=doing',
  'need =a/=to/=new/cleaning',
  'could you',
  'can you',
  'planning to',
  'plan to',
  'due for',
  'is due',
  'to be',
  'how much',
  'costs',
  'quote',
  'must be',
  'order a',
  'going to',
];
/** Whether a deed is wished, planned or asked for, and not done. */
export const isWished = (words: readonly string[]): boolean => found(WISHED, words);

const ANOTHERS = [
  'wifes',
  'husbands',
  'brothers',
  'sisters',
  'sons',
  'daughters',
  'friends',
  'neighbours',
  'neighbors',
  'mothers',
  'fathers',
  'colleagues',
  'the other van/car/bus/bike/boat/one',
  'another car/van',
];
/** Whether a clause speaks of another vehicle. */
export const isAnothers = (words: readonly string[]): boolean =>
  found(
    ANOTHERS.flatMap((whose) => (whose.includes(' ') ? [whose] : [`=${whose} car/van/bus/bike/boat/truck/one`])),
    words,
  );

/** Things of a vehicle that are none of ours. */
const FOREIGN = new Set(
  `radio brakes brake wipers wiper seats seat door doors window windows tyre tyres gearbox clutch paint wheel wheels
  indicator indicators driveshaft belt road boot horn mirror gauge roof bearing customer bends beer walks tap stereo
  suspension exhaust-clamp trailer key-fob`
    .trim()
    .split(/\s+/),
);
const OURS = new Set(
  `it engine idle idles revs rev motor throttle pedal valve she he tickover rpm turns body flap intake manifold i you`
    .trim()
    .split(/\s+/),
);
/** Whether a phrase is said of something else: of the radio before it, or of the wheel it comes from. */
export function isForeign(words: readonly string[], { from, end }: Match): boolean {
  for (let back = from - 1; back >= Math.max(0, from - 4); back -= 1) {
    const word = words[back] ?? '';
    if (OURS.has(word)) {
      if (!(word === 'pedal' && words[back - 1] === 'clutch')) break;
    }
    if (FOREIGN.has(word)) return true;
  }
  for (let ahead = end; ahead < Math.min(words.length, end + 4); ahead += 1) {
    const word = words[ahead] ?? '';
    if (OURS.has(word) || ['when', 'if', 'and', 'with'].includes(word)) return false;
    if (
      FOREIGN.has(word) &&
      (ahead === end ||
        (ahead === end + 1 && ['the', 'my', 'all'].includes(words[end] ?? '')) ||
        words.slice(end, ahead).some((between) => ['from', 'of', 'in'].includes(between)))
    )
      return true;
  }
  return false;
}
