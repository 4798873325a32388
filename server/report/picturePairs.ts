import type { Job } from '../../core/job/index.ts';
import { UNIT_KINDS } from '../../core/vehicle/index.ts';
import type { Pictures } from '../store/pictures.ts';
import { markedForPrint, type PrintedPicture } from './markedPicture.ts';

/** A picture that was taken and is not to be had: the gap that is left of it, in words. */
export interface PictureGap {
  readonly gap: string;
}
/** The last picture before and the last after of one subject; null where there is none. */
export interface PicturePair {
  readonly subject: string;
  readonly before: PrintedPicture | PictureGap | null;
  readonly after: PrintedPicture | PictureGap | null;
}

/** Wide enough for half a page at 200 dots an inch. */
const PRINT_WIDTH = 700;

/** Pairs for the printed sheet, in the order in which their subjects first appear. */
export async function pairsForPrint(job: Job, pictures: Pictures): Promise<PicturePair[]> {
  const subjects = [...new Set(job.pictures.map(({ subject }) => subject))];
  const last = async (subject: string, when: 'before' | 'after'): Promise<PicturePair['before']> => {
    const found = job.pictures.filter((picture) => picture.subject === subject && picture.when === when).at(-1);
    if (found === undefined) return null;
    const { path } = pictures.original(found.hash);
    // One that is there and cannot be read is as good as lost; the sheet goes out all the same.
    const printed =
      path === null ? null : await markedForPrint(path, found, PRINT_WIDTH, PRINT_WIDTH * 0.75).catch(() => null);
    return printed ?? { gap: `Photo lost: its file ${found.hash.slice(0, 8)}… is not on the disk, or not whole.` };
  };
  return Promise.all(
    subjects.map(async (subject) => ({
      // Pictures of one item are known by its id; on paper they carry its name.
      subject: nameOf(job, subject),
      before: await last(subject, 'before'),
      after: await last(subject, 'after'),
    })),
  );
}

function nameOf(job: Job, subject: string): string {
  const item = job.items.find(({ id }) => subject === `item:${id}`);
  const unit = job.vehicle.units.find(({ id }) => id === subject);
  if (item !== undefined) return item.name;
  if (unit !== undefined) return `${UNIT_KINDS[unit.kind]}, ${unit.place}`;
  return subject in UNIT_KINDS ? UNIT_KINDS[subject as keyof typeof UNIT_KINDS] : subject;
}
