import { HOLDERS, NUMBER_WORDS, PLUG_OF } from './vocabulary.ts';

/** What is said of a thing besides its name; fields that were not said are left out. */
export interface Attributes {
  count?: number;
  thread?: string;
  tool?: string;
  place?: string;
  torque?: string;
  plug?: string;
  /** It stays connected and was only moved out of the way: how, as it was said. */
  aside?: string;
  /** What was counted is what holds the thing: “two clamps” of an air duct. */
  holders?: true;
}

/** The words of one part of a sentence with some of them taken out. */
interface Rest {
  words: string;
}

const FIGURE = String.raw`\d+(?:[.,]\d+)?`;
const TORQUE = new RegExp(
  String.raw`\b${FIGURE}(?:\s*(?:to|-|–|±)\s*${FIGURE})?\s*(?:n\s?[·.]?\s?m|(?:ft|foot|in|inch)[- ·]?(?:lbf?s?|pounds?)|(?:lbf?|pounds?)[- ·]?(?:ft|feet|in|inch)|kgf?[ ·]?c?m)\b(?:\s*\+\s*\d+\s*°)?`,
  'i',
);
const THREAD = new RegExp(String.raw`\bm\s?(${FIGURE})((?:\s*(?:[x×*]|by)\s*${FIGURE}){0,2})(?![\d.])\b`, 'i');
const POCKET = /\b(?:(?:in|into|to)\s+)?(?:the\s+)?(?:tray|pocket)\s+([a-l]\d{1,2})\b/i;
const BARE_POCKET = /(?<=^|[\s,])([A-L]\d{1,2}|[a-l][1-9])(?=$|[\s,])/;
const SHELF =
  /\b(?:(?:in|on|into|to)\s+)?(?:the\s+|a\s+)?(?<!air )(rack|shelf|bag|tin|tub|cup|bin|bench|drawer)\b\s*(\d+|[a-z]\b)?/i;
const NUMBERED_BOX = /\b(?:in\s+)?(?<!air )(box)\s*(\d+)\b/i;
const HANGING = /\b(?:hung|tied|hanging|folded)\s*(?:up|back|aside|out of the way)?\b/i;
const ASIDE =
  /\b(?:(?:(?:tied|hung|swung|folded|moved)\s+(?:up|back|aside|away)|propped(?:\s+up)?)(?:\s+(?:and|but|with it))?\s+)?(?:left|still|stays?|stayed)\s+(?:connected|plugged in)\b|\bpropped(?:\s+up)?\b|\bswung\s+(?:up|back|aside|away)\b/i;
const TOOLS: readonly (readonly [RegExp, (found: readonly string[]) => string])[] = [
  [/\b(?:hex|allen)\s*(\d+(?:[.,]5)?)(?:\s*mm)?\b/i, ([, size]) => `${size} mm hex`],
  [/\b(\d+(?:[.,]5)?)\s*mm\s*(?:hex|allen)\b/i, ([, size]) => `${size} mm hex`],
  [
    /\b(\d+(?:[.,]5)?)\s*mm\b(?!\s*(?:long|deep|thick|wide|bore|short))(?:\s*(?:socket|spanner|ring|wrench|head))?/i,
    ([, size]) => `${size} mm`,
  ],
  [/\b(t\d{1,2})\b/i, ([, size = '']) => size.toUpperCase()],
  [/\b(ph\d)\b/i, ([, size = '']) => size.toUpperCase()],
  [/\b(?:cross[- ]?(?:point|head))\b/i, () => 'cross-point'],
  [/\b(pliers|flat blade)\b/i, ([, tool = '']) => tool.toLowerCase()],
];
const STUFF = '(?:rag|cloth|towel|bung|cap|plug|tape|bag|glove|bolt|screw|dowel)';
const PLUGGED_WITH = new RegExp(
  String.raw`\b(${Object.keys(PLUG_OF).join('|')})(?: off| up)?(?:\s+(?:with|by|using)\s+(?:an? |the |my )?([a-z -]+))?(?=$|,)`,
  'i',
);
const STUFF_IN = new RegExp(
  String.raw`\b(?:with )?(?:an? )?((?:clean |old |rubber |plastic )?${STUFF})\s+(?:in|into|over|on)\s+(?:it|them|the (?:inlet|port|hole|pipe|opening|mouth|manifold|end))\b`,
  'i',
);
const NUMBER = String.raw`(?:\d{1,3}|${Object.keys(NUMBER_WORDS)
  .filter((word) => word !== 'a')
  .join('|')})`;
const HELD_BY = new RegExp(
  String.raw`(?:\b(?:with|and|by|of)\s+(?:its\s+)?|\()?\b(${NUMBER})\s*(?:x|×|off|of the|of)?\s+(${HOLDERS})\b\)?`,
  'i',
);
const COUNTS: readonly RegExp[] = [
  new RegExp(
    String.raw`^\s*(?:all\s+)?(?:the\s+)?(${NUMBER})\s*(?:[x×]|off\b|pcs\b|pieces\b)?(?=\s|$)(?!\s*(?:mm|cylinder))`,
    'i',
  ),
  new RegExp(String.raw`(?<=^|\s)[x×]\s*(\d{1,3})(?=$|\s)`, 'i'),
  new RegExp(
    String.raw`(?<!\b(?:bank|cylinder|number|no|cyl)\s)(?<=\s)(${NUMBER})\s*(?:[x×]|off|pcs|pieces)?\s*$`,
    'i',
  ),
];

const numberOf = (text: string): number => NUMBER_WORDS[text.toLowerCase()] ?? Number(text);
const threadText = (diameter: string, rest: string): string =>
  `M${diameter}${[...rest.matchAll(/\d+(?:[.,]\d+)?/g)].map(([figure]) => `×${figure}`).join('')}`.replaceAll(',', '.');

/** Takes a match out of the words; null when there is none. */
function take(rest: Rest, pattern: RegExp): RegExpExecArray | null {
  const found = pattern.exec(rest.words);
  if (found !== null)
    rest.words = `${rest.words.slice(0, found.index)} ${rest.words.slice(found.index + found[0].length)}`
      .replace(/\s+/g, ' ')
      .trim();
  return found;
}

/**
 * Takes figures, places and what plugs it out of one part of a sentence.
 * @returns what was read, and the words that are left
 */
export function takeAttributes(part: string): { readonly read: Attributes; readonly words: string } {
  const rest: Rest = { words: part.trim() };
  const read: Attributes = {};
  const torque = take(rest, TORQUE);
  if (torque !== null) read.torque = torque[0].trim();
  const thread = take(rest, THREAD);
  if (thread !== null) read.thread = threadText(thread[1] ?? '', thread[2] ?? '');
  const pocket = take(rest, POCKET) ?? take(rest, BARE_POCKET);
  if (pocket !== null) read.place = (pocket[1] ?? '').toUpperCase();
  const shelf = take(rest, SHELF) ?? take(rest, NUMBERED_BOX);
  if (shelf !== null) read.place ??= [shelf[1]?.toLowerCase(), shelf[2]].filter(Boolean).join(' ');
  for (const [pattern, say] of TOOLS) {
    const tool = read.tool === undefined ? take(rest, pattern) : null;
    if (tool !== null) read.tool = say(tool);
  }
  const aside = take(rest, ASIDE);
  if (aside !== null) read.aside = aside[0].trim().toLowerCase();
  take(rest, HANGING);
  const stuff = take(rest, STUFF_IN);
  if (stuff !== null) read.plug = capital(stuff[1] ?? '');
  const plugged = stuff === null ? take(rest, PLUGGED_WITH) : null;
  if (plugged !== null)
    read.plug = capital(plugged[2]?.trim() || (PLUG_OF[(plugged[1] ?? '').toLowerCase()] ?? 'Plug'));
  takeCount(rest, read);
  return { read, words: rest.words };
}

/** Takes the count out, with what is counted where that only holds the thing. */
function takeCount(rest: Rest, read: Attributes): void {
  const held = HELD_BY.exec(rest.words);
  const before = held === null ? '' : rest.words.slice(0, held.index).trim();
  const after = held === null ? '' : rest.words.slice(held.index + held[0].length).trim();
  if (held !== null && before !== '' && after === '') {
    read.count = numberOf(held[1] ?? '');
    read.holders = true;
    rest.words = before;
    return;
  }
  for (const pattern of COUNTS) {
    const count = take(rest, pattern);
    if (count === null) continue;
    read.count = numberOf(count[1] ?? '');
    return;
  }
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
