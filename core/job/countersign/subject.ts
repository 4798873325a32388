import { countersign, countersignAsked, countersigned } from './countersigning.ts';

/** The facts of this subject, and the commands that record them. */
export const COUNTERSIGN = { facts: [countersignAsked, countersigned], commands: [countersign] } as const;
