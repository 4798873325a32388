import { type JobItem, type Tap, UNIT_PLACE, type Way } from '../../../core/job/index.ts';
import { isBackStep, RESTORE_KINDS } from '../../../core/procedure/index.ts';
import { lowerFirst, nameParts, singular, upperFirst } from '../../../core/words/index.ts';
import { tapWords } from '../items/tapWords.ts';

/** What one step says, large. */
export interface StepWords {
  /** What comes before the item itself: an opening to plug, or fasteners that still hold the weight. */
  readonly before: { readonly done: string } | null;
  readonly title: string;
  /** Such as *comes off*. */
  readonly happens: string;
  readonly detail: readonly string[];
}

/** The words of the step in hand. @param tap what Done will do; null where nothing can be done */
export function stepWords(way: Way, item: JobItem, tap: Tap | null): StepWords {
  const happens =
    way === 'strip'
      ? 'comes off'
      : isBackStep(item)
        ? 'before it goes on'
        : item.origin === 'plug'
          ? 'comes out'
          : 'goes back';
  if (tap?.kind === 'plug')
    return {
      before: { done: 'Plugged' },
      title: `Plug ${lowerFirst(tap.opening.name)}`,
      happens,
      detail: tap.opening.plugWith === '' ? [] : [`With: ${lowerFirst(tap.opening.plugWith)}.`],
    };
  if (tap?.kind === 'rest') return { before: { done: 'All out' }, title: tapWords(tap), happens, detail: [] };
  if (tap?.kind === 'bolt') {
    const { number, of, pass, passes, passWords, label } = tap.step;
    const { what, apart } = nameParts(label);
    return {
      before: null,
      title: `${singular(nameParts(item.name).what)} ${number}${what === '' ? '' : `, ${what}`}`,
      happens,
      detail: [`Bolt ${number} of ${of}. Pass ${pass} of ${passes}, ${passWords}.`, apart].filter(Boolean),
    };
  }
  return { before: null, title: item.name, happens, detail: itemDetail(way, item) };
}

const itemDetail = (way: Way, item: JobItem): string[] =>
  [
    measuring(way, item),
    upperFirst(item.note),
    way === 'refit' && item.alike !== undefined && item.label !== '' ? `Its tag must say: ${item.label}.` : '',
    way === 'refit' && item.aside !== null ? `Tied aside: ${item.aside.where}.` : '',
    item.pocket === '' ? '' : `From ${item.pocket === UNIT_PLACE ? 'the bench' : `pocket ${item.pocket}`}.`,
    item.tool,
  ].filter(Boolean);

/** What to measure before it comes off, or to set it to once it is back. */
function measuring(way: Way, item: JobItem): string {
  if (way === 'refit')
    return item.kept
      .filter(({ restored }) => restored === null)
      .map(({ kind, text }) => `${RESTORE_KINDS[kind]}: ${text}.`)
      .join(' ');
  const open = (item.restore ?? []).filter((kind) => !item.kept.some((each) => each.kind === kind));
  return open.length === 0
    ? ''
    : `First, on the sheet: ${open.map((kind) => lowerFirst(RESTORE_KINDS[kind])).join(', ')}.`;
}
