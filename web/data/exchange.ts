import type { ChapterElsewhere, Page, ShopsReply, SignedLook } from '../../contract/index.ts';
import { ask, give, keep } from './asking.ts';
import { useRead } from './read.ts';

/** What other shops tell of a vehicle or a unit, as long as it is shown. */
export const useElsewhere = (subject: () => string) => useRead<Page<ChapterElsewhere>>(() => `${subject()}/elsewhere`);
/** Our own key, and the shops that we have files of. */
export const readShops = (): Promise<ShopsReply> => ask('/shops');
/** Their key was compared with them, or that is taken back. */
export const confirmShop = (fingerprint: string, confirmed: boolean): Promise<unknown> =>
  keep(`/shops/${encodeURIComponent(fingerprint)}`, { confirmed });
/** What a signed file holds; nothing of it is taken. */
export const lookAtFile = (file: unknown): Promise<SignedLook> => give('/signed-files/looks', { file });
/** Takes a life onto one of ours, or of know-how what is named. @returns how much is new here */
export const takeFile = (
  file: unknown,
  what: { readonly onto: string } | { readonly keys: readonly string[] },
): Promise<{ readonly taken: number }> => give('/signed-files', { file, ...what });
/** Where the life of a vehicle or a unit is had as a file. @param subject such as `/vehicles/bus` */
export const lifeAddress = (subject: string, by: string): string => `/api${subject}/life?by=${encodeURIComponent(by)}`;
/** Where know-how is had as a file. */
export const knowHowAddress = (
  { procedures, recipes, knowledge }: { readonly procedures: readonly string[]; readonly recipes: readonly string[]; readonly knowledge: boolean }, // prettier-ignore
  by: string,
): string =>
  `/api/know-how?${new URLSearchParams({ by, procedures: procedures.join(','), recipes: recipes.join(','), knowledge: knowledge ? 'yes' : 'no' }).toString()}`;
