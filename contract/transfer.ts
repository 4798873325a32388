import { z } from 'zod';
import { exportedFact } from './events.ts';
import { id } from './primitives.ts';
import { vehicle } from './vehicle.ts';

/** The name of the open format of a job; described in docs/job-file.md. */
export const TRANSFER_FORMAT = 'unhurried-wrench-job';
export const TRANSFER_VERSION = 1;

/** A whole job as a file: its vehicle, its log with the chain's hashes, and its pictures. */
export const transfer = z.strictObject({
  format: z.literal(TRANSFER_FORMAT, 'This is not a job file of this program.'),
  version: z.literal(TRANSFER_VERSION, 'This job file is of a version that this program does not read.'),
  jobId: id,
  vehicle,
  events: z.array(exportedFact).min(1, 'The file holds no events.').max(100_000),
  hashes: z.array(z.string().regex(/^[0-9a-f]{64}$/)),
  pictures: z
    .array(
      z.strictObject({
        hash: z.string().regex(/^[0-9a-f]{64}$/),
        mime: z.enum(['image/jpeg', 'image/png', 'image/webp']),
        base64: z.string(),
      }),
    )
    .max(500),
  /** Recordings of live data, packed and squeezed as they lie in the store; left out where the job has none. */
  recordings: z
    .array(z.strictObject({ hash: z.string().regex(/^[0-9a-f]{64}$/), base64: z.string() }))
    .max(200)
    .optional(),
  /** Hashes of pictures and recordings that were taken and whose files are not to be had any more. */
  lost: z
    .array(z.string().regex(/^[0-9a-f]{64}$/))
    .max(500)
    .optional(),
});
/** The type of {@link transfer}. */
export type Transfer = z.infer<typeof transfer>;
