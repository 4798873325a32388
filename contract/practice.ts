import { z } from 'zod';
import { type Group, GROUPS, OPTION_IDS, type OptionId } from '../core/diagnose/index.ts';
import { DEEDS, type HandAnswer, type HandDeed, type Harm, type Met, type Scenario } from '../core/practice/index.ts';
import type { Stage } from '../core/job/index.ts';
import { id, line } from './primitives.ts';

const group = z.enum(Object.keys(GROUPS) as [Group, ...Group[]]);
const option = z.enum(OPTION_IDS as [OptionId, ...OptionId[]]);
const seed = z.union([z.number().int().min(-2147483648).max(2147483647), line.trim().min(1).max(80)]);

/** The version of the file of a scenario that this program writes, and the newest that it reads. */
export const SCENARIO_FILE_VERSION = 1;

/** A scenario as it is written: what is hidden in which vehicle, and what it teaches. */
export const scenarioInput = z.strictObject({
  group,
  faults: z.array(id).min(1, 'Say what is wrong with it: one cause, or two.').max(2, 'Two causes at most.'),
  seed,
  difficulty: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  teaches: line.trim().min(1, 'Say in a sentence what it teaches.'),
  tried: z.array(option).max(4).default([]),
});
/** The type of {@link scenarioInput}. */
export type ScenarioInput = Omit<Scenario, 'id'>;

/** The file of a scenario. */
export const scenarioFile = z.strictObject({
  format: z.literal('unhurried-wrench-scenario'),
  version: z.literal(SCENARIO_FILE_VERSION),
  scenario: scenarioInput,
});
/** The type of {@link scenarioFile}. */
export type ScenarioFile = z.infer<typeof scenarioFile>;

/** Begins a practice job: on a scenario of the list, or on any that fits. */
export const practiceBegin = z.strictObject({
  by: id,
  scenario: id.optional(),
  group: group.optional(),
  difficulty: z.union([z.literal(1), z.literal(2), z.literal(3)]).optional(),
  seed: seed.optional(),
});

const deed = z.enum(Object.keys(DEEDS) as [HandDeed, ...HandDeed[]]);
/** What a person does at a practice job beside what its log records. */
export const practiceDeed = z.discriminatedUnion('kind', [
  z.strictObject({ by: id, kind: z.literal('look'), sign: id }),
  z.strictObject({ by: id, kind: z.literal('ask'), sign: id }),
  z.strictObject({ by: id, kind: z.literal('hand'), deed }),
  z.strictObject({ by: id, kind: z.literal('tags'), tags: z.record(id, z.number().int().min(1).max(10)) }),
  z.strictObject({ by: id, kind: z.literal('ranking') }),
  z.strictObject({ by: id, kind: z.literal('mend'), cause: id }),
]);
/** The type of {@link practiceDeed}. */
export type PracticeDeed = z.infer<typeof practiceDeed>;

/** Who does it, and nothing else. */
export const practiceBy = z.strictObject({ by: id });
/** Begins it again with the same seed, or with another. */
export const practiceAgain = z.strictObject({
  by: id,
  seed: seed.optional(),
  /** On another vehicle with the same fault, whichever shows it. */
  other: z.boolean().default(false),
});
/** Says what it was, and ends it. */
export const practiceDecided = z.strictObject({
  by: id,
  causes: z.array(id).min(1, 'Say what it was.').max(2, 'Two at most.'),
});
/** What a drill of a person came to. */
export const drillDone = z.strictObject({
  by: id,
  drill: id,
  seed: z.number().int().min(0).max(4294967295),
  right: z.number().int().min(0).max(100),
  of: z.number().int().min(1).max(100),
  seconds: z.number().min(0).max(7200),
});

/** A scenario as it is offered: nothing of what is hidden. */
export interface ScenarioLine {
  readonly key: string;
  readonly group: Group;
  readonly difficulty: 1 | 2 | 3;
  readonly tried: string;
  /** How often whoever asks has been through it. */
  readonly done: number;
  /** Written in this shop; by whom. */
  readonly own: { readonly by: string; readonly at: string } | null;
  /** What it teaches; told of those that a person has been through, and to leads of those of the shop. */
  readonly teaches: string;
}

/** How a practice job stands. */
export type PracticeState = 'open' | 'stopped' | 'ended';

/** A practice job in a list. */
export interface PracticeLine {
  readonly id: string;
  readonly number: number;
  readonly by: string;
  readonly group: Group;
  readonly name: string;
  readonly complaint: string;
  readonly state: PracticeState;
  readonly begunAt: string;
  readonly endedAt: string | null;
  /** Whether it was found; null while it is open. */
  readonly found: boolean | null;
  readonly cured: boolean | null;
  readonly countersigned: { readonly by: string; readonly at: string } | null;
  /** Stages at which anything was done, in their order; empty while it is open. */
  readonly stages: readonly Stage[];
}

/** What was done at a practice job beside its log, in order. */
export interface PracticeEntry {
  readonly seq: number;
  /** By the practice clock. */
  readonly at: string;
  readonly by: string;
  readonly kind: PracticeDeed['kind'];
  /** What was looked at, asked, done or put right; the tags. */
  readonly what: string;
  readonly tags: Readonly<Record<string, number>> | null;
  readonly answer: PracticeAnswer | null;
}

/** What came of it. */
export interface PracticeAnswer {
  readonly met?: Met | undefined;
  readonly said?: string | undefined;
  readonly hand?: HandAnswer | undefined;
  /** How the key stands after it, where it was turned. */
  readonly key?: 'off' | 'on' | 'run' | undefined;
}

/** A practice job as its screens need it: nothing of what is hidden before it is ended. */
export interface PracticeReply extends PracticeLine, PracticeStanding {
  readonly tried: string;
  readonly entries: readonly PracticeEntry[];
}

/** How things stand where hands are. */
export interface PracticeStanding {
  readonly ragIn: boolean;
  readonly handAtPlate: boolean;
  /** A hand or a rag reaches in. */
  readonly open: boolean;
  readonly key: 'off' | 'on' | 'run';
}

/** What is shown afterwards. */
export interface PracticeReview extends PracticeReply {
  readonly scenario: Scenario;
  readonly decided: readonly string[];
  /** Faults that are there still. */
  readonly left: readonly string[];
  readonly harms: readonly Harm[];
  /** The knowledge it is judged by. */
  readonly knowledge: number;
}

/** What is practised, by a person: never beside another. */
export interface PracticeProgress {
  readonly person: string;
  readonly jobs: readonly PracticeLine[];
  /** Causes that were met, with how often they were found. */
  readonly causes: readonly { readonly cause: string; readonly met: number; readonly found: number }[];
  readonly drills: readonly {
    readonly drill: string;
    readonly done: number;
    readonly lastRight: number;
    readonly lastOf: number;
    readonly lastAt: string;
  }[];
  /** What is due again and when, soonest first: a drill, or a cause. */
  readonly due: readonly { readonly subject: string; readonly at: string }[];
}

/** The first page of practice. */
export interface PracticeHome {
  readonly scenarios: readonly ScenarioLine[];
  readonly open: readonly PracticeLine[];
  readonly ended: readonly PracticeLine[];
  readonly due: PracticeProgress['due'];
}
