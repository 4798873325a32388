import { z } from 'zod';
import type { Beside, Chapter } from '../core/exchange/index.ts';
import { knowledgeEdit } from './knowledge.ts';
import { procedure } from './procedure.ts';
import { recipe } from './recipe.ts';
import { count, id, isoTime, line, number, paragraph } from './primitives.ts';

/** The name of the open format of a signed file; described in docs/exchange.md. */
export const SIGNED_FORMAT = 'unhurried-wrench-signed';

const base64 = (bytes: number) =>
  z
    .string()
    .max(Math.ceil(bytes / 3) * 4)
    .regex(/^[A-Za-z0-9+/]+=*$/, 'Expected base64.');

/** See {@link Chapter}. */
export const chapter = z.strictObject({
  id,
  title: line,
  openedAt: isoTime,
  closedAt: isoTime.nullable(),
  reading: line,
  meter: number.min(0).nullable(),
  hours: z.boolean(),
  sections: z
    .array(
      z.strictObject({
        title: line,
        rows: z.array(z.strictObject({ label: paragraph, value: paragraph, note: paragraph })).max(2000),
      }),
    )
    .max(40),
}) satisfies z.ZodType<Chapter>;

/** Whose life it is; never whose property. */
export const lifeOf = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('vehicle'),
    plate: line,
    vin: line,
    make: line,
    model: line,
    year: count.nullable(),
    engine: line,
  }),
  z.strictObject({ kind: z.literal('unit'), unitId: id, unitKind: line, partNumber: line, mark: line }),
]);

const head = {
  format: z.literal(SIGNED_FORMAT, 'This is not a file that a shop signed.'),
  version: z.literal(1, 'This file is of a later version of the program. Update first; nothing was read.'),
  shop: z.strictObject({ name: line, key: base64(32) }),
  madeAt: isoTime,
  signature: base64(64),
} as const;

/** What shops teach each other, signed. */
export const knowHowFile = z.strictObject({
  ...head,
  kind: z.literal('know-how'),
  body: z.strictObject({
    procedures: z.array(procedure).max(200),
    recipes: z.array(recipe).max(200),
    edits: z.array(knowledgeEdit).max(2000),
  }),
});

const lifeHead = { ...head, kind: z.literal('life') };
/** The life of a vehicle or a unit, signed, with the files of shops before it as they were signed. */
export interface LifeFile {
  readonly format: typeof SIGNED_FORMAT;
  readonly version: 1;
  readonly kind: 'life';
  readonly shop: { readonly name: string; readonly key: string };
  readonly madeAt: string;
  readonly signature: string;
  readonly body: {
    readonly of: z.infer<typeof lifeOf>;
    readonly chapters: readonly Chapter[];
    readonly earlier: readonly LifeFile[];
  };
}
/** See {@link LifeFile}. */
export const lifeFile: z.ZodType<LifeFile> = z.strictObject({
  ...lifeHead,
  body: z.strictObject({
    of: lifeOf,
    chapters: z.array(chapter).max(2000),
    earlier: z.array(z.lazy(() => lifeFile)).max(100),
  }),
});

/** A file that a shop signed. */
export const signedFile = z.union([lifeFile, knowHowFile]);
/** The type of {@link signedFile}. */
export type SignedFile = LifeFile | z.infer<typeof knowHowFile>;
/** The type of {@link knowHowFile}. */
export type KnowHowFile = z.infer<typeof knowHowFile>;

/** A signed file that is looked at first. */
export const signedFileLook = z.strictObject({ by: id.optional(), file: z.unknown() });
/** Takes a signed file: a life onto a vehicle or a unit of ours, of know-how what is named. */
export const signedFileTake = z.strictObject({
  by: id.optional(),
  file: z.unknown(),
  /** The id of our vehicle or unit; for a life. */
  onto: id.optional(),
  /** Keys of what is taken, as the look at it named them; for know-how. */
  keys: z.array(line).max(2500).optional(),
});

/** Whether what another shop’s key signs was compared with them. */
export const shopConfirmed = z.strictObject({ by: id, confirmed: z.boolean() });
/** Which know-how goes into a file. */
export const knowHowQuery = z.strictObject({
  by: id.optional(),
  procedures: z.string().max(20_000).default(''),
  recipes: z.string().max(20_000).default(''),
  knowledge: z.enum(['yes', 'no']).default('no'),
});

/** A shop as it is known by its key. */
export interface ShopKnown {
  readonly key: string;
  readonly name: string;
  /** As it is compared over the telephone. */
  readonly fingerprint: string;
  readonly firstSeenAt: string;
  readonly confirmedAt: string | null;
  readonly confirmedBy: string | null;
}
/** Our own key, and the shops that we have files of. */
export interface ShopsReply {
  readonly own: { readonly name: string; readonly fingerprint: string };
  readonly rows: readonly ShopKnown[];
  readonly next: null;
}

/** A chapter of another shop, as it lies here: marked as theirs. */
export interface ChapterElsewhere extends Chapter {
  readonly shop: ShopKnown;
  readonly takenAt: string;
  /** How often that shop has told it otherwise since; older tellings are kept. */
  readonly tellings: number;
}

/** What a signed file holds, before anything of it is taken. */
export interface SignedLook {
  readonly kind: SignedFile['kind'];
  readonly shop: { readonly name: string; readonly fingerprint: string; readonly known: ShopKnown | null };
  readonly madeAt: string;
  /** Of a life: whose, how much, and which of ours it may be. */
  readonly life: {
    readonly of: LifeFile['body']['of'];
    readonly chapters: number;
    readonly shops: readonly string[];
    readonly ours: readonly { readonly id: string; readonly name: string; readonly by: 'vin' | 'plate' | 'id' }[];
  } | null;
  readonly knowHow: readonly Beside[] | null;
}
