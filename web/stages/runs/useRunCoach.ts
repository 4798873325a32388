import { computed, onBeforeUnmount, onMounted, reactive, ref, watch } from 'vue';
import type { Job, JobRun } from '../../../core/job/index.ts';
import { convert, FIELDS, type Field, plainText, type Unit } from '../../../core/quantity/index.ts';
import {
  conditionWords,
  currentStep,
  flagWords,
  isCounting,
  missingConditions,
  notYet,
  pausesOf,
  type ReadingName,
  READINGS,
  type Recipe,
  remaining,
} from '../../../core/relearn/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import { numberIn } from '../../parts/numberIn.ts';
import { useNow } from '../../stores/clock.ts';
import { useForm } from '../useForm.ts';

/** A reading that the step on the screen asks for, in the unit that its recipe thinks in. */
export interface AskedReading {
  readonly name: ReadingName;
  readonly label: string;
  readonly unit: Unit;
  readonly field: Field;
  /** The last one, or “”. */
  readonly last: string;
}

/** What the open run of a purpose asks, shows and takes; its sheet and the gloved screen go by the same. */
export function useRunCoach(job: () => Job | null, purpose: () => Recipe['purpose']) {
  const form = useForm();
  const now = useNow();
  const typed = reactive<Partial<Record<ReadingName, string>>>({});
  const text = ref('');
  /** The reading whose field holds what is no figure. */
  const unread = ref<ReadingName | null>(null);

  const mine = computed(() => job()?.runs.filter(({ run }) => run.recipe.purpose === purpose()) ?? []);
  const open = computed((): JobRun | null => mine.value.find(({ closed }) => closed === null) ?? null);
  const run = computed(() => open.value?.run ?? null);
  const step = computed(() => (run.value === null ? null : currentStep(run.value)));
  const left = computed(() => (run.value === null ? null : remaining(run.value, now.value)));
  const counting = computed(() => run.value !== null && isCounting(run.value));
  const missing = computed(() => (run.value === null ? [] : missingConditions(run.value)));
  const pauses = computed(() => (run.value === null ? [] : pausesOf(run.value)));
  const blocked = computed(() => (run.value === null ? null : notYet(run.value, now.value)));
  /** “turn 2 of 3”, or “”. */
  const turn = computed(() => {
    const { value } = run;
    if (value === null || step.value === null) return '';
    const at = value.at;
    const loop = value.recipe.steps.find(
      (each, index) =>
        each.again !== null && index >= at && value.recipe.steps.findIndex(({ id }) => id === each.again?.back) <= at,
    );
    if (loop?.again == null) return '';
    return `turn ${(value.rounds[loop.id] ?? 0) + 1} of ${loop.again.times}`;
  });

  /** What the clock does, in words. */
  const clockWords = computed(() => {
    const { value } = run;
    if (counting.value || value === null) return 'counting';
    return pauses.value.length > 0
      ? `stands still: ${pauses.value.map((name) => flagWords(value.recipe, name)).join(', ')}`
      : 'does not count yet';
  });
  /** What must be so before it counts, in words; “” where nothing is missing. */
  const needs = computed(() => {
    const { value } = run;
    return value === null ? '' : missing.value.map((each) => conditionWords(value.recipe, each)).join(', ');
  });

  /** Only what this step asks about. */
  const askedReadings = computed((): AskedReading[] => {
    if (step.value === null || run.value === null) return [];
    const asked = [
      ...step.value.conditions.flatMap((each) =>
        each.kind === 'reading' ? [{ name: each.name, unit: each.unit }] : [],
      ),
      ...step.value.endsBadly,
    ];
    return asked
      .filter(({ name }, index) => asked.findIndex((other) => other.name === name) === index)
      .map(({ name, unit }) => {
        const kept = run.value?.readings[name];
        const field = FIELDS[READINGS[name].field];
        return {
          name,
          unit,
          label: `${READINGS[name].name}, ${unit}`,
          field: { ...field, assume: unit },
          last: kept === undefined ? '' : plainText(Number(convert(kept, READINGS[name].unit, unit).toPrecision(4))),
        };
      });
  });
  const askedFlags = computed(() => {
    const { value } = run;
    if (step.value === null || value === null) return [];
    const names = [
      ...step.value.conditions.flatMap((each) => (each.kind === 'flag' ? [each.name] : [])),
      ...step.value.pausedBy,
    ];
    return [...new Set(names)].map((name) => ({
      name,
      words: upperFirst(flagWords(value.recipe, name)),
      on: value.flags[name] ?? false,
    }));
  });

  type Input = Parameters<typeof form.send<'advance-run'>>[1]['input'];
  const send = (input: Input): boolean =>
    open.value !== null && form.send('advance-run', { runId: open.value.id, input });
  function enter({ name, unit, field }: AskedReading): void {
    const value = numberIn(typed[name] ?? '', field);
    unread.value = Number.isNaN(value) ? name : null;
    if (unread.value !== null) return;
    if (send({ kind: 'reading', name, value: Number(convert(value, unit, READINGS[name].unit).toPrecision(6)) }))
      typed[name] = '';
  }
  const toggle = (name: string, on: boolean): boolean => send({ kind: 'flag', name, on });
  /** The step is done; `answer` where it asks which way. */
  function confirm(answer?: number): boolean {
    if (step.value === null) return false;
    const asks = step.value.asks !== '';
    return send({
      kind: 'confirm',
      ...(answer !== undefined && { answer }),
      ...(asks && { text: text.value.trim() }),
    });
  }
  watch(
    () => step.value?.id,
    () => {
      text.value = '';
      form.clear();
    },
  );
  /** The one thing that a tap on the biggest button does; null where the step asks which way. */
  const single = computed(() => step.value !== null && step.value.answers.length === 0);

  // The clock moves on by itself once a step's time is full, also after a reload.
  let timer: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    timer = setInterval(() => {
      const asks = step.value !== null && (step.value.answers.length > 0 || step.value.asks !== '');
      if (counting.value && left.value === 0 && !asks && job()?.status === 'open') send({ kind: 'tick' });
    }, 1000);
  });
  onBeforeUnmount(() => clearInterval(timer));

  return {
    form,
    mine,
    open,
    run,
    step,
    left,
    counting,
    needs,
    clockWords,
    unread,
    blocked,
    turn,
    askedReadings,
    askedFlags,
    typed,
    text,
    send,
    enter,
    toggle,
    confirm,
    single,
  };
}
