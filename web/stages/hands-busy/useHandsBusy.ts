import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Refusal } from '../../../core/job/index.ts';
import { useKeys } from '../../shell/keys.ts';
import { useJob } from '../../stores/job.ts';
import { useLiveJob } from '../../stores/liveJob.ts';
import { useTakeBack } from '../entries/useTakeBack.ts';

/** What one hands-busy screen is about; the rest is the same for all. */
export interface HandsBusy {
  /** Stage of the sheet that it goes back to. */
  readonly sheet: () => string;
  /** What fills the screen, by id; null when nothing is left. */
  readonly current: () => string | null;
  /** How many steps are left, the one on the screen among them. */
  readonly left: () => number;
  /** Does the step on the screen. @returns why it cannot be done, or null */
  readonly act: () => Pick<Refusal, 'message' | 'wouldHelp'> | null;
}

/**
 * One step fills the screen: loads the job of the address, keeps the screen awake, and binds Done, Undo, Not yet and
 * the way back to keys and a foot pedal.
 */
export function useHandsBusy({ sheet, current, left, act }: HandsBusy) {
  const route = useRoute();
  const router = useRouter();
  const store = useJob();
  const skipped = ref<readonly string[]>([]);
  const said = ref('');
  const jobId = (): string => String(route.params.id);
  watch(jobId, (id) => void store.load(id), { immediate: true });
  useLiveJob(jobId);
  useAwakeScreen();

  /** What was put off comes last. */
  const putOffLast = <T>(all: readonly T[], idOf: (each: T) => string): T[] => [
    ...all.filter((each) => !skipped.value.includes(idOf(each))),
    ...all.filter((each) => skipped.value.includes(idOf(each))),
  ];
  function tell(refusal: Pick<Refusal, 'message' | 'wouldHelp'> | null): void {
    said.value = refusal === null ? '' : `${refusal.message} ${refusal.wouldHelp}`.trim();
  }
  const done = (): void => tell(act());
  function notYet(): void {
    const id = current();
    if (id !== null && left() > 1) skipped.value = [...skipped.value.filter((each) => each !== id), id];
  }
  const back = useTakeBack(tell);
  function undo(): void {
    back.takeBack();
    if (back.asking.value !== null)
      said.value = `${back.others.value} did this: ${back.asking.value.label}. Undo again takes it back.`;
  }
  const leave = (): void => void router.push(`/jobs/${jobId()}/${sheet()}`);
  useKeys([
    { keys: ' ', does: 'Done', run: done },
    { keys: 'enter', does: 'Done', run: done },
    { keys: 'pagedown', does: 'Done (foot pedal)', run: done },
    { keys: 'u', does: 'Undo the last action', run: undo },
    { keys: 'y', does: 'Redo what was undone', run: back.doAgain },
    { keys: 'n', does: 'Not yet', run: notYet },
    { keys: 'h', does: 'Back to the sheet', run: leave },
    { keys: 'escape', does: 'Back to the sheet', run: leave },
  ]);
  return { job: computed(() => store.job), said, putOffLast, tell, done, notYet, undo, leave };
}

/** The screen stays awake where the browser can do that; where it cannot, nothing is lost. */
function useAwakeScreen(): void {
  let awake: WakeLockSentinel | null = null;
  const keepAwake = async (): Promise<void> => {
    if ('wakeLock' in navigator && document.visibilityState === 'visible')
      awake = await navigator.wakeLock.request('screen').catch(() => null);
  };
  onMounted(() => {
    void keepAwake();
    document.addEventListener('visibilitychange', keepAwake);
  });
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', keepAwake);
    void awake?.release();
  });
}
