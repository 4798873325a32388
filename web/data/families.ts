import { computed } from 'vue';
import type { FamilyRow } from '../../contract/index.ts';
import type { EngineFamily } from '../../core/vehicle/index.ts';
import { ask } from './asking.ts';
import { useRead } from './read.ts';

/** Every engine family of the shop; null until they are there. */
export function useFamilies() {
  const { data, failed } = useRead<{ rows: readonly EngineFamily[] }>(() => '/families');
  return { families: computed(() => data.value?.rows ?? null), failed };
}
/** One engine family with the version of its row. */
export const readFamily = (id: string): Promise<FamilyRow> => ask(`/families/${id}`);
