import { CAUTION_CLOSE, type Job, type JobItem, MEASURES, type MeasureKind, PROOFS, type When } from '../job/index.ts';
import { format, formatMinutes } from '../quantity/index.ts';
import { engineLine, type Figure, sourceWords, UNIT_KINDS, vehicleName } from '../vehicle/index.ts';
import { costOf } from './cost.ts';
import type { Sheet, SheetSection, Speaker } from './types.ts';
import { benchSection, wasteSection } from './bench.ts';
import { complaint, decided } from './intake.ts';
import {
  coolantSection,
  findingsSection,
  itemsSection,
  lostTimeRows,
  openSection,
  torqueSection,
  usedSection,
} from './work.ts';
import { row } from './row.ts';

/** The record of a job as a sheet of words. The same model is shown, printed as PDF and kept in the job's file. */
export function sheetOf(job: Job, say: Speaker): Sheet {
  return {
    plate: job.vehicle.plate,
    title: vehicleName(job.vehicle),
    subtitle: engineLine(job.vehicle),
    identity: [
      row('Job', `${job.number}`),
      row(job.reading.unit === 'h' ? 'Hours' : 'Odometer', format(job.reading), job.readingReason),
      row('VIN', job.vehicle.vin || 'not noted'),
      row('Owner', job.vehicle.owner || 'not noted'),
      row('Opened', say.time(job.opened.at), say.person(job.opened.by)),
      row(
        'Handed over',
        job.handOver === null ? 'not yet' : say.time(job.handOver.at),
        job.handOver === null ? '' : say.person(job.handOver.by),
      ),
    ],
    sections: [
      complaint(job),
      decided(job, say),
      units(job),
      itemsSection(job, say),
      torqueSection(job),
      findingsSection(job),
      usedSection(job, say),
      benchSection(job, say),
      wasteSection(job, say),
      coolantSection(job),
      runs(job, say),
      proof(job),
      openSection(job, say),
      money(job, say),
      next(job),
    ],
    closing: CAUTION_CLOSE,
  };
}

/** The item that a unit of the vehicle is: by its own name and place where several look alike, else by its kind. */
function itemOfUnit(job: Job, unit: Job['vehicle']['units'][number]): JobItem | undefined {
  const [place = ''] = unit.place.toLowerCase().split(' ');
  const name = UNIT_KINDS[unit.kind].toLowerCase();
  const here = (item: JobItem): boolean => unit.place === 'only' || item.name.toLowerCase().includes(place);
  return (
    job.items.find((item) => item.name.toLowerCase().startsWith(name) && here(item)) ??
    job.items.find((item) => item.unit === unit.kind && here(item)) ??
    job.items.find((item) => item.unit === unit.kind)
  );
}

/** The units of this engine with their numbers, and what became of each. */
function units(job: Job): SheetSection {
  const rows = job.vehicle.units.map((unit) => {
    const item = itemOfUnit(job, unit);
    const swapped = job.replaced.find(({ oldUnitId }) => oldUnitId === unit.id);
    const fate =
      swapped !== undefined
        ? `replaced by ${swapped.fitted.partNumber}, ${swapped.fitted.origin}`
        : item === undefined || item.state === 'on'
          ? 'stayed on'
          : item.state === 'off'
            ? 'off'
            : item.state === 'renewed'
              ? `replaced by ${item.fitted || 'a new one'}`
              : item.state === 'left-off'
                ? 'left off'
                : 'off and refitted';
    return row(`${UNIT_KINDS[unit.kind]}, ${unit.place}`, `${unit.partNumber}, variant ${unit.variant}`, fate);
  });
  return { title: 'Units', rows, empty: 'No unit is noted in the vehicle file.' };
}

function runs(job: Job, say: Speaker): SheetSection {
  const rows = job.runs.map(({ run, closed, at }) =>
    row(
      run.recipe.name,
      closed === null ? 'open' : closed.outcome,
      [say.time(at), closed?.why ?? '', `source: ${sourceWords(run.recipe)}`].filter(Boolean).join(' · '),
    ),
  );
  return { title: 'Bleeding and relearn', rows, empty: 'No run was made.' };
}

/** A measured figure with its verdict against the family band. */
export function measured(
  job: Job,
  kind: MeasureKind,
  when: When,
): { value: number; words: string; good: boolean | null } | null {
  const found = job.measurements.find((candidate) => candidate.kind === kind && candidate.when === when);
  if (found === undefined) return null;
  const band = bandOf(job, kind);
  const good = band === null ? null : found.value >= band.low && found.value <= band.high;
  return {
    value: found.value,
    words:
      good === null
        ? 'no band known'
        : good
          ? 'in band'
          : found.value < (band?.low ?? 0)
            ? 'below the band'
            : 'above the band',
    good,
  };
}

/** The family's band for a measure, or null. */
export function bandOf(job: Job, kind: MeasureKind): Figure | null {
  const { figure } = MEASURES[kind];
  return figure === null ? null : job.vehicle.figures[figure];
}

function proof(job: Job): SheetSection {
  const figures = (Object.keys(MEASURES) as MeasureKind[]).flatMap((kind) => {
    const before = measured(job, kind, 'before');
    const after = measured(job, kind, 'after');
    if (before === null && after === null) return [];
    const { name, unit } = MEASURES[kind];
    const band = bandOf(job, kind);
    const said = (value: typeof before): string => (value === null ? '—' : `${value.value} ${unit}`);
    return [
      row(
        name,
        `${said(before)} before, ${said(after)} after`,
        band === null
          ? ''
          : `band ${band.low} to ${band.high} ${unit}, ${after?.words ?? 'not measured after'}; ${sourceWords(band)}`,
      ),
    ];
  });
  const proofs = job.proofs.map(({ check, result, note }) => row(PROOFS[check], result, note));
  const codes =
    job.codesRead.after === null
      ? []
      : [
          row(
            'Codes after',
            job.codes
              .filter(({ when }) => when === 'after')
              .map(({ code }) => code)
              .join(', ') || 'none',
          ),
        ];
  return { title: 'Proved', rows: [...figures, ...proofs, ...codes], empty: 'Nothing was measured.' };
}

function money(job: Job, say: Speaker): SheetSection {
  const time = [
    row('Hands on', formatMinutes(job.time.handsOnS / 60), 'from the entries’ own times'),
    row('Waiting', formatMinutes(job.time.waitingS / 60)),
    ...lostTimeRows(job),
  ];
  if (job.handOver === null) return { title: 'Time and money', rows: time, empty: '' };
  const { labourMinutes, ratePerHourMinor } = job.handOver;
  const cost = costOf(job, labourMinutes, ratePerHourMinor);
  return {
    title: 'Time and money',
    rows: [
      ...time,
      row(
        'Labour',
        say.money(cost.labourMinor),
        `${formatMinutes(labourMinutes)} at ${say.money(ratePerHourMinor)} an hour`,
      ),
      row('Parts', say.money(cost.partsMinor)),
      ...(cost.materialsMinor === 0 ? [] : [row('Cleaner and coolant', say.money(cost.materialsMinor))]),
      row('Total', say.money(cost.totalMinor)),
    ],
    empty: '',
  };
}

function next(job: Job): SheetSection {
  const { handOver } = job;
  const rows = [
    ...(handOver?.watch ? [row('Watch', handOver.watch)] : []),
    ...(handOver?.nextDue ? [row('Next due', format(handOver.nextDue))] : []),
    ...job.rechecks.map(({ what, days, use }) =>
      row(
        'Look again',
        what,
        [days === null ? '' : `in ${days} days`, use === null ? '' : `after ${use} ${job.vehicle.meterUnit}`]
          .filter(Boolean)
          .join(' or '),
      ),
    ),
    ...job.notes.map(({ text }) => row('Note', text)),
    ...job.reopened.map(({ reason }) => row('Opened again', reason)),
  ];
  return { title: 'What to watch', rows, empty: 'Nothing in particular.' };
}
