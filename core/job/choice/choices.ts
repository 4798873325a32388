import { type OptionId, OPTIONS } from '../../choose/index.ts';

/** The choices of the decide stage: the options that are compared. */
export const CHOICES = OPTIONS;
/** The id of a choice. */
export type Choice = OptionId;
