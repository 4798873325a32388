import { onScopeDispose } from 'vue';
import type { Change } from '../../contract/index.ts';
import { useChanges } from '../data/changes.ts';

/** Quiet for so long, what the shop works with now is taken along, ms. */
const QUIET_MS = 4000;
/** In a shop that is never quiet it is after so long all the same, ms. */
const MOST_MS = 30_000;

/** Takes along what has changed in quiet moments, all of it after a break. For the application as a whole. */
export function useCarry(): void {
  /** What changed since; null for all. */
  let changes: Change[] | null = null;
  let waitsSince = Date.now();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let going = false;

  function soon(): void {
    clearTimeout(timer);
    timer = setTimeout(() => void go(), Math.max(0, Math.min(QUIET_MS, waitsSince + MOST_MS - Date.now())));
  }
  async function go(): Promise<void> {
    if (going) return soon();
    going = true;
    const now = changes;
    changes = [];
    waitsSince = Date.now();
    try {
      await (await import('./carry.ts')).carry(now);
    } catch {
      // Away, or something could not be had: the next contact has it all looked at once more.
      changes = null;
    } finally {
      going = false;
    }
  }
  useChanges((change) => {
    if (changes?.length === 0) waitsSince = Date.now();
    if (change === null) changes = null;
    else changes?.push(change);
    soon();
  });
  soon();
  onScopeDispose(() => clearTimeout(timer));
}
