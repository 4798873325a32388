import { samePart } from '../stock/index.ts';
import type { Need } from '../procedure/index.ts';
import { addDays, addMonths, sayDate } from '../days/index.ts';

/** A tool on the shop's list. */
export interface Tool {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  /** What it covers, in words: “2 to 20 N·m”. */
  readonly range: string;
  /** ISO day of its last calibration; null when it has none. */
  readonly calibratedOn: string | null;
  /** Months after which it is due again; null where it needs none. */
  readonly calibrationMonths: number | null;
}

/** What is in the drawer. */
export interface InStock {
  readonly partNumber: string;
  readonly left: number;
  readonly place: string;
}

/** How a need stands. */
export interface Readiness {
  readonly need: Need;
  readonly status:
    'ready' | 'on order' | 'in stock' | 'spoken for' | 'not in stock' | 'on the wall' | 'overdue' | 'not looked at';
  readonly words: string;
}

/** What readiness is judged from. */
export interface ReadinessInput {
  readonly needs: readonly Need[];
  readonly states: readonly {
    readonly needId: string;
    readonly state: 'ready' | 'ordered' | 'missing';
    readonly expected: string | null;
  }[];
  readonly stock: readonly InStock[];
  /** How many other open jobs want a part number and have not used it yet. */
  readonly wantedElsewhere: (partNumber: string) => number;
  readonly tools: readonly Tool[];
  /** ISO day. */
  readonly today: string;
}

/** What is needed against what is there. */
export function readiness(input: ReadinessInput): Readiness[] {
  const states = new Map(input.states.map((state) => [state.needId, state]));
  return input.needs.map((need) => {
    const state = states.get(need.id);
    const told = (status: Readiness['status'], words: string): Readiness => ({ need, status, words });
    if (state?.state === 'ready') return told('ready', need.kind === 'do-first' ? 'done' : 'here');
    if (state?.state === 'ordered') return told('on order', `expected ${state.expected ?? 'some day'}`);
    if (need.kind === 'tool') return toolReadiness(need, input);
    if (need.kind === 'do-first' || need.partNumber === '') return told('not looked at', '');
    const held = input.stock.find(({ partNumber }) => samePart(partNumber, need.partNumber));
    if (held === undefined) return told('not in stock', 'not stocked here');
    const wanted = need.count ?? 1;
    if (held.left <= 0) return told('not in stock', `none left in ${held.place}`);
    if (held.left < wanted) return told('not in stock', `${held.left} in ${held.place}, ${wanted} are needed`);
    const elsewhere = input.wantedElsewhere(need.partNumber);
    return held.left - elsewhere < wanted
      ? told(
          'spoken for',
          `${held.left} in ${held.place}, wanted by ${elsewhere} other ${elsewhere === 1 ? 'job' : 'jobs'}`,
        )
      : told('in stock', `${held.left} in ${held.place}`);
  });
}

const words = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** The tool whose name shares most words with the need; at least half of the need's words. */
export function toolFor(name: string, tools: readonly Tool[]): Tool | null {
  const wanted = words(name);
  const shared = (tool: Tool): number => {
    const has = new Set(words(`${tool.name} ${tool.range}`));
    return wanted.filter((word) => has.has(word)).length;
  };
  const best = [...tools].sort((a, b) => shared(b) - shared(a) || a.id.localeCompare(b.id))[0];
  return best !== undefined && wanted.length > 0 && shared(best) * 2 >= wanted.length ? best : null;
}

/** The day on which a tool is due for calibration, or null when it needs none or never had one. */
export function calibrationDue({
  calibratedOn,
  calibrationMonths,
}: Pick<Tool, 'calibratedOn' | 'calibrationMonths'>): string | null {
  if (calibratedOn === null || calibrationMonths === null) return null;
  return addMonths(calibratedOn, calibrationMonths);
}

function toolReadiness(need: Need, { tools, today }: ReadinessInput): Readiness {
  const tool = toolFor(need.name, tools);
  if (tool === null) return { need, status: 'not looked at', words: 'not on the shop’s list' };
  const due = calibrationDue(tool);
  if (tool.calibrationMonths !== null && (due === null || due < today))
    return {
      need,
      status: 'overdue',
      words: due === null ? `${tool.place}; no calibration date` : `${tool.place}; calibration was due ${sayDate(due)}`,
    };
  return { need, status: 'on the wall', words: `${tool.place}${tool.range === '' ? '' : `, ${tool.range}`}` };
}

/** A line of the order list. */
export interface OrderLine {
  readonly need: Need;
  readonly why: string;
  /** ISO day on which it would be here if ordered today; null when the lead time is not known. */
  readonly expected: string | null;
}

/** What to order now: parts and cleaners that are neither here, nor in the drawer, nor on their way. */
export function orderNow(list: readonly Readiness[], today: string): OrderLine[] {
  return list.flatMap(({ need, status, words: why }) =>
    (need.kind === 'part' || need.kind === 'consumable') && (status === 'not in stock' || status === 'spoken for')
      ? [{ need, why, expected: need.leadDays === undefined ? null : addDays(today, Math.ceil(need.leadDays)) }]
      : [],
  );
}
