export { checkProcedure } from './check.ts';
export type {
  Bolt,
  CoolantSystem,
  FastenerGroup,
  ItemKind,
  Need,
  Procedure,
  ProcedureItem,
  ProcedureOpening,
  UnitKind,
} from './types.ts';
