import { besideMetric } from '../quantity/index.ts';
import { row, type Sheet, type SheetRow, type SheetSection, type Speaker } from '../sheet/index.ts';
import { engineLine, isLooseUnit, vehicleName } from '../vehicle/index.ts';
import { balanceRows } from './balance/sheet.ts';
import { choiceRows } from './choice/sheet.ts';
import { againstRows, cleanerRows, wasteRows } from './cleaning/sheet.ts';
import { complaintRows } from './complaint/sheet.ts';
import { coolantRows } from './coolant/sheet.ts';
import { checkRows } from './diagnosis/sheet.ts';
import { putRightRows } from './entries/sheet.ts';
import { countersignRows } from './countersign/sheet.ts';
import { customerPage } from './handover/customer.ts';
import { moneyRows, watchRows } from './handover/sheet.ts';
import { findingRows } from './inspection/sheet.ts';
import { takenRows } from './instruments/sheet.ts';
import { itemRows } from './items/sheet.ts';
import type { Job } from './job.ts';
import { mishapRows } from './mishaps/sheet.ts';
import { partRows } from './needs/sheet.ts';
import { CAUTION_CLOSE } from './notes/cautions.ts';
import { partOnBenchRows, renewedPartRows } from './parts/sheet.ts';
import { procedureRows } from './procedure/sheet.ts';
import { proofRows } from './proof/sheet.ts';
import { replacedRows, sealRows, settingRows, unitRows } from './rebuild/sheet.ts';
import { runRows } from './runs/sheet.ts';
import { seizedRows } from './seized/sheet.ts';
import { SHEET_TITLES, type SheetTitle } from './sheetTitles.ts';
import { openRows } from './start/sheet.ts';
import { torqueRows } from './torque/sheet.ts';
import { trimRows } from './trim/sheet.ts';

interface Section {
  readonly rows: (job: Job, say: Speaker) => readonly SheetRow[];
  /** Said where there is no row. */
  readonly empty: string;
  readonly dense?: true;
}

/** What stands under each heading: each subject says its own rows. */
const SECTIONS: Readonly<Record<Exclude<SheetTitle, 'identity'>, Section>> = {
  Complaint: { rows: complaintRows, empty: '' },
  'Checked and decided': {
    rows: (job, say) => [...checkRows(job), ...takenRows(job, say), ...choiceRows(job, say), ...procedureRows(job)],
    empty: 'Nothing was checked.',
  },
  Units: { rows: unitRows, empty: 'No unit is noted in the vehicle file.' },
  'Came off and went back': { rows: itemRows, empty: 'Nothing came off.', dense: true },
  Fasteners: { rows: torqueRows, empty: 'No torque was called for.' },
  'Found on the bench': { rows: findingRows, empty: 'No findings were noted.' },
  'Used and fitted': {
    rows: (job, say) => [
      ...cleanerRows(job),
      ...againstRows(job),
      ...sealRows(job),
      ...renewedPartRows(job),
      ...partRows(job, say),
    ],
    empty: 'Nothing was used.',
  },
  'On the bench': {
    rows: (job, say) => [
      ...replacedRows(job, say),
      ...seizedRows(job),
      ...settingRows(job),
      ...trimRows(job),
      ...partOnBenchRows(job),
    ],
    empty: 'Nothing was seized, set or replaced.',
  },
  Waste: { rows: wasteRows, empty: 'No waste to speak of.' },
  Coolant: { rows: coolantRows, empty: 'The coolant was not touched.' },
  'Bleeding and relearn': { rows: runRows, empty: 'No run was made.' },
  Proved: { rows: (job) => [...proofRows(job), ...balanceRows(job)], empty: 'Nothing was measured.' },
  'Put right': { rows: putRightRows, empty: 'Nothing was put right afterwards.' },
  'Left over or unusual': {
    rows: (job, say) => [...mishapRows(job, say), ...openRows(job, say), ...countersignRows(job, say)],
    empty: 'Nothing left over.',
  },
  'Time and money': { rows: moneyRows, empty: '' },
  'What to watch': { rows: watchRows, empty: 'Nothing in particular.' },
};

/** The record of a job as a sheet of words. The same model is shown, printed as PDF and kept in the job's file. */
export const sheetOf = (job: Job, say: Speaker): Sheet => ({
  customer: customerPage(job, say),
  plate: job.vehicle.plate,
  title: vehicleName(job.vehicle),
  subtitle: engineLine(job.vehicle),
  identity: identityRows(job, say),
  sections: SHEET_TITLES.flatMap((title): SheetSection[] => {
    if (title === 'identity') return [];
    const { rows, empty, dense } = SECTIONS[title];
    return [{ title, rows: rows(job, say), empty, ...(dense && { dense }) }];
  }),
  closing: CAUTION_CLOSE,
});

const identityRows = (job: Job, say: Speaker): SheetRow[] => [
  row('Job', `${job.number}`),
  isLooseUnit(job.vehicle)
    ? row('Vehicle', 'none: a loose unit')
    : row(job.reading.unit === 'h' ? 'Hours' : 'Odometer', besideMetric(job.reading), job.readingReason),
  row('VIN', job.vehicle.vin || 'not noted'),
  row('Customer', job.vehicle.owner || 'not noted'),
  row('Opened', say.time(job.opened.at), say.person(job.opened.by)),
  row(
    'Handed over',
    job.handOver === null ? 'not yet' : say.time(job.handOver.at),
    job.handOver === null ? '' : say.person(job.handOver.by),
  ),
];
