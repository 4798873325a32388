import { ref } from 'vue';
import { useSession } from '../stores/session.ts';

/** Coming in at this browser: one try at a time, and why it did not do, beside where it was typed. */
export function useComingIn(done: () => void = () => undefined) {
  const session = useSession();
  const error = ref('');
  const busy = ref(false);
  async function attempt(work: () => Promise<unknown>): Promise<void> {
    error.value = '';
    busy.value = true;
    try {
      await work();
      done();
    } catch (failed) {
      error.value = wordsOf(failed);
    } finally {
      busy.value = false;
    }
  }
  return {
    error,
    busy,
    byPassword: (name: string, password: string) => attempt(() => session.signIn(name, password)),
    byPin: (personId: string, pin: string) => attempt(() => session.changeHands(personId, pin)),
  };
}

/** Why something did not do, with what would help. */
export function wordsOf(failed: unknown): string {
  if (!(failed instanceof Error)) return String(failed);
  const { wouldHelp } = failed as Error & { readonly wouldHelp?: string };
  return [failed.message, wouldHelp].filter(Boolean).join(' ');
}
