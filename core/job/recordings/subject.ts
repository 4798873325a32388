import { keepRecording, recordingKept } from './keeping.ts';

/** The facts of this subject, and the commands that record them. */
export const RECORDINGS = { facts: [recordingKept], commands: [keepRecording] } as const;
