import { z } from 'zod';
import { PHASES, type PhaseKind, type TraceFigureKind } from '../core/trace/index.ts';
import type { MeterUnit } from '../core/vehicle/index.ts';
import { id, when } from './primitives.ts';

/** What a simulated person can be asked to do at a simulated vehicle. */
export const DEEDS = ['off', 'key-on', 'start', 'idle', 'sweep', 'blip', 'hold', 'loads', 'drive', 'cool'] as const;
/** The id of one of {@link DEEDS}. */
export type Deed = (typeof DEEDS)[number];

const phaseKind = z.enum(Object.keys(PHASES) as [PhaseKind, ...PhaseKind[]]);
const place = z.enum(['bay', 'stand', 'road', 'hose', 'tank', 'water']).optional();
const state = z.enum(['cold', 'warm', 'loads']).optional();

/** Begins a recording for a job. */
export const recordingBegin = z.strictObject({ link: id, jobId: id, when, by: id, place, state });
/** Goes on with, pauses or marks one. */
export const recordingStep = z.strictObject({
  do: z.enum(['pause', 'resume', 'mark']),
  phase: phaseKind.nullable().optional(),
});
/** Ends one, and keeps it on its job, or throws it away. */
export const recordingEnd = z.strictObject({ keep: z.boolean(), by: id });
/** Asks for something at a vehicle’s key and foot. */
export const adapterAct = z.strictObject({ link: id, deed: z.enum(DEEDS) });

/** News of a recording while it runs. */
export interface RecordingNews {
  readonly state: 'recording' | 'paused' | 'stopped' | 'lost';
  readonly seconds: number;
  readonly readings: number;
  /** Values since the last word, by channel: time and value. */
  readonly values: Readonly<Record<string, readonly (readonly [number, number])[]>>;
  readonly phase: PhaseKind | null;
  readonly problems: readonly string[];
}

/** What a recording was that begins. */
export interface RecordingBegun {
  readonly id: string;
}

/** A recording whose file is stored. */
export interface RecordingStored {
  readonly hash: string;
  readonly bytes: number;
}

/** A figure of a vehicle at one visit, before or after the work. */
export interface VisitFigure {
  readonly kind: TraceFigureKind;
  readonly when: 'before' | 'after';
  readonly value: number;
  readonly sd: number | null;
  readonly jobId: string;
  readonly number: number;
  readonly reading: number;
  readonly readingUnit: MeterUnit;
  readonly openedAt: string;
  /** What was chosen; empty where nothing was yet. */
  readonly choice: string;
}
