import type { KeepingInput, KeepingReply } from '../../contract/index.ts';
import { api } from './api.ts';
import { keep } from './asking.ts';
import { useRead } from './read.ts';

/** How the shop's data are kept: backups, room on the disk, and what is not well. */
export const useKeeping = () => useRead<KeepingReply>(() => '/keeping');
/** Has a backup made now; how far it is comes by the stream of changes. */
export const backUpNow = (): Promise<KeepingReply> => api.post<KeepingReply>('/backups', {});
/** Where backups go from now on, and when. */
export const keepBackups = (keeping: KeepingInput): Promise<KeepingReply> => keep('/keeping', { keeping });
