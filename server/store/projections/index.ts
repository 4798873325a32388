import type { Projection } from '../projection.ts';
import { BAY_TABLES } from './bay.ts';
import { CHOICE_TABLES } from './choice.ts';
import { CLEANING_TABLES } from './cleaning.ts';
import { COMPLAINT_TABLES } from './complaint.ts';
import { COOLANT_TABLES } from './coolant.ts';
import { DIAGNOSIS_TABLES } from './diagnosis.ts';
import { HANDOVER_TABLES } from './handover.ts';
import { INSPECTION_TABLES } from './inspection.ts';
import { ITEMS_TABLES } from './items.ts';
import { NEEDS_TABLES } from './needs.ts';
import { PICTURES_TABLES } from './pictures.ts';
import { PROOF_TABLES } from './proof.ts';
import { REBUILD_TABLES } from './rebuild.ts';
import { RECORDINGS_TABLES } from './recordings.ts';
import { RUNS_TABLES } from './runs.ts';
import { SEARCH_TABLES } from './search.ts';
import { SEIZED_TABLES } from './seized.ts';
import { START_TABLES } from './start.ts';
import { TIMERS_TABLES } from './timers.ts';
import { TORQUE_TABLES } from './torque.ts';
import { VISIT_TABLES } from './visits.ts';

/** Every projection, by subject as in core. A table listed here is written nowhere else. */
export const PROJECTIONS: readonly Projection[] = [
  ...COMPLAINT_TABLES,
  ...SEARCH_TABLES,
  ...BAY_TABLES,
  ...DIAGNOSIS_TABLES,
  ...CHOICE_TABLES,
  ...NEEDS_TABLES,
  ...ITEMS_TABLES,
  ...TORQUE_TABLES,
  ...START_TABLES,
  ...INSPECTION_TABLES,
  ...PICTURES_TABLES,
  ...SEIZED_TABLES,
  ...CLEANING_TABLES,
  ...REBUILD_TABLES,
  ...COOLANT_TABLES,
  ...TIMERS_TABLES,
  ...RUNS_TABLES,
  ...PROOF_TABLES,
  ...RECORDINGS_TABLES,
  ...HANDOVER_TABLES,
  ...VISIT_TABLES,
];
