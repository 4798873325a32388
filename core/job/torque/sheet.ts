import { besideMetric, format } from '../../quantity/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import { REPAIRS } from '../../torque/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';
import { boltIds, boltVerdict } from './bolts.ts';
import { wantsFigure } from './figures.ts';
import type { BoltResult } from './state.ts';
import { adapterWords } from './step.ts';

type Group = JobItem & { readonly fasteners: NonNullable<JobItem['fasteners']> };

/** Every fastener group with target, method, wrench and what each bolt reached; what went by feel, and what has no figure. */
export const torqueRows = (job: Job): SheetRow[] =>
  job.items.flatMap((item) => {
    if (item.state === 'on' || !isGroup(item)) return item.byFeel === null ? [] : [feelRow(item)];
    if (item.fasteners.spec !== null) return [groupRow(item)];
    return item.byFeel !== null || wantsFigure(item) ? [feelRow(item)] : [];
  });

const isGroup = (item: JobItem): item is Group => item.fasteners !== null;

/** What is held by feel, and why; or that nobody has said how it is held. */
const feelRow = ({ name, fasteners, byFeel }: JobItem): SheetRow =>
  row(
    fasteners === null ? name : `${name}, ${fasteners.count} × ${fasteners.thread}`,
    byFeel === null ? 'NO TORQUE FIGURE' : 'by feel',
    byFeel?.why ?? '',
  );

function groupRow(item: Group): SheetRow {
  const { fasteners } = item;
  const reached = boltIds(item).map((id) =>
    boltWords(
      item,
      item.bolts.find(({ boltId }) => boltId === id),
    ),
  );
  const wrenches = [...new Set(item.bolts.map(({ wrench }) => wrench).filter(Boolean))].join(', ');
  const cold =
    item.retorqued === null
      ? ''
      : `gone over cold, ${item.retorqued.moved ? item.retorqued.note || 'some moved' : 'none moved'}`;
  return row(
    `${item.name}, ${fasteners.thread} into ${fasteners.into}`,
    reached.join(' · '),
    [
      `Target ${fasteners.spec?.text ?? ''}`,
      wrenches || 'no wrench named',
      `source: ${sourceWords({ source: fasteners.spec?.source ?? null })}`,
      item.figureFrom === null ? '' : `taken from job ${item.figureFrom.number}, ${item.figureFrom.vehicle}`,
      cold,
    ]
      .filter(Boolean)
      .join('; '),
  );
}

function boltWords(item: JobItem, result: BoltResult | undefined): string {
  if (result === undefined || !result.final) return 'not recorded';
  const verdict = boltVerdict(item, result);
  const figure =
    result.angleDeg !== null
      ? `${result.angleDeg}°`
      : result.torque === null
        ? 'by feel'
        : `${besideMetric(result.torque)}${adapterTail(result)}`;
  if (verdict === 'no figure') return `${figure} (no figure to judge it by)`;
  return verdict === 'in band' || verdict === 'by feel' ? figure : `${figure} (${verdict})`;
}

/** What was on the wrench, and what it showed. */
function adapterTail({ adapter, adapterNote = '', reading }: BoltResult): string {
  if (adapter === null) return adapterNote === '' ? '' : ` with ${adapterNote}`;
  return ` with ${adapterWords(adapter)}${reading === null ? '' : `, the wrench at ${format(reading)}`}`;
}

/** Threads of an item that stripped. */
export const threadRows = ({ name, threads }: JobItem): SheetRow[] =>
  threads.map(({ boltId, note, repaired }) =>
    row(
      `${name}, bolt ${boltId}`,
      repaired === null ? 'thread stripped, NOT REPAIRED' : `thread stripped; ${REPAIRS[repaired.route].toLowerCase()}`,
      repaired?.note || note,
    ),
  );
