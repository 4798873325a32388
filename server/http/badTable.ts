import { HttpError } from './errors.ts';

/** Lines that are named, of as many as there are. */
const NAMED = 50;

/**
 * Refuses a table with lines that cannot be read, unless the good ones alone are asked for.
 * @param good how many can be read
 * @throws HttpError 400 that names the lines
 */
export function mustBeWhole(
  good: number,
  problems: readonly { readonly line: number; readonly message: string }[],
  goodAlone: boolean,
): void {
  const [first] = problems;
  if (first === undefined || (goodAlone && good > 0)) return;
  throw new HttpError(
    'bad-table',
    `${problems.length} of ${good + problems.length} lines cannot be read; nothing was taken in. First: line ${first.line}, ${first.message}`,
    {
      fields: Object.fromEntries(problems.slice(0, NAMED).map(({ line, message }) => [`line ${line}`, message])),
      wouldHelp: good > 0 ? 'Correct them, or take in the good lines alone.' : '',
    },
  );
}
