import type { Procedure } from '../../core/procedure/index.ts';
import { cableProcedure } from './cable.ts';
import { electronicProcedure } from './electronic.ts';
import { fourProcedure, minibusProcedure, outboardProcedure, twinProcedure } from './others.ts';
import { saloonProcedure } from './saloon.ts';

/** The library of the demo shop. */
export const PROCEDURES: readonly Procedure[] = [
  cableProcedure,
  electronicProcedure,
  saloonProcedure,
  minibusProcedure,
  twinProcedure,
  fourProcedure,
  outboardProcedure,
];
