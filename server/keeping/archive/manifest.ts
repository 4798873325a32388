import { z } from 'zod';

/** The name of the open format of a backup; described in docs/backup-file.md. */
export const BACKUP_FORMAT = 'unhurried-wrench-backup';

/** Names in the archive. */
export const MANIFEST = 'manifest.json';
export const DATABASE = 'shop.sqlite';
export const HEADS = 'heads.txt';
/** Files that are kept by their hash lie here, each named by it. */
export const FILES = 'files/';

/** A manifest larger than this is none: it would name some hundred thousand photos. */
export const MANIFEST_BYTES = 64_000_000;

const hash = z.string().regex(/^[0-9a-f]{64}$/);
const part = z.strictObject({ bytes: z.number().int().min(0), sha256: hash });

/** What a backup says of itself: whose it is, what is in it with length and hash, and how the store was. */
export const manifest = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(1),
  /** Of the program that made it. */
  program: z.string().max(40),
  shop: z.strictObject({ id: z.string().max(80), name: z.string().max(200) }),
  madeAt: z.iso.datetime(),
  database: part,
  heads: part,
  jobs: z.number().int().min(0),
  entries: z.number().int().min(0),
  files: z.array(z.strictObject({ sha256: hash, bytes: z.number().int().min(0) })),
  /** Files that the store knows and that were not there, or not whole. */
  lost: z.array(hash),
  /** What a check of the store found at the time. */
  findings: z.array(z.strictObject({ kind: z.string(), words: z.string(), toDo: z.string() })),
});
/** The type of {@link manifest}. */
export type Manifest = z.infer<typeof manifest>;
