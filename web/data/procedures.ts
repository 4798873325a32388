import { computed } from 'vue';
import type { ItemTimes, ProcedureFile, ProcedureLine, ProcedureVersion } from '../../contract/index.ts';
import type { Procedure } from '../../core/procedure/index.ts';
import { ask, give, keep } from './asking.ts';
import { addressOf } from './pages.ts';
import { useRead } from './read.ts';

/** The newest version of every procedure, a line each; null until they are there. */
export function useProcedures() {
  const { data, failed, reload } = useRead<{ rows: readonly ProcedureLine[] }>(() => '/procedures');
  return { rows: computed(() => data.value?.rows ?? null), failed, reload };
}
/** A procedure, the newest version unless one is named. */
export const readProcedure = (id: string, version?: string | number): Promise<Procedure> =>
  ask(addressOf(`/procedures/${id}`, { version: version === undefined ? undefined : String(version) }));
/** The versions of a procedure. */
export const readVersions = async (id: string): Promise<readonly ProcedureVersion[]> =>
  (await ask<{ rows: readonly ProcedureVersion[] }>(`/procedures/${id}/versions`)).rows;
/** What its items took on finished jobs. */
export const readTimes = (id: string): Promise<ItemTimes> => ask(`/procedures/${id}/times`);
/** Takes in a procedure file. */
export const takeProcedureFile = (file: ProcedureFile): Promise<Procedure> => give('/procedures/files', { file });
/** Saves the next version. */
export const saveProcedure = (procedure: Procedure, basedOn: number, note: string): Promise<Procedure> =>
  keep(`/procedures/${procedure.id}`, { basedOn, note, procedure });
/** The procedure that a job goes by, else the newest that its vehicle's family has; null where there is none. */
export async function procedureOf(
  id: string | undefined,
  version: number | undefined,
  familyId: string | null,
): Promise<Procedure | null> {
  if (id !== undefined) return readProcedure(id, version);
  if (familyId === null) return null;
  const { rows } = await ask<{ rows: readonly ProcedureLine[] }>('/procedures');
  const fits = rows.find((row) => row.familyId === familyId);
  return fits === undefined ? null : readProcedure(fits.id);
}
