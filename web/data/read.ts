import { useQuery, useQueryCache } from '@pinia/colada';
import { computed, onScopeDispose } from 'vue';
import { BREATH_MS, useChanges } from './changes.ts';
import { ask } from './kept.ts';

/** The list that an address belongs to: the noun it begins with. */
export const listOf = (path: string): string => path.split(/[/?]/)[1] ?? '';

/**
 * Something that the server holds, by its address: asked for when it is shown, shown from memory meanwhile, and out of
 * reach as it was answered last.
 * @param path under the API; null while there is nothing to ask for
 */
export function useRead<T>(path: () => string | null) {
  const { data, error, asyncStatus, refetch } = useQuery<T>({
    key: () => [listOf(path() ?? ''), path() ?? ''],
    query: () => ask<T>(path() ?? ''),
    enabled: () => path() !== null,
    staleTime: 0,
  });
  return {
    data: computed(() => data.value ?? null),
    /** Why it could not be read, in words; empty when it was. */
    failed: computed(() => error.value?.message ?? ''),
    loading: computed(() => asyncStatus.value === 'loading'),
    reload: async (): Promise<void> => void (await refetch()),
  };
}

/** Has what is shown asked for anew when others change it. For the application as a whole. */
export function useFreshReads(): void {
  const cache = useQueryCache();
  /** Lists of which rows changed in this breath; null among them for all. */
  const heard = new Set<string | null>();
  let breath: ReturnType<typeof setTimeout> | undefined;
  useChanges((change) => {
    // A job moves stock, units and reminders along with itself.
    heard.add(change === null || change.kind === 'job' ? null : change.list);
    breath ??= setTimeout(() => {
      breath = undefined;
      const lists = [...heard];
      heard.clear();
      if (lists.includes(null)) void cache.invalidateQueries();
      else for (const list of lists) void cache.invalidateQueries({ key: [list ?? ''] });
    }, BREATH_MS);
  });
  onScopeDispose(() => clearTimeout(breath));
}
