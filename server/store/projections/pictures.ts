import { perElement, type Projection } from '../projection.ts';

/** Tables of pictures. */
export const PICTURES_TABLES: readonly Projection[] = [
  perElement(
    'picture_link',
    ['id'],
    (job) => job.pictures,
    ({ id, hash, subject, when, caption }, job) => [
      {
        job_id: job.id,
        id,
        hash,
        subject,
        phase: when,
        caption,
      },
    ],
  ),
  perElement(
    'picture_marking',
    ['id'],
    (job) => job.pictures,
    ({ id, marking }, job) =>
      marking === undefined
        ? []
        : [
            {
              job_id: job.id,
              id,
              rotation: marking.rotation,
              marks: JSON.stringify(marking.marks),
              anchors: JSON.stringify(marking.anchors),
            },
          ],
  ),
];
