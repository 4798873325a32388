import { expectedMinutes, isBackStep, RESTORE_KINDS } from '../../procedure/index.ts';
import { formatMinutes } from '../../quantity/index.ts';
import { lostTime } from '../../refit/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { lowerFirst } from '../../words/index.ts';
import type { Job } from '../job.ts';
import { changesOf } from './correcting.ts';
import { FLAGS } from './flagKinds.ts';
import { offReasonWords, offTooEarly } from './offOrder.ts';
import { nameOf } from './query.ts';
import type { JobItem } from './state.ts';

const STATES = {
  on: 'never came off',
  off: 'OFF',
  refitted: 'refitted',
  renewed: 'renewed',
  'left-off': 'left off on purpose',
} as const;

/** A step of the way back is done or not; what stayed connected is aside or back in its place. */
const stateWords = (item: JobItem): string => {
  const { state } = item;
  if (isBackStep(item))
    return { on: '', off: 'NOT DONE', refitted: 'done', renewed: 'done', 'left-off': 'left out' }[state];
  if (item.aside !== null && state === 'off') return 'TIED ASIDE';
  return item.aside !== null && state === 'refitted' ? 'back in its place' : STATES[state];
};

/** What came off and went back. The day is said once, and again where it changes. */
export function itemRows(job: Job, say: Speaker): SheetRow[] {
  let day = '';
  const when = (iso: string): string => {
    const again = say.date(iso) === day;
    day = say.date(iso);
    return again ? say.clock(iso) : say.time(iso);
  };
  return job.items
    .filter(({ state, origin }) => state !== 'on' && origin !== 'plug')
    .map((item) =>
      row(
        item.name,
        stateWords(item) + (item.back === null ? '' : `, ${when(item.back.at)}`),
        [
          item.label,
          item.aside === null ? '' : `left connected, tied aside: ${item.aside.where}`,
          isBackStep(item) ? item.note : '',
          ...offTooEarly(job, item).map(
            (each) => `came off before ${lowerFirst(nameOf(job, each.item))}, which ${offReasonWords(each)}`,
          ),
          item.fitted,
          item.remark,
          ...item.kept.map(measureWords),
          ...item.corrections.map(
            ({ was, is, why, by, at }) =>
              `put right by ${say.person(by)}, ${say.clock(at)}: ${changesOf(was, is).join(', ')}${why === '' ? '' : ` (${why})`}`,
          ),
        ]
          .filter(Boolean)
          .join(' · '),
      ),
    );
}

const measureWords = ({ kind, text, restored }: JobItem['kept'][number]): string =>
  `${RESTORE_KINDS[kind].toLowerCase()} ${text}${restored === null ? ', not set again' : `, set to ${restored.text}`}`;

/** What was dropped, and whether it was found. */
export const searchRows = (job: Job, say: Speaker): SheetRow[] =>
  job.searches.map(({ what, where, ended }) =>
    row(
      `Dropped: ${what}`,
      ended === null
        ? 'NOT FOUND'
        : ended.outcome === 'found'
          ? 'found'
          : `not found; loss accepted by ${say.person(ended.by)}`,
      ended?.where ?? where,
    ),
  );

/** How an item was found, if it was found broken, seized, missing or wrong. */
export const flagRows = ({ name, flag }: JobItem): SheetRow[] =>
  flag === null
    ? []
    : [
        row(
          name,
          `found ${FLAGS[flag.flag].toLowerCase()}${flag.text === '' ? '' : `, ${flag.text}`}`,
          flag.settled === null ? 'still open' : flag.settled.how,
        ),
      ];

/** What went on although something else had to be on first. */
export const brokenOrderRows = (job: Job): SheetRow[] =>
  job.brokenOrders.map(({ itemId, over, reason }) =>
    row(
      nameOf(job, itemId),
      over.length === 0
        ? 'put back although it had to wait'
        : `put back before ${over.map(({ item }) => nameOf(job, item).toLowerCase()).join(', ')}`,
      reason,
    ),
  );

/** What stays off on purpose. */
export const leftOffRows = (job: Job): SheetRow[] =>
  job.items
    .filter(({ state }) => state === 'left-off')
    .map((item) => row(item.name, isBackStep(item) ? 'left out on purpose' : 'left off on purpose', item.remark));

/** Items that took clearly longer than they should, worst first. */
export const lostTimeRows = (job: Job): SheetRow[] =>
  lostTime(
    job.items.map(({ id, seconds }) => ({ id, minutes: (seconds.off + seconds.back) / 60 })),
    (id) => {
      const item = job.items.find((each) => each.id === id);
      return item === undefined ? 0 : expectedMinutes(item, 'off') + expectedMinutes(item, 'back');
    },
  )
    .slice(0, 5)
    .map(({ id, took, usual }) =>
      row(`Time went at ${nameOf(job, id).toLowerCase()}`, formatMinutes(took), `expected ${formatMinutes(usual)}`),
    );
