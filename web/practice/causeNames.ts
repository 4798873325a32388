import { computed, onMounted } from 'vue';
import { useKnowledge } from '../stores/knowledge.ts';

/** Names of causes by the newest knowledge; an id stands for itself until that is here. */
export function useCauseNames() {
  const known = useKnowledge();
  onMounted(() => void known.needNewest());
  const newest = computed(() => [...known.versions.values()].sort((a, b) => b.version - a.version)[0] ?? null);
  const names = computed(() => new Map((newest.value?.causes ?? []).map(({ id, name }) => [id, name])));
  return { newest, nameOf: (id: string): string => names.value.get(id) ?? id };
}
