import { ref, shallowRef, watch } from 'vue';
import type { Page } from '../../contract/index.ts';
import { api } from './api.ts';
import { ask } from './asking.ts';
import { useChanges } from './changes.ts';

/** What a list is asked by; what is undefined is not asked. */
export type Query = Readonly<Record<string, string | readonly string[] | undefined>>;

/** Changes that come in one breath are followed once, ms. */
const BREATH_MS = 120;
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

  async function askFor(more: Query, take: (page: Page<T>) => readonly T[]): Promise<void> {
    const mine = ++asked;
    busy.value = true;
    try {
      const page = await api.get<Page<T>>(addressOf(path, { ...query(), ...more }));
      if (mine !== asked) return;
      rows.value = take(page);
      next.value = page.next;
      failed.value = '';
      loaded.value = true;
    } catch (error) {
      if (mine === asked) failed.value = error instanceof Error ? error.message : String(error);
    } finally {
      if (mine === asked) busy.value = false;
    }
  }
  const begin = (): Promise<void> => askFor({}, (page) => page.rows);
  /** As many lines as are shown, so that nobody is thrown back to the top. */
  const again = (): Promise<void> =>
    rows.value.length > MOST
      ? Promise.resolve()
      : askFor({ limit: String(Math.max(50, rows.value.length)) }, (page) => page.rows);
  async function more(): Promise<void> {
    if (next.value === null || busy.value) return;
    await askFor({ after: next.value }, (page) => [...rows.value, ...page.rows]);
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
