import { ref, shallowRef } from 'vue';
import type { AuditLine, ErrorReply } from '../../contract/index.ts';
import { api, ApiError } from '../data/api.ts';
import { useShop } from './shop.ts';

/** What a row holds now that somebody else saved it meanwhile. */
export type NewerRow = NonNullable<ErrorReply['error']['newer']>;

/**
 * Saves a plain row on top of the version that was looked at. When somebody else saved it meanwhile nothing is written:
 * `newer` holds what they saved, until the person has chosen.
 */
export function useRow(path: () => string, field: string) {
  const shop = useShop();
  /** The version that was looked at; 0 for a row that is new. */
  const version = ref(0);
  const newer = shallowRef<NewerRow | null>(null);

  /** @returns what the server answers, or null when it was saved meanwhile @throws ApiError for anything else */
  async function save<T>(row: unknown): Promise<T | null> {
    try {
      const reply = await api.put<T>(path(), { by: shop.personId, basedOn: version.value, [field]: row });
      newer.value = null;
      return reply;
    } catch (error) {
      if (!(error instanceof ApiError) || error.newer === undefined) throw error;
      newer.value = error.newer;
      return null;
    }
  }
  /** From now on what is saved goes on top of what the other saved. */
  function haveSeen(): void {
    version.value = newer.value?.version ?? version.value;
    newer.value = null;
  }
  return { version, newer, save, haveSeen };
}

/** Changes of one row, newest first. @param before the id of the last line that is shown */
export const auditOf = async (path: string, before?: number): Promise<readonly AuditLine[]> =>
  (await api.get<{ rows: AuditLine[] }>(`${path}/audit${before === undefined ? '' : `?before=${before}`}`)).rows;
