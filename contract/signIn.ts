import { z } from 'zod';
import { ROLES } from '../core/access/index.ts';
import type { EstimateSheet } from '../core/job/index.ts';
import type { CustomerPage } from '../core/sheet/index.ts';
import { count, id, isoTime, line, minor } from './primitives.ts';

/** What somebody is in the workshop. */
export const role = z.enum(Object.keys(ROLES) as [keyof typeof ROLES, ...(keyof typeof ROLES)[]]);

/** A password: long rather than clever. */
export const password = z
  .string()
  .min(10, 'Expected at least 10 characters: three or four words that do not belong together will do.')
  .max(200, 'Expected at most 200 characters.');
/** A PIN for changing hands at a station: digits that are not all the same and not in a row. */
export const pin = z
  .string()
  .regex(/^\d{4,8}$/, 'Expected 4 to 8 digits.')
  .refine((digits) => !isPlainPin(digits), 'Expected digits that are not all the same and not in a row.');

/** “0000”, “1234”, “8765”. */
function isPlainPin(digits: string): boolean {
  const steps = new Set([...digits.slice(1)].map((digit, at) => Number(digit) - Number(digits[at])));
  return steps.size === 1 && [0, 1, -1].includes([...steps][0] ?? 9);
}

/** What is typed to get in is not judged by how it looks: only whether it is right. */
const typed = z.string().max(200, 'Expected at most 200 characters.');

/** Signs in by a name, in full or the first alone where it is clear, and a password. */
export const signIn = z.strictObject({ name: line.min(1, 'Who are you?'), password: typed });
/** Changes hands at a station. */
export const changeHands = z.strictObject({ personId: id, pin: typed });
/** Sets a password: one’s own with the one so far, somebody’s as a lead. */
export const passwordSet = z.strictObject({ by: id.optional(), password, current: typed.optional() });
/** Sets one’s own PIN. */
export const pinSet = z.strictObject({ password: typed, pin });
/** Enrols the browser that asks as a station. */
export const stationInput = z.strictObject({ name: line.trim().min(1, 'What is this station called?') });
/** A person’s name beside what an apprentice did, by their PIN or password, without a change of hands. */
export const countersignBody = z.strictObject({
  personId: id,
  secret: typed,
  command: z.strictObject({
    id,
    at: isoTime,
    sentAt: isoTime.optional(),
    seen: count.min(0),
    data: z.strictObject({ seqs: z.array(count.min(1)).max(500), handOver: z.boolean() }),
  }),
});
/** A link that shows a customer one thing of one job. */
export const linkInput = z.strictObject({
  kind: z.enum(['estimate', 'sheet']),
  days: count.min(1, 'Expected at least a day.').max(90, 'Expected at most 90 days.'),
});
/** What a customer answers through a link. */
export const customerAnswer = z.strictObject({
  id,
  answer: z.enum(['approved', 'declined', 'up to']),
  limitMinor: minor.nullable(),
  who: line.trim().min(1, 'Who answers?'),
  note: line,
});
/** A phone comes in by what its link says. */
export const phoneJoin = z.strictObject({ token: z.string().min(20).max(80) });
/** Lines of the access record from before a number. */
export const accessQuery = z.strictObject({
  before: z.coerce.number().int().min(1).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});

/** Who is signed in, and what a browser may offer. */
export interface SessionReply {
  /** What the workshop is called. */
  readonly shopName: string;
  /** Nobody has an account: names are picked, on this machine alone. */
  readonly open: boolean;
  readonly person: { readonly id: string; readonly name: string; readonly role: z.infer<typeof role> } | null;
  /** How they came in. */
  readonly way: 'password' | 'pin' | 'phone' | null;
  /** Sent along with all that changes something. */
  readonly token: string;
  /** Names this stretch of work, for what waits at a station. */
  readonly stretch: string;
  readonly endsAt: string | null;
  /** The one job of a phone that takes photos. */
  readonly jobId: string | null;
  /** The station that this browser is. */
  readonly station: { readonly id: string; readonly name: string } | null;
  /** Who can change hands here; nobody where this is no station. */
  readonly hands: readonly { readonly id: string; readonly name: string }[];
}

/** A tablet or machine at which people change hands. ISO times. */
export interface Station {
  readonly id: string;
  readonly name: string;
  readonly enrolledAt: string;
  readonly enrolledBy: string;
  readonly seenAt: string;
  /** Null while it stands. */
  readonly struckAt: string | null;
}

/** A line of the access record. */
export interface AccessLine {
  readonly seq: number;
  readonly at: string;
  readonly by: string;
  readonly kind:
    | 'signed-in'
    | 'changed-hands'
    | 'not-let-in'
    | 'locked'
    | 'unlocked'
    | 'signed-out'
    | 'signed-out-everywhere'
    | 'password-set'
    | 'pin-set'
    | 'role-changed'
    | 'left'
    | 'station-enrolled'
    | 'station-struck'
    | 'link-made'
    | 'link-withdrawn'
    | 'link-answered'
    | 'phone-joined'
    | 'countersigned';
  readonly subject: string;
  /** The station by its id, or the network address that it came from. */
  readonly place: string;
}

/** A link of a job. */
export interface JobLink {
  readonly id: string;
  readonly kind: 'estimate' | 'sheet' | 'phone';
  readonly madeBy: string;
  readonly madeAt: string;
  readonly endsAt: string;
  readonly withdrawnAt: string | null;
  /** When it was last looked at; null while it was not. */
  readonly seenAt: string | null;
}

/** A calendar that another program reads. */
export interface Feed {
  readonly id: string;
  /** Whose day it shows; null for what the whole shop waits for. */
  readonly personId: string | null;
  readonly madeBy: string;
  readonly madeAt: string;
  /** When it was last read; null while it was not. */
  readonly readAt: string | null;
}

/** A calendar that was just made: its address is told once, and is kept nowhere. */
export interface FeedMade {
  readonly feed: Feed;
  /** Under the address of this server. */
  readonly path: string;
}

/** A link that was just made: what it says is told once, and is kept nowhere. */
export interface LinkMade {
  readonly link: JobLink;
  /** Under the address of this server. */
  readonly path: string;
}

/** What a customer sees through a link: words of one job, and nothing that leads elsewhere. */
export interface ForCustomer {
  readonly kind: 'estimate' | 'sheet';
  readonly shopName: string;
  readonly currency: string;
  readonly endsAt: string;
  readonly plate: string;
  readonly title: string;
  /** The estimate, for a link to one; with its id while nobody has answered it. */
  readonly estimate:
    (EstimateSheet & { readonly id: string; readonly open: boolean; readonly highMinor: number }) | null;
  /** The page for the customer, for a link to the sheet. */
  readonly page: CustomerPage | null;
}

/** How this server is reached. */
export interface NetworkReply {
  /** On its own machine alone; by HTTPS with the workshop's own authority; or behind a proxy that speaks for it. */
  readonly way: 'here' | 'https' | 'proxy';
  readonly addresses: readonly string[];
  /** Plain addresses of the page that brings a tablet in. */
  readonly joining: readonly string[];
  /** Of the authority, SHA-256; “” where there is none. */
  readonly fingerprint: string;
  /** ISO time at which the authority runs out; null where there is none. */
  readonly until: string | null;
  /** What has changed since the last start, in sentences. */
  readonly said: readonly string[];
}
