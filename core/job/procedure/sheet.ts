import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** By which procedure, in which version, it was worked. */
export const procedureRows = ({ procedure, withoutProcedure }: Job): SheetRow[] =>
  procedure === null
    ? withoutProcedure === null
      ? []
      : [row('Procedure', 'none: worked from what came off')]
    : [row('Procedure', procedure.name, `version ${procedure.version}; source: ${sourceWords(procedure)}`)];
