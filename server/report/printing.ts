import type { Estimate, Job } from '../../core/job/index.ts';
import type { People } from '../store/people.ts';
import type { Pictures } from '../store/pictures.ts';
import type { Recordings } from '../store/recordings.ts';
import type { Settings } from '../store/settings.ts';

/** What is handed over on paper, as PDF. */
export interface Printing {
  readonly sheet: (job: Job) => Promise<Buffer>;
  readonly estimate: (job: Job, estimate: Estimate) => Promise<Buffer>;
}

/** Prints with the names, the currency and the clock of this shop. */
export const printing = (people: People, settings: Settings, pictures: Pictures, recordings: Recordings): Printing => ({
  // The PDF library takes half a second to load; only those who print pay for it.
  sheet: async (job) => {
    const [{ printSheet }, { pairsForPrint }, { liveForPrint }] = await Promise.all([
      import('./sheetPdf.ts'),
      import('./picturePairs.ts'),
      import('./livePicture.ts'),
    ]);
    return printSheet(
      job,
      people.names(),
      settings.shop(),
      await pairsForPrint(job, pictures),
      liveForPrint(job, recordings),
    );
  },
  estimate: async (job, estimate) => {
    const { printEstimate } = await import('./estimatePdf.ts');
    return printEstimate(job, estimate, people.names(), settings.shop());
  },
});
