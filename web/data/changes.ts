import { onScopeDispose } from 'vue';
import type { Change } from '../../contract/index.ts';
import { apiUrl } from './world.ts';

/** Changes that come in one breath are followed once, ms. */
export const BREATH_MS = 120;

/** Told of a change; of null when the connection is new, and anything may have changed meanwhile. */
export type Heard = (change: Change | null) => void;

const listeners = new Set<Heard>();
let source: EventSource | null = null;

/**
 * One connection for the whole page. The browser connects again by itself when the server comes back. A page that nobody
 * looks at lets go: browsers allow six connections to one server, over all pages together.
 */
function connect(): void {
  const wanted = listeners.size > 0 && typeof EventSource !== 'undefined' && document.visibilityState !== 'hidden';
  if (!wanted) {
    source?.close();
    source = null;
    return;
  }
  if (source !== null) return;
  source = new EventSource(apiUrl('/changes'));
  source.onopen = () => tell(null);
  source.onmessage = ({ data }: MessageEvent<string>) => tell(JSON.parse(data) as Change);
}
/** Begins anew: somebody else is signed in, or somebody at all. */
export function listenAnew(): void {
  source?.close();
  source = null;
  connect();
}
function tell(change: Change | null): void {
  for (const heard of [...listeners]) heard(change);
}

/** Hears what changes in the shop, as long as the component or store that asks lives. */
export function useChanges(heard: Heard): void {
  if (listeners.size === 0) document.addEventListener('visibilitychange', connect);
  listeners.add(heard);
  connect();
  onScopeDispose(() => {
    listeners.delete(heard);
    if (listeners.size === 0) document.removeEventListener('visibilitychange', connect);
    connect();
  });
}
