export { diskRoom, LAST_BYTES, LOW_BYTES, sayBytes } from './room.ts';
export type { DiskRoom } from './room.ts';
export { backupAge, backupDue, keptBackups, KEPT, TOO_OLD_HOURS } from './schedule.ts';
export type { BackupAge, BackupTime, Dated, KeptFor, Shelf } from './schedule.ts';
