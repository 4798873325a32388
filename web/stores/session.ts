import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { SessionReply } from '../../contract/index.ts';
import { OutOfReach } from '../data/api.ts';
import { listenAnew } from '../data/changes.ts';
import * as server from '../data/signIn.ts';
import { onNobody, signAs } from '../data/signedAs.ts';
import { readPreference, writePreference } from '../shell/preferences.ts';
import { useShop } from './shop.ts';

/** Without the server this page goes by what it was told last: whoever was at it then still is. */
function keptSession(): SessionReply | null {
  try {
    return JSON.parse(readPreference('signed-in') ?? 'null') as SessionReply | null;
  } catch {
    return null;
  }
}

/** Who is signed in at this browser, and how that changes. */
export const useSession = defineStore('session', () => {
  const shop = useShop();
  const told = shallowRef<SessionReply | null>(keptSession());
  /** Whether it is known who is here; until then nothing is shown that may be nobody’s business. */
  const known = ref(told.value !== null);
  if (told.value?.person != null) signAs(told.value);

  function take(reply: SessionReply): void {
    const before = told.value;
    told.value = reply;
    known.value = true;
    writePreference('signed-in', JSON.stringify(reply));
    signAs(reply.person === null ? null : reply);
    if (!reply.open && reply.way !== 'phone') shop.pick(reply.person?.id ?? '');
    if (before !== null && before.stretch !== reply.stretch && reply.person !== null) listenAnew();
    // A station that was struck out, or is none any more, keeps nothing of the workshop but what it has not sent.
    if (before?.station != null && reply.station === null)
      void import('./forgetting.ts').then(({ forgetWhatIsKept }) => forgetWhatIsKept());
  }

  let asking: Promise<void> | null = null;
  /** Asks who is signed in; what asks meanwhile hears the same answer. */
  const load = (): Promise<void> => (asking ??= ask().finally(() => (asking = null)));
  async function ask(): Promise<void> {
    try {
      take(await server.readSession());
    } catch (error) {
      // Out of reach it stays as it was told last; that the server is away is said elsewhere.
      if (!(error instanceof OutOfReach)) throw error;
    }
  }

  async function signIn(name: string, password: string): Promise<void> {
    take(await server.signIn(name, password));
  }
  async function changeHands(personId: string, pin: string): Promise<void> {
    take(await server.changeHands(personId, pin));
  }
  async function leave(everywhere = false): Promise<void> {
    await (everywhere ? server.signOutEverywhere() : server.signOut());
    await load();
  }
  onNobody(() => void load());

  return {
    known,
    load,
    signIn,
    changeHands,
    leave,
    told,
    /** People pick their names: nobody has an account. */
    open: computed(() => told.value?.open ?? true),
    /** Somebody has to sign in before anything is shown. */
    wanted: computed(() => told.value !== null && !told.value.open && told.value.person === null),
    way: computed(() => told.value?.way ?? null),
    station: computed(() => told.value?.station ?? null),
    hands: computed(() => told.value?.hands ?? []),
    stretch: computed(() => told.value?.stretch ?? ''),
  };
});
