import sharp from 'sharp';
import type { Job } from '../../core/job/index.ts';
import type { Pictures } from '../store/pictures.ts';

/** The last picture before and the last after of one subject, as JPEG for print; null where there is none. */
export interface PicturePair {
  readonly subject: string;
  readonly before: Buffer | null;
  readonly after: Buffer | null;
}

/** Wide enough for half a page at 200 dots an inch. */
const PRINT_WIDTH = 700;

/** Pairs for the printed sheet, in the order in which their subjects first appear. */
export async function pairsForPrint(job: Job, pictures: Pictures): Promise<PicturePair[]> {
  const subjects = [...new Set(job.pictures.map(({ subject }) => subject))];
  const last = async (subject: string, when: 'before' | 'after'): Promise<Buffer | null> => {
    const found = job.pictures.filter((picture) => picture.subject === subject && picture.when === when).at(-1);
    const file = found === undefined ? null : pictures.file(found.hash, true);
    return file === null
      ? null
      : sharp(file.path)
          .rotate()
          .resize(PRINT_WIDTH, PRINT_WIDTH * 0.75, { fit: 'cover' })
          .jpeg({ quality: 80 })
          .toBuffer();
  };
  return Promise.all(
    subjects.map(async (subject) => ({
      // Pictures of one item are known by its id; on paper they carry its name.
      subject: job.items.find(({ id }) => subject === `item:${id}`)?.name ?? subject,
      before: await last(subject, 'before'),
      after: await last(subject, 'after'),
    })),
  );
}
