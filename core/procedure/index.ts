export { checkProcedure } from './check.ts';
export { RESTORE_KINDS, WORK_KINDS } from './types.ts';
export type {
  Bolt,
  CoolantSystem,
  FastenerGroup,
  ItemKind,
  Need,
  Procedure,
  ProcedureItem,
  ProcedureOpening,
  RestoreKind,
  ThreadHole,
  UnitKind,
  WorkKind,
} from './types.ts';
