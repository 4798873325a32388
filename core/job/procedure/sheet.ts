import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** By which procedure, in which version, it was worked. */
export const procedureRows = ({ procedure }: Job): SheetRow[] =>
  procedure === null
    ? []
    : [row('Procedure', procedure.name, `version ${procedure.version}; source: ${sourceWords(procedure)}`)];
