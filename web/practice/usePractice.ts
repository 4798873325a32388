import { computed, ref } from 'vue';
import type { PracticeEntry } from '../../contract/index.ts';
import { type Access, type Sign, signsFor } from '../../core/diagnose/index.ts';
import { diagnoseJob } from '../../core/job/index.ts';
import { ASK_MINUTES, mendMinutes, minutesOf, READ_MINUTES } from '../../core/practice/index.ts';
import { type Deed, doAtPractice, usePracticeJob } from '../data/practice.ts';
import { WORLD } from '../data/world.ts';
import { useJob } from '../stores/job.ts';

/** A step of the way so far, as it stands on the screen. */
export interface WayMark {
  readonly key: string;
  readonly name: string;
  readonly minutes: number;
  readonly costMinor: number;
  /** What was recorded of it; empty while it is yours to say. */
  readonly said: string;
  readonly isOpen: boolean;
}

/** The practice job of this page: what was done at it so far, and doing more. */
export function usePractice() {
  const store = useJob();
  const { data: reply, failed, reload } = usePracticeJob(() => WORLD.practice);
  const problem = ref('');
  const nameOf = (cause: string): string => store.knowledge?.causes.find(({ id }) => id === cause)?.name ?? cause;

  const signs = computed((): readonly Sign[] => {
    const { job, knowledge, family } = store;
    return job === null || knowledge === null ? [] : signsFor(knowledge, diagnoseJob(job, knowledge, family).subject);
  });
  const signOf = (id: string): Sign | null => signs.value.find((sign) => sign.id === id) ?? null;
  const entries = computed((): readonly PracticeEntry[] => reply.value?.entries ?? []);

  /** Tags of the ten that lie on causes. */
  const tags = computed(
    (): Readonly<Record<string, number>> => entries.value.findLast(({ kind }) => kind === 'tags')?.tags ?? {},
  );
  const asked = computed(() => entries.value.filter(({ kind }) => kind === 'ranking').length);

  /** What was looked at and nothing recorded of since: the last look is the one in hand. */
  const inHand = computed((): PracticeEntry | null => {
    const last = entries.value.findLast(({ kind }) => kind === 'look') ?? null;
    const { job } = store;
    if (last === null || job === null) return null;
    const answered =
      job.checks.some(({ check, at }) => check === last.what && at >= last.at) ||
      job.passedOver.some(({ check, at }) => check === last.what && at >= last.at);
    return answered ? null : last;
  });

  const marks = computed((): readonly WayMark[] => {
    const { job } = store;
    if (job === null) return [];
    const reached = new Set<Access>();
    const looks = entries.value.flatMap((entry): WayMark[] => {
      const sign = signOf(entry.what);
      if (entry.kind === 'mend') {
        const minutes = store.knowledge === null ? 0 : mendMinutes(entry.what, store.knowledge);
        return [
          { key: `${entry.seq}`, name: 'Put right', minutes, costMinor: 0, said: nameOf(entry.what), isOpen: false },
        ];
      }
      // What was stopped took no time.
      if (entry.kind !== 'look' || sign === null || entry.answer?.met === undefined) return [];
      const check = job.checks.find((each) => each.check === sign.id && each.at >= entry.at);
      const outcome = check?.outcome ?? null;
      return [
        {
          key: `${entry.seq}`,
          name: sign.name,
          minutes: minutesOf(sign, reached),
          costMinor: sign.method?.costMinor ?? 0,
          said: outcome === null ? '' : (sign.outcomes.find(({ id }) => id === outcome)?.name ?? ''),
          isOpen: check === undefined && inHand.value?.seq === entry.seq,
        },
      ];
    });
    const read = job.codesRead.before !== null || job.codes.length > 0;
    return [
      ...(read
        ? [
            {
              key: 'codes',
              name: 'Codes read',
              minutes: READ_MINUTES,
              costMinor: 0,
              said: codesWords(job.codes),
              isOpen: false,
            },
          ]
        : []),
      ...looks,
    ];
  });
  const minutes = computed(
    () =>
      marks.value.reduce((sum, mark) => sum + mark.minutes, 0) +
      entries.value.filter(({ kind }) => kind === 'ask').length * ASK_MINUTES,
  );
  const costMinor = computed(() => marks.value.reduce((sum, mark) => sum + mark.costMinor, 0));

  /** @returns what came of it; null where it was refused, with the reason in `problem` */
  async function does(deed: Deed): Promise<PracticeEntry | null> {
    problem.value = '';
    try {
      const entry = await doAtPractice(WORLD.practice ?? '', deed);
      await reload();
      return entry;
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
      return null;
    }
  }
  return {
    store,
    reply,
    failed,
    reload,
    problem,
    signs,
    signOf,
    entries,
    tags,
    asked,
    inHand,
    marks,
    minutes,
    costMinor,
    does,
  };
}

const codesWords = (codes: readonly { readonly code: string }[]): string =>
  codes.length === 0 ? 'none' : codes.length === 1 ? (codes[0]?.code ?? '') : `${codes.length} stored`;
