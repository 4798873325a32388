/**
 * Words of the trade that people misspell, in the forms they use. A word that is none of ours, and lies one slip away
 * from just one of these, is read as it.
 */
const TRADE_WORDS: readonly string[] = `
stall stalls stalled stalling hunt hunts hunting hesitate hesitates hesitating hesitation throttle idle idles idling
rough power pedal limp mode start starts starting warm cold valve engine battery cleaned cleaning coming slow smoke
accelerating accelerate accelerator response surging surges whistle whistles hissing vibrates vibration relearn
gasket jerks jerking shakes shaking sudden suddenly intermittent sometimes steering lights high when morning
`
  .trim()
  .split(/\s+/);

/** Words that look like a slip of another and are none. */
const WORDS_OF_THEIR_OWN: ReadonlySet<string> = new Set(
  `stand stands start stars stall halls wall tall small smell shell still pole mole more made model older older
  oil idol bold told gold old hold sold wart farm harm what than them then where here there wish high thigh sigh night
  light right lights nights rights slot slow show snow flow low blow glow shows slows flows white while whole
  shake shaken starts stats status states stays star cold colt code coded codes code modes pedals medal metal petal
  power tower lower rower value valves halve gaskets basket response responses sometime idler hunted hint hints
  hours front rear engines sings rings bring warmer could would should code clear clears cleared clearing clean cleans dead lead read head worn work works born corn cooled called rolled`
    .trim()
    .split(/\s+/),
);

const LIKE: Readonly<Record<string, string>> = {
  ruff: 'rough',
  tru: 'through',
  idel: 'idle',
  powr: 'power',
  mod: 'mode',
};

/** Words with the slips put right. A word is left alone when it is known, short, or could be two. @param known stems of the patterns */
export const putRight = (words: readonly string[], known: (word: string) => boolean): string[] =>
  words.map((word) => {
    const alias = LIKE[word];
    if (alias !== undefined) return alias;
    if (word.length < 4 || /\d/.test(word) || TRADE_WORDS.includes(word) || WORDS_OF_THEIR_OWN.has(word) || known(word))
      return word;
    const near = TRADE_WORDS.filter((trade) => trade.length >= 4 && trade[0] === word[0] && oneSlip(word, trade));
    // Forms of one word are one word: “stals” is stall or stalls alike.
    const [first] = near;
    return first !== undefined && near.every((each) => each.slice(0, 4) === first.slice(0, 4)) ? longest(near) : word;
  });

const longest = (words: readonly string[]): string => [...words].sort((a, b) => b.length - a.length)[0] ?? '';

/** Whether one letter added, left out, changed, or two neighbours swapped, make one word of the other. */
export function oneSlip(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1 || a === b) return false;
  let head = 0;
  while (head < a.length && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < Math.min(a.length, b.length) - head && a.at(-1 - tail) === b.at(-1 - tail)) tail += 1;
  const [left, right] = [a.slice(head, a.length - tail), b.slice(head, b.length - tail)];
  return (
    (left.length <= 1 && right.length <= 1) ||
    (left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0])
  );
}
