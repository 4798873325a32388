import type { ItemKind, Joint } from '../procedure/index.ts';
import { parseThread } from '../torque/index.ts';
import { upperFirst } from '../words/index.ts';
import { type Attributes, takeAttributes } from './attributes.ts';
import { HOLDERS, jointOfWords, kindOf } from './vocabulary.ts';

/** What can be read of a thing that came off. */
export type LineField = 'count' | 'thread' | 'tool' | 'place' | 'torque' | 'plug';

/** A thing that came off, as a sentence says it. Fields that were not said are empty; see {@link LineField}. */
export interface LineThing {
  readonly name: string;
  readonly kind: ItemKind;
  /** What its fasteners hold; null where none are spoken of. */
  readonly joint: Joint | null;
  readonly count: number | null;
  readonly thread: string;
  readonly tool: string;
  readonly place: string;
  readonly torque: string;
  readonly plug: string;
  /** It stays connected and was only moved out of the way: how, as it was said; empty for what came off. */
  readonly aside: string;
  /** Whether the kind was read from the words; else it is a guess. */
  readonly kindSaid: boolean;
}

/**
 * Reads what a person typed or said about things that came off: `flange bolts 4 M6x25, 10 mm, tray B2; the unit itself`.
 * Things are told apart by semicolons, new lines, *then*, and by *and* or a comma where a new thing is named after it.
 * @returns the things in the order in which they were said; empty for nothing
 */
export const readLine = (text: string): LineThing[] => splitLine(text).flatMap(thingsOf).map(finish);

const splitLine = (text: string): string[] => text.split(/;|\n|\b(?:and )?then\b/i);

/** The words of each thing by itself, in the order of {@link readLine}. */
export const lineParts = (text: string): string[] =>
  splitLine(text).flatMap((segment) => thingsOf(segment).map(({ words }) => words.join(', ')));

interface Draft {
  /** The parts of the sentence that it came from. */
  readonly words: string[];
  readonly names: string[];
  readonly read: Attributes;
}

const LEAD =
  /^(?:(?:i(?:['’]ve| have)?|we|ok|and|also|next|now|just|have|got|took|taken|take|undid|undone|removed?|unscrewed|unbolted|disconnected|unplugged|pulled|loosened|off|out|the|an?|its|this|that|these|my)\b[:,]?\s*)+/i;
const TRAIL =
  /\s*\b(?:(?:is|are|has|have)\s+)?(?:(?:came|come|comes)\s+)?(?:off|out|away|removed|free|now|too|as well|itself)$/i;
const SIDE = /\s+(?:(?:left|right|upper|lower|front|rear|inner|outer|inboard|outboard|top|bottom|middle)\s*)+$/;
const WHERE = /,|\s+(?:and|of|on|at|in|to|from|for|by|off|under|behind|over|between)\b/i;

function thingsOf(segment: string): Draft[] {
  const drafts: Draft[] = [];
  for (const part of segment.split(',').flatMap(byAnd)) {
    const { read, words } = takeAttributes(bare(part));
    const name = bare(words);
    const last = drafts.at(-1);
    // Two threads in one breath are lengths told apart: the words stay beside the first.
    const stuff = last === undefined ? null : plugOf(last, name);
    if (last !== undefined && stuff !== null) {
      last.words.push(part.trim());
      last.read.plug ??= stuff;
      continue;
    }
    const several = [...part.matchAll(/\bm\s?\d/gi)].length > 1;
    if (last !== undefined && (several || isQualifier(name))) {
      last.words.push(part.trim());
      merge(last, several ? { ...read, count: undefined } : read, several ? part.trim() : name);
    } else if (name !== '' || Object.keys(read).length > 0)
      drafts.push({ words: [part.trim()], names: name === '' ? [] : [name], read: { ...read } });
  }
  return drafts;
}

const BARE_PLUG =
  /^(?:an? |the |my )?((?:clean |old |rubber |plastic )?(?:rag|cloth|towel|bung|cap|plug|tape|bag|glove))$/i;

/** What plugs the opening that the thing before has left, where it is only named after a comma: “coolant hose, bung”. */
function plugOf({ names }: Draft, name: string): string | null {
  const before = names.join(', ');
  const kind = kindOf(headOf(before));
  const opens = kind === 'unit' || kind === 'coolant-hose' || /\bfuel\b/i.test(before);
  const stuff = opens ? BARE_PLUG.exec(name) : null;
  return stuff === null ? null : upperFirst((stuff[1] ?? '').toLowerCase());
}

/** Words without what a sentence begins and ends with. */
function bare(words: string): string {
  const cut = words.trim().replace(LEAD, '').replace(TRAIL, '').trim();
  return cut.replace(/^[-:()\s]+|[-:()\s]+$/g, '');
}

/** A part joined by *and* is two where each side names a thing. */
function byAnd(part: string): string[] {
  const sides = part.split(/\s+and\s+/i);
  return sides.length > 1 && sides.every((side) => namesThing(bare(takeAttributes(bare(side)).words))) ? sides : [part];
}

/** The words that say what it is: those before *of the*, *on*, *at*, a comma or a side. */
const headOf = (name: string): string => (name.toLowerCase().split(WHERE)[0] ?? '').replace(SIDE, '').trim();
const namesThing = (name: string): boolean => name !== '' && kindOf(headOf(name)) !== null;
const ONLY_HOLDERS = new RegExp(`^(?:its )?(?:${HOLDERS})$`, 'i');

/** Whether the words say more of the thing before, not of another. */
const isQualifier = (name: string): boolean => name === '' || ONLY_HOLDERS.test(name) || !namesThing(name);

function merge(draft: Draft, more: Partial<Record<keyof Attributes, unknown>>, name: string): void {
  const { read } = draft;
  const own = kindOf(headOf(draft.names.join(', ')));
  if (ONLY_HOLDERS.test(name)) {
    if (own === 'fasteners' || own === null) draft.names.push(name);
    else read.holders = true;
  } else if (name !== '') draft.names.push(name);
  for (const [field, value] of Object.entries(more))
    if (value !== undefined && read[field as keyof Attributes] === undefined) Object.assign(read, { [field]: value });
}

const SHORT: ReadonlyMap<string, string> = new Map([['tb', 'Throttle body']]);

function finish({ names, read }: Draft): LineThing {
  const spoken = names.join(', ');
  const name = SHORT.get(spoken.toLowerCase()) ?? upperFirst(spoken);
  const words = name.toLowerCase();
  const said = kindOf(headOf(words)) ?? kindOf(words);
  const kind = said ?? 'other';
  const counted =
    kind === 'fasteners' ||
    read.holders === true ||
    read.thread !== undefined ||
    (kind === 'unit' && read.count !== undefined);
  return {
    name,
    kind,
    kindSaid: said !== null,
    joint: counted ? jointOfWords(words, kind) : null,
    count: read.count ?? null,
    thread: read.thread ?? '',
    tool: read.tool ?? '',
    place: read.place ?? '',
    torque: read.torque ?? '',
    plug: read.plug ?? '',
    aside: read.aside ?? '',
  };
}

/** What cannot be so, by field, in words; what was typed stays. */
export function lineProblems({ name, count, thread }: Pick<LineThing, 'name' | 'count' | 'thread'>): readonly {
  readonly field: LineField | 'name';
  readonly message: string;
}[] {
  const problems: { field: LineField | 'name'; message: string }[] = [];
  if (!/\p{L}{2}/u.test(name)) problems.push({ field: 'name', message: 'Say what it is: “duct”, “flange bolts”.' });
  if (count === 0) problems.push({ field: 'count', message: 'None is nothing that came off: expected 1 to 200.' });
  else if (count !== null && !(Number.isInteger(count) && count > 0 && count <= 200))
    problems.push({ field: 'count', message: 'Expected a whole number from 1 to 200.' });
  if (thread !== '' && /^m\s?\d/i.test(thread) && parseThread(thread) === null)
    problems.push({ field: 'thread', message: `There is no thread ${thread}. Expected one such as M6 or M6×25.` });
  return problems;
}
