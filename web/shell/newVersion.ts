import { registerSW } from 'virtual:pwa-register';
import { newVersionReady } from './newVersionReady.ts';

/** A page may stay open for weeks. */
const LOOK_EVERY_MS = 15 * 60_000;

/**
 * Has the pages kept by this browser, which is asked not to make room of them, and looks for a newer program now and
 * then. It is offered, never forced.
 */
export function watchForNewVersion(): void {
  void navigator.storage?.persist?.().catch(() => false);
  const change = registerSW({
    onNeedRefresh: () => {
      newVersionReady.value = () => void change(true);
    },
    onRegisteredSW: (_, registration) => {
      // Out of reach there is nothing to be found; it is looked for again.
      setInterval(() => void registration?.update().catch(() => undefined), LOOK_EVERY_MS);
    },
  });
}
