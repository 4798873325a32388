import { random } from '../chance/index.ts';
import { oneOf, shuffled } from './shuffle.ts';

/** A way there and back as it was noted down; one thing of it never came out. */
export interface StillInDrill {
  readonly lines: readonly string[];
  readonly answers: readonly string[];
  readonly answer: string;
}

/** What goes in and comes out, by its notes. */
const THINGS: readonly { readonly what: string; readonly into: string; readonly out: string }[] = [
  { what: 'the cap in the inlet', into: 'Inlet capped', out: 'Cap off the inlet' },
  {
    what: 'the rag under the linkage',
    into: 'Rag laid under the linkage',
    out: 'Rag from the linkage back on the bench',
  },
  { what: 'the bung in the left coolant pipe', into: 'Left coolant pipe: bung in', out: 'Left bung out, hose on' },
  { what: 'the bung in the right coolant pipe', into: 'Right coolant pipe: bung in', out: 'Right bung out, hose on' },
  { what: 'the cloth in the valve port', into: 'Cloth into the valve port', out: 'Cloth out of the port' },
  { what: 'the tie that holds the loom', into: 'Loom tied back', out: 'Tie cut, loom in its clip' },
  { what: 'the clamp on the fuel hose', into: 'Clamp on the fuel hose', out: 'Clamp off the hose' },
];
const BETWEEN: readonly string[] = [
  'Body onto the bench',
  'Bore cleaned, both faces of the plate',
  'New gasket laid in',
  'Body on, four bolts by hand',
  'Bolts to 9 N·m, crosswise',
  'Duct on, clamp to 3 N·m',
  'Plugs on, both click',
];
const TAKEN = 5;

/** @param seed 0 to 2³² − 1; the same seed is the same way */
export function stillInDrill(seed: number): StillInDrill {
  const dice = random(seed);
  const things = shuffled(THINGS, dice).slice(0, TAKEN);
  const left = oneOf(things, dice);
  const back = shuffled(
    things.filter((thing) => thing !== left),
    dice,
  ).map(({ out }) => out);
  const work = [...BETWEEN];
  // What comes out is noted among the work of the way back, in no order that would tell.
  const way = back.reduce<string[]>((lines, line) => {
    const at = 3 + Math.floor(dice.uniform() * (lines.length - 2));
    return [...lines.slice(0, at), line, ...lines.slice(at)];
  }, work);
  return {
    lines: [...things.map(({ into }) => into), ...way],
    answers: shuffled(
      things.map(({ what }) => what),
      dice,
    ),
    answer: left.what,
  };
}
