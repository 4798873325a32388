import { ref, shallowRef, watch } from 'vue';
import type { Page } from '../../contract/index.ts';
import { ask } from './asking.ts';
import { BREATH_MS, useChanges } from './changes.ts';

/** What a list is asked by; what is undefined is not asked. */
export type Query = Readonly<Record<string, string | readonly string[] | undefined>>;

/** So many lines are shown at first. */
const AT_FIRST = 50;
/** No more than so many lines are asked for at a time. */
const MOST = 200;

/** An address with what is asked in it. */
export function addressOf(path: string, query: Query): string {
  const asked = new URLSearchParams(
    Object.entries(query).flatMap(([name, value]) =>
      value === undefined ? [] : [value].flat().map((each) => [name, each] as [string, string]),
    ),
  ).toString();
  return asked === '' ? path : `${path}?${asked}`;
}

/** Every line of a list, page after page: for lists that are short by their nature. */
export async function allPages<T>(path: string, query: Query = {}): Promise<T[]> {
  const rows: T[] = [];
  let after: string | undefined;
  do {
    const page: Page<T> = await ask(addressOf(path, { ...query, limit: String(MOST), after }));
    rows.push(...page.rows);
    after = page.next ?? undefined;
  } while (after !== undefined);
  return rows;
}

/**
 * A list, a page at a time: asked for anew when the question changes and when its rows are changed by others. The newest
 * question wins; an older answer that arrives late is dropped.
 * @param path under the API
 * @param follows lists whose changes change this one
 */
export function usePages<T>(path: string, query: () => Query, follows: readonly string[]) {
  const rows = shallowRef<readonly T[]>([]);
  const next = ref<string | null>(null);
  const failed = ref('');
  const loaded = ref(false);
  const busy = ref(false);
  let asked = 0;
  let breath: ReturnType<typeof setTimeout> | undefined;

  /** @param read the lines to show, and what comes after them */
  async function show(read: () => Promise<Page<T>>): Promise<void> {
    const mine = ++asked;
    busy.value = true;
    try {
      const page = await read();
      if (mine !== asked) return;
      rows.value = page.rows;
      next.value = page.next;
      failed.value = '';
      loaded.value = true;
    } catch (error) {
      if (mine === asked) failed.value = error instanceof Error ? error.message : String(error);
    } finally {
      if (mine === asked) busy.value = false;
    }
  }
  const page = (more: Query): Promise<Page<T>> => ask<Page<T>>(addressOf(path, { ...query(), ...more }));
  const begin = (): Promise<void> => show(() => page({}));
  /** As many lines as are shown, so that nobody is thrown back to the top. */
  const again = (): Promise<void> =>
    show(async () => {
      const wanted = Math.max(AT_FIRST, rows.value.length);
      let read: Page<T> = { rows: [], next: null };
      do {
        const limit = String(Math.min(MOST, wanted - read.rows.length));
        const come = await page({ limit, after: read.next ?? undefined });
        read = { rows: [...read.rows, ...come.rows], next: come.next };
      } while (read.next !== null && read.rows.length < wanted);
      return read;
    });
  async function more(): Promise<void> {
    const after = next.value;
    if (after === null || busy.value) return;
    await show(async () => {
      const come = await page({ after });
      return { rows: [...rows.value, ...come.rows], next: come.next };
    });
  }

  watch(() => addressOf(path, query()), begin, { immediate: true });
  useChanges((change) => {
    if (change?.kind === 'rows' && !follows.includes(change.list)) return;
    if (change?.kind === 'job' && !follows.includes('jobs')) return;
    clearTimeout(breath);
    breath = setTimeout(() => void again(), BREATH_MS);
  });
  return { rows, next, failed, loaded, busy, more, reload: again };
}
