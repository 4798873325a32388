import { readLine } from '../../core/line/index.ts';
import { type Rate, rateOf } from '../../core/diagnose/index.ts';
import type { LineCase, LineThing } from './lineCase.ts';
export { APART_LINES } from './apart.ts';
export { WORK_LINES } from './work.ts';

const FIELDS = ['name', 'kind', 'count', 'thread', 'tool', 'place', 'torque', 'plug', 'joint'] as const;
type Said = Readonly<Record<(typeof FIELDS)[number], string>>;

const said = (thing: Partial<Record<(typeof FIELDS)[number], unknown>> | undefined): Said =>
  Object.fromEntries(FIELDS.map((field) => [field, thing?.[field] == null ? '' : String(thing[field])])) as Said;

/** How well sentences of what came off are read. */
export interface LineScore {
  /** Sentences of which every thing and every field came out as meant. */
  readonly whole: Rate;
  /** Of the fields that were said, those heard as meant. */
  readonly recall: Rate;
  /** Of the fields that were heard, those that were said so. */
  readonly precision: Rate;
  /** Sentences that did not come out whole, with what was heard. */
  readonly wrong: readonly {
    readonly text: string;
    readonly meant: readonly Said[];
    readonly heard: readonly Said[];
  }[];
}

/** Reads every sentence and compares field by field. */
export function scoreLines(cases: readonly LineCase[]): LineScore {
  const wrong: { text: string; meant: Said[]; heard: Said[] }[] = [];
  const count = { meant: 0, heard: 0, right: 0 };
  for (const { text, things } of cases) {
    const meant = things.map((thing: LineThing) => said(thing));
    const heard = readLine(text).map((thing) => said(thing));
    for (let at = 0; at < Math.max(meant.length, heard.length); at += 1)
      for (const field of FIELDS) {
        const [was, is] = [meant[at]?.[field] ?? '', heard[at]?.[field] ?? ''];
        if (was !== '') count.meant += 1;
        if (is !== '') count.heard += 1;
        if (was !== '' && was === is) count.right += 1;
      }
    if (JSON.stringify(meant) !== JSON.stringify(heard)) wrong.push({ text, meant, heard });
  }
  return {
    whole: rateOf(cases.length - wrong.length, cases.length),
    recall: rateOf(count.right, count.meant),
    precision: rateOf(count.right, count.heard),
    wrong,
  };
}
