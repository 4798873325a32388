import { SUBSTANCES } from '../clean/index.ts';
import { coolantAccount, freezePoint } from '../coolant/index.ts';
import { GRADES, pointName } from '../inspect/index.ts';
import {
  type BoltResult,
  boltIds,
  boltVerdict,
  type Job,
  type JobItem,
  FLAGS,
  jobCoolantQuestions,
  coolantNow,
  jobTally,
} from '../job/index.ts';
import { expectedMinutes, RESTORE_KINDS } from '../procedure/index.ts';
import { format, formatMinutes } from '../quantity/index.ts';
import { lostTime } from '../refit/index.ts';
import { REPAIRS } from '../torque/index.ts';
import { sourceWords } from '../vehicle/index.ts';
import type { SheetRow, SheetSection, Speaker } from './types.ts';
import { row } from './row.ts';

/** What came off and went back, with what was left over. */
export function itemsSection(job: Job, say: Speaker): SheetSection {
  const words = {
    on: 'never came off',
    off: 'OFF',
    refitted: 'refitted',
    renewed: 'renewed',
    'left-off': 'left off on purpose',
  } as const;
  let day = '';
  // The day is said once, and again where it changes.
  const when = (iso: string): string => {
    const [said = '', ...rest] = say.time(iso).split(', ');
    const again = said === day;
    day = said;
    return again ? rest.join(', ') : [said, ...rest].join(', ');
  };
  const rows = job.items
    .filter(({ state, origin }) => state !== 'on' && origin !== 'plug')
    .map((item) =>
      row(
        item.name,
        words[item.state] + (item.back === null ? '' : `, ${when(item.back.at)}`),
        [item.label, item.fitted, item.remark, ...item.kept.map(measureWords)].filter(Boolean).join(' · '),
      ),
    );
  return { title: 'Came off and went back', rows, empty: 'Nothing came off.', dense: true };
}

const measureWords = ({ kind, text, restored }: JobItem['kept'][number]): string =>
  `${RESTORE_KINDS[kind].toLowerCase()} ${text}${restored === null ? ', not set again' : `, set to ${restored.text}`}`;

/** Every fastener group with target, method, wrench and what each bolt reached. */
export function torqueSection(job: Job): SheetSection {
  const groups = job.items.filter(
    (item): item is JobItem & { fasteners: NonNullable<JobItem['fasteners']> } =>
      item.fasteners?.spec != null && item.state !== 'on',
  );
  const rows = groups.map((item) => {
    const { fasteners } = item;
    const reached = boltIds(item).map((id) =>
      boltWords(
        item,
        item.bolts.find(({ boltId }) => boltId === id),
      ),
    );
    const wrenches = [...new Set(item.bolts.map(({ wrench }) => wrench).filter(Boolean))].join(', ');
    return row(
      `${item.name}, ${fasteners.thread} into ${fasteners.into}`,
      reached.join(' · '),
      [
        `Target ${fasteners.spec?.text ?? ''}`,
        wrenches || 'no wrench named',
        `source: ${sourceWords({ source: fasteners.spec?.source ?? null })}`,
        item.retorqued === null
          ? ''
          : `gone over cold, ${item.retorqued.moved ? item.retorqued.note || 'some moved' : 'none moved'}`,
      ]
        .filter(Boolean)
        .join('; '),
    );
  });
  return { title: 'Fasteners', rows, empty: 'No torque was called for.' };
}

function boltWords(item: JobItem, result: BoltResult | undefined): string {
  if (result === undefined || !result.final) return 'not recorded';
  const verdict = boltVerdict(item, result);
  const figure =
    result.angleDeg !== null
      ? `${result.angleDeg}°`
      : result.torque === null
        ? 'by feel'
        : `${format(result.torque)}${result.adapter === '' ? '' : ` with ${result.adapter}`}`;
  return verdict === 'in band' || verdict === 'by feel' ? figure : `${figure} (${verdict})`;
}

/** Findings, before and after. */
export function findingsSection(job: Job): SheetSection {
  const rows = job.findings.map((finding) => {
    const point = pointName(finding.point);
    const { judged } = finding;
    const grade = finding.grade === null ? '' : `${finding.grade}, ${GRADES[finding.grade] ?? ''}`;
    if (judged === undefined) return row(`${point}, ${finding.when}`, [grade, finding.text].filter(Boolean).join('; '));
    return row(
      `${[point, judged.which].filter(Boolean).join(', ')}, ${finding.when}`,
      `${judged.words.replace(/\.$/, '')}${judged.verdict === 'bad' ? ': BAD' : ''}`,
      [finding.text, judged.limit === null ? '' : sourceWords(judged.limit)].filter(Boolean).join(' · '),
    );
  });
  return { title: 'Found on the bench', rows, empty: 'No findings were noted.' };
}

/** Cleaners with amounts, seals with reasons, parts with numbers. */
export function usedSection(job: Job, say: Speaker): SheetSection {
  const cleaners = job.cleaners.map((use) => row(SUBSTANCES[use.substance], `${use.grams.toFixed(0)} g`, use.surface));
  const seals = job.seals.map((seal) =>
    row(seal.name, seal.decision, [seal.partNumber, seal.why].filter(Boolean).join(' · ')),
  );
  const parts = job.parts.map((part) =>
    row(part.name, `${part.quantity} × ${say.money(part.priceMinor)}`, part.partNumber),
  );
  return { title: 'Used and fitted', rows: [...cleaners, ...seals, ...parts], empty: 'Nothing was used.' };
}

/** Coolant out, back, topped up, mix and freeze point. */
export function coolantSection(job: Job): SheetSection {
  const account = coolantAccount(job.coolant);
  if (job.coolant.length === 0) return { title: 'Coolant', rows: [], empty: 'The coolant was not touched.' };
  const rows = [
    row('Caught', `${account.caught.toFixed(2)} L`),
    row('Returned', `${account.returned.toFixed(2)} L`),
    row(
      'Added',
      `${account.added.toFixed(2)} L`,
      account.addedConcentration === null ? '' : `${Math.round(account.addedConcentration * 100)} % antifreeze`,
    ),
    ...(account.discarded > 0 ? [row('Discarded', `${account.discarded.toFixed(2)} L`)] : []),
    ...job.coolantTests.map(({ when, tool, celsius, share }) =>
      row(
        `Read ${when}, ${tool}`,
        `${format({ value: celsius, unit: '°C' }, { decimals: 0 })}, ${Math.round(share * 100)} %`,
      ),
    ),
    ...mixRows(job),
    ...job.levels.map(({ when, level }) => row(`Level, ${when}`, level)),
    ...job.leakChecks.map(({ when, result, where }) => row(`Leaks, ${when}`, result, where)),
    ...jobCoolantQuestions(job).map((question) => row('Open question', question)),
  ];
  return { title: 'Coolant', rows, empty: '' };
}

/** The mix after the work, from what was read before or the family's mix, and the book. */
export function mixAfter(job: Job): { volume: number; concentration: number; freezesAt: number } | null {
  const system = job.procedure?.coolant ?? null;
  const now = coolantNow(job);
  if (system === null || now === null || job.coolant.length === 0) return null;
  return { ...now, freezesAt: freezePoint(system.glycol, now.concentration).celsius };
}

function mixRows(job: Job): SheetRow[] {
  const after = mixAfter(job);
  return after === null
    ? []
    : [
        row(
          'Mix now',
          `${(after.concentration * 100).toFixed(0)} % antifreeze`,
          `freezes at ${format({ value: after.freezesAt, unit: '°C' }, { decimals: 0 })}, worked out`,
        ),
      ];
}

/** What still is not as it should be, or was not; printed so that nobody can overlook it. */
export function openSection(job: Job, say: Speaker): SheetSection {
  const now = jobTally(job);
  const name = (id: string): string => job.items.find((item) => item.id === id)?.name ?? id;
  const rows = [
    ...job.overrides.flatMap(({ holds, reason, by, at }) =>
      holds.map(({ words }) => row(words, `let pass by ${say.person(by)}, ${say.time(at)}`, reason)),
    ),
    ...job.searches.map(({ what, where, ended }) =>
      row(
        `Dropped: ${what}`,
        ended === null
          ? 'NOT FOUND'
          : ended.outcome === 'found'
            ? 'found'
            : `not found; loss accepted by ${say.person(ended.by)}`,
        ended?.where ?? where,
      ),
    ),
    ...job.items.flatMap((item) => [...flagRows(item), ...threadRows(item)]),
    ...job.brokenOrders.map(({ itemId, over, reason }) =>
      row(
        name(itemId),
        over.length === 0
          ? 'put back although it had to wait'
          : `put back before ${over.map(({ item }) => name(item).toLowerCase()).join(', ')}`,
        reason,
      ),
    ),
    ...now.reusedSingleUse.map(({ name: item }) => row(item, 'single-use, refitted old')),
    ...now.countsThatDiffer.map(({ name: item }) => row(item, 'fewer back than came out')),
    ...job.items
      .filter(({ state }) => state === 'left-off')
      .map((item) => row(item.name, 'left off on purpose', item.remark)),
    ...now.openQuestions.map((question) => row('Coolant', question)),
  ];
  return { title: 'Left over or unusual', rows, empty: 'Nothing left over.' };
}

const flagRows = ({ name, flag }: JobItem): SheetRow[] =>
  flag === null
    ? []
    : [
        row(
          name,
          `found ${FLAGS[flag.flag].toLowerCase()}${flag.text === '' ? '' : `, ${flag.text}`}`,
          flag.settled === null ? 'still open' : flag.settled.how,
        ),
      ];

const threadRows = ({ name, threads }: JobItem): SheetRow[] =>
  threads.map(({ boltId, note, repaired }) =>
    row(
      `${name}, bolt ${boltId}`,
      repaired === null ? 'thread stripped, NOT REPAIRED' : `thread stripped; ${REPAIRS[repaired.route].toLowerCase()}`,
      repaired?.note || note,
    ),
  );

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
      row(
        `Time went at ${(job.items.find((each) => each.id === id)?.name ?? id).toLowerCase()}`,
        formatMinutes(took),
        `expected ${formatMinutes(usual)}`,
      ),
    );
