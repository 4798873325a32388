import { z } from 'zod';
import { role } from './signIn.ts';
import type { InBay } from '../core/bay/index.ts';
import type { Page } from './lists.ts';
import { isTimeZone } from '../core/days/index.ts';
import type { AiringState, Safety, Substance } from '../core/clean/index.ts';
import type { RecordedEvent, Stage } from '../core/job/index.ts';
import type { WorkKind } from '../core/procedure/index.ts';
import type { EngineFamily, Vehicle } from '../core/vehicle/index.ts';
import { SHOP_FIGURES, type ShopValues } from '../core/figures/index.ts';
import { skills, weekOfHours } from './day.ts';
import { id, isoTime, keysOf, line, minor, number } from './primitives.ts';

/** What every failed request answers with. */
export interface ErrorReply {
  readonly error: {
    readonly code: string;
    readonly message: string;
    /** Field path → what is wrong with it. */
    readonly fields: Readonly<Record<string, string>>;
    readonly wouldHelp: string;
    /** With `row-moved-on`: what the row holds now, and which version that is. */
    readonly newer?: {
      readonly version: number;
      readonly row: unknown;
      /** The change that came in between; absent when the audit does not have it. */
      readonly changed?: AuditLine;
    };
  };
}

/** One change of a plain row: who, when, and what it was changed to. */
export interface AuditLine {
  readonly id: number;
  readonly at: string;
  readonly by: string;
  readonly kind: string;
  readonly body: unknown;
}
/** What a change may be about, and the page of its changes that is asked for. */
export const auditQuery = z.strictObject({
  before: z.coerce.number().int().optional(),
  limit: z.coerce.number().int().min(1).max(100).default(20),
});

/** The answer to a command: every event that the sender had not seen, its own among them. */
export interface CommandReply {
  readonly jobId: string;
  readonly version: number;
  readonly events: readonly RecordedEvent[];
  /** True when this command's id had been taken before, and nothing changed now. */
  readonly repeated: boolean;
}

/** A whole job: its log. The state is what `replay` makes of it. */
export interface JobReply {
  readonly jobId: string;
  readonly version: number;
  readonly events: readonly RecordedEvent[];
}

/** One line of a list of jobs. */
export interface JobSummary {
  readonly id: string;
  readonly number: number;
  readonly vehicleId: string;
  readonly plate: string;
  readonly name: string;
  readonly status: 'open' | 'closed';
  readonly stage: Stage;
  readonly openedAt: string;
  readonly lastAt: string;
  readonly lastWords: string;
  readonly lastBy: string;
  readonly reading: number;
  readonly readingUnit: 'km' | 'mi' | 'h';
  readonly decision: string;
  readonly itemsOff: number;
  readonly held: boolean;
  /** Who has it, by id; null for nobody in particular. */
  readonly assigned: string | null;
  /** Why it rests, and until which day; null while it does not. */
  readonly aside: { readonly until: string | null; readonly why: string } | null;
  /** Why it was called off; null where it was not. */
  readonly cancelled: string | null;
}

/** A vehicle with its family and its past jobs. */
export interface VehicleFile {
  readonly vehicle: Vehicle;
  /** The version of the vehicle's row, for saving on top of it. */
  readonly version: number;
  readonly family: EngineFamily | null;
  /** The newest of its jobs. */
  readonly jobs: Page<JobSummary>;
}

/** A stretch of the day on one vehicle's line in the Bay. */
export interface BayStretch {
  readonly kind: 'hands-on' | 'wait' | 'part';
  readonly from: string;
  readonly to: string;
  readonly words: string;
}

/** An open job in the Bay, with the day's stretches and what is worked out of it. */
export interface BayLine extends InBay {
  readonly job: JobSummary;
  readonly nickname: string;
  readonly stretches: readonly BayStretch[];
}

/** The Bay. */
export interface BayReply {
  readonly now: string;
  readonly lines: readonly BayLine[];
}

/** A person who can be picked at the bench. */
export const person = z.strictObject({
  id,
  name: line.trim().min(1, 'What are they called?'),
  role,
  bay: line,
  /** Kinds of work that they do; left out: what their role usually does. */
  does: skills.nullable().optional(),
  /** When they are here, Monday first; left out: whenever the shop is open. */
  hours: weekOfHours.nullable().optional(),
  /** ISO time at which they left the workshop; their entries keep their name. */
  leftAt: z.iso.datetime().nullable().optional(),
});
/** What a person types about somebody of the workshop. */
export const personInput = person.omit({ id: true, leftAt: true });
/** The type of {@link person}. */
export type Person = z.infer<typeof person>;

/** The shop's settings. */
export const settings = z.strictObject({
  shopName: z.string().trim().min(1, 'What is the shop called?').max(80),
  currency: z.string().trim().min(1, 'Which currency, such as cr?').max(8, 'Expected at most 8 characters.'),
  /** IANA name, such as Europe/London: whose days and clock the shop lives by. */
  timeZone: z.string().refine(isTimeZone, 'Expected a time zone such as Europe/London.'),
  /** Which gallon, quart, pint and fluid ounce is meant here; null until somebody has been asked. */
  measures: z.enum(['US', 'imperial']).nullable(),
  ratePerHourMinor: minor,
  /** What a day without the vehicle costs its owner. */
  dayPriceMinor: minor,
  /** Diagnosing again and good will, when a job comes back. */
  comebackMinor: minor,
  /** Within how many days, and what distance or running time, the same complaint is a comeback. */
  comebackWithin: z.strictObject({
    days: z.number().int().min(0).max(1000),
    km: z.number().int().min(0).max(200_000),
    h: z.number().int().min(0).max(5000),
  }),
});
/** The type of {@link settings}. */
export type Settings = z.infer<typeof settings>;

/** Query of a job's log from a version on. */
export const sinceQuery = z.strictObject({ since: z.coerce.number().int().min(0).default(0) });

/** Query about one item of a job. */
export const itemQuery = z.strictObject({ item: id });

/** A torque figure of another job of this shop, for the same thread in the same kind of joint. */
export interface LikeFigure {
  readonly jobId: string;
  readonly number: number;
  readonly plate: string;
  readonly vehicle: string;
  readonly name: string;
  readonly text: string;
  readonly source: string | null;
  /** How that vehicle is like this one: it is the same, of its family, or has the same make and engine. */
  readonly kin: 'vehicle' | 'family' | 'engine';
}

/** One line of the procedures library: the newest version. */
export interface ProcedureLine {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly family: string;
  readonly familyId: string | null;
  readonly work: WorkKind | null;
  readonly items: number;
  readonly constraints: number;
}

/** A version of a procedure: when, by whom, what is new. */
export interface ProcedureVersion {
  readonly version: number;
  readonly at: string;
  readonly by: string;
  readonly note: string;
}

/** Hands-on minutes by item id, one figure a finished job. */
export type ItemTimes = Readonly<Record<string, { readonly off: readonly number[]; readonly back: readonly number[] }>>;

/** What was let into the air of the bay, and how it was aired. */
export interface AirReply {
  readonly now: string;
  readonly roomM3: number;
  readonly rates: Readonly<Record<AiringState, number>>;
  readonly state: AiringState;
  readonly releases: readonly {
    readonly jobId: string;
    readonly number: number;
    readonly plate: string;
    readonly substance: Substance;
    readonly grams: number;
    readonly minutes: number;
    readonly at: string;
    readonly safety: Safety | null;
  }[];
  readonly airings: readonly { readonly at: string; readonly by: string; readonly state: AiringState }[];
}

/** Something to be looked at again on a vehicle. */
export interface Reminder {
  readonly jobId: string;
  readonly id: string;
  readonly number: number;
  readonly vehicleId: string;
  readonly plate: string;
  readonly what: string;
  readonly dueOn: string | null;
  readonly dueReading: number | null;
  readonly readingUnit: 'km' | 'mi' | 'h';
}

/** What can be found. */
export type FoundKind = 'job' | 'vehicle' | 'unit' | 'stock' | 'procedure';
/** A stretch of what was found; `hit` is what was searched for. */
export interface FoundPart {
  readonly text: string;
  readonly hit: boolean;
}
/** One thing that was found. */
export interface FoundLine {
  readonly ref: string;
  readonly title: string;
  /** Which part of a job it was found in, such as `note`; empty where its own line says it. */
  readonly about: string;
  readonly status: 'open' | 'closed' | null;
  readonly parts: readonly FoundPart[];
}
/** What was found, by kind; `more` says that there are others. */
export interface SearchReply {
  readonly groups: readonly { readonly kind: FoundKind; readonly rows: readonly FoundLine[]; readonly more: boolean }[];
}
/** What is searched for, and how many lines of each kind. */
export const searchQuery = z.strictObject({
  q: z.string().max(2000).default(''),
  limit: z.coerce.number().int().min(1).max(200).default(6),
});

/** A unit in the returns box. */
export interface ReturnLine {
  readonly jobId: string;
  readonly id: string;
  readonly number: number;
  readonly plate: string;
  readonly oldUnit: string;
  readonly oldNumber: string;
  readonly failCode: string;
  readonly failNote: string;
  readonly newNumber: string;
  readonly supplier: string;
  readonly warrantyUntil: string | null;
  readonly at: string;
  readonly sentAt: string | null;
}

/** What the change stream tells: a job has a version now, or rows of a list (`stock`, `vehicles` …) were changed. */
export type Change =
  | { readonly kind: 'job'; readonly id: string; readonly version: number }
  | { readonly kind: 'rows'; readonly list: string };

/** What a shop says of one of its figures; null takes it back to what is usual. */
export const figureBody = z.strictObject({
  by: id,
  value: number.nullable(),
  source: line.trim().nullable(),
});
/** The figures of a shop as they are kept. */
export const shopValues = z.partialRecord(
  z.enum(keysOf(SHOP_FIGURES)),
  z.strictObject({ value: number, source: line.nullable(), by: id, at: isoTime }),
) satisfies z.ZodType<ShopValues>;
