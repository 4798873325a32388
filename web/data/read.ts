import { useQuery, useQueryCache } from '@pinia/colada';
import { computed } from 'vue';
import { api } from './api.ts';
import { useChanges } from './changes.ts';
import { keptOr } from './kept.ts';

/** The list that an address belongs to: the noun it begins with. */
const listOf = (path: string): string => path.split(/[/?]/)[1] ?? '';

/**
 * Something that the server holds, by its address: asked for when it is shown, shown from memory meanwhile, and out of
 * reach as it was answered last.
 * @param path under the API; null while there is nothing to ask for
 */
export function useRead<T>(path: () => string | null) {
  const { data, error, asyncStatus, refetch } = useQuery<T>({
    key: () => [listOf(path() ?? ''), path() ?? ''],
    query: () => {
      const asked = path() ?? '';
      return keptOr(asked, () => api.get<T>(asked));
    },
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
  useChanges((change) => {
    // A job moves stock, units and reminders along with itself.
    if (change === null || change.kind === 'job') void cache.invalidateQueries();
    else void cache.invalidateQueries({ key: [change.list] });
  });
}
