import { computed, ref, shallowRef, watch } from 'vue';
import { type Lesson, proposeProcedure, replay } from '../../../core/job/index.ts';
import { type Procedure, procedureProblems } from '../../../core/procedure/index.ts';
import { type Preference, readPreference, writePreference } from '../../shell/preferences.ts';
import { readJob } from '../../data/jobs.ts';
import { readProcedure, saveProcedure } from '../../data/procedures.ts';
import { blankProcedure, settleIds } from './draft.ts';

/** What the editor opens: a version to change, a finished job to learn from, or nothing. */
export interface DraftSource {
  readonly id: string | null;
  readonly job: string | null;
}

/** A draft as it is kept on this device until it is saved. */
interface Kept {
  readonly basedOn: number;
  readonly draft: Procedure;
}

const keyOf = ({ id, job }: DraftSource): Preference => `draft.${job === null ? (id ?? 'new') : `job-${job}`}`;

/** A procedure in the making: kept on this device at every change, checked as it grows, saved as the next version. */
export function useDraft(source: DraftSource) {
  const draft = shallowRef<Procedure | null>(null);
  const basedOn = ref(0);
  const lessons = shallowRef<readonly Lesson[]>([]);
  const failed = ref('');
  const saving = ref(false);
  const wrong = ref('');
  /** A draft of before was found and goes on. */
  const resumed = ref(false);
  const pristine = shallowRef<Procedure | null>(null);

  const problems = computed(() => (draft.value === null ? [] : procedureProblems(draft.value)));
  const changed = computed(() => draft.value !== pristine.value);

  async function load(): Promise<void> {
    try {
      const fresh = await begin();
      pristine.value = fresh.draft;
      const kept = readKept();
      draft.value = kept?.draft ?? fresh.draft;
      basedOn.value = kept?.basedOn ?? fresh.basedOn;
      resumed.value = kept !== null;
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  async function begin(): Promise<Kept> {
    if (source.job !== null) return fromJob(source.job);
    if (source.id === null)
      return { basedOn: 0, draft: blankProcedure(`procedure-${crypto.randomUUID().slice(0, 8)}`) };
    const newest = await readProcedure(source.id);
    return { basedOn: newest.version, draft: newest };
  }
  async function fromJob(jobId: string): Promise<Kept> {
    const { events } = await readJob(jobId);
    const job = replay(jobId, events);
    if (job === null) throw new Error('There is no such job.');
    const own = job.procedure;
    const newest =
      own === null
        ? 0
        : await readProcedure(own.id).then(
            ({ version }) => version,
            () => 0,
          );
    const proposal = proposeProcedure(job, events, {
      id: own?.id ?? `procedure-${jobId.slice(0, 40)}`,
      name: own?.name ?? `${job.vehicle.make} ${job.vehicle.model}: as done on job ${job.number}`,
      family: own?.family ?? job.vehicle.engine,
      familyId: own?.familyId ?? job.vehicle.familyId ?? null,
      work: own?.work ?? 'clean',
    });
    lessons.value = proposal.lessons;
    return { basedOn: newest, draft: proposal.procedure };
  }
  function readKept(): Kept | null {
    try {
      return JSON.parse(readPreference(keyOf(source)) ?? 'null') as Kept | null;
    } catch {
      return null;
    }
  }
  watch(draft, (now) => {
    if (now !== null && changed.value)
      writePreference(keyOf(source), JSON.stringify({ basedOn: basedOn.value, draft: now } satisfies Kept));
  });

  /** Throws the draft away and begins again from what is in the library. */
  function startOver(): void {
    writePreference(keyOf(source), 'null');
    resumed.value = false;
    draft.value = pristine.value;
  }

  /** @returns the saved version, or null when it was not taken; what is wrong is then in `wrong` */
  async function save(note: string): Promise<Procedure | null> {
    if (draft.value === null) return null;
    saving.value = true;
    wrong.value = '';
    try {
      const settled = settleIds(draft.value);
      const saved = await saveProcedure({ ...settled, version: basedOn.value + 1 }, basedOn.value, note);
      writePreference(keyOf(source), 'null');
      return saved;
    } catch (error) {
      wrong.value = error instanceof Error ? error.message : String(error);
      return null;
    } finally {
      saving.value = false;
    }
  }
  return { draft, basedOn, lessons, failed, problems, changed, resumed, saving, wrong, load, save, startOver };
}
