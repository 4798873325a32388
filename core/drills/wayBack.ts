import { random } from '../chance/index.ts';
import type { Group } from '../diagnose/index.ts';
import { practiceFile } from '../practice/index.ts';
import type { ProcedureItem } from '../procedure/index.ts';
import { oneOf, shuffled } from './shuffle.ts';

/** What goes back, in no order, and which comes before which, with why. */
export interface WayBackDrill {
  readonly items: readonly { readonly id: string; readonly name: string; readonly note: string }[];
  readonly rules: readonly BackRule[];
}
/** One thing goes on before another. */
export interface BackRule {
  readonly first: string;
  readonly then: string;
  readonly reason: string;
}
/** How an order stands to the rules. */
export interface WayBackJudged {
  readonly right: number;
  readonly of: number;
  readonly broken: readonly BackRule[];
}

const GROUPS: readonly Group[] = ['cable', 'electronic', 'motorcycle', 'outboard'];
/** What hooks onto the unit, and why it comes after it. */
const HOOKS: Readonly<Partial<Record<ProcedureItem['kind'], string>>> = {
  hose: 'it is pushed onto the unit',
  'coolant-hose': 'it is pushed onto the unit',
  connector: 'it is plugged into the unit',
  cable: 'it hooks onto the unit',
  duct: 'it closes the way to the unit and its plugs',
  cover: 'it buries what is below it',
};

/** @param seed 0 to 2³² − 1; the same seed is the same drill */
export function wayBackDrill(seed: number): WayBackDrill {
  const dice = random(seed);
  const { procedure } = practiceFile(oneOf(GROUPS, dice), '');
  const items = procedure.items;
  const unit = items.find((item) => item.unit === 'throttle-body');
  const rules: BackRule[] = procedure.constraints.flatMap((each) =>
    each.kind === 'before' ? [{ first: each.a, then: each.b, reason: each.reason }] : [],
  );
  for (const item of items) {
    if (item.backBefore !== undefined)
      rules.push({ first: item.id, then: item.backBefore, reason: item.note || 'it is seen only before' });
    const reason = HOOKS[item.kind];
    if (
      unit !== undefined &&
      reason !== undefined &&
      !rules.some(({ first, then }) => first === unit.id && then === item.id)
    )
      rules.push({ first: unit.id, then: item.id, reason });
  }
  return { items: shuffled(items, dice).map(({ id, name, note }) => ({ id, name, note })), rules };
}

/** @param order ids, the first to go back first */
export function judgeWayBack({ rules }: WayBackDrill, order: readonly string[]): WayBackJudged {
  const broken = rules.filter(({ first, then }) => order.indexOf(first) > order.indexOf(then));
  return { right: rules.length - broken.length, of: rules.length, broken };
}
