import type { SamplesOf } from '../testing/sample.ts';
import { off, open, pin } from '../testing/world.ts';
import { renewalOf } from '../rebuild/renewal.ts';
import type { PARTS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PARTS_SAMPLES: SamplesOf<typeof PARTS> = {
  'lay-out-part': {
    after: [open],
    data: { id: 'i', form: 'injector', name: '', place: 'cylinder 2' },
    events: ['part-laid-out'],
    shows: (job) => job.laidOut.map(({ name, place }) => [name, place]),
    as: [['Injector', 'cylinder 2']],
  },
  'renew-part': {
    after: [
      open,
      pin,
      off('cover'),
      { type: 'lay-out-part', data: { id: 'c', form: 'air-box', name: '', place: '', itemId: 'cover' } },
    ],
    data: { id: 'r', unit: 'part-c', partNumber: 'AB-1', origin: 'new', priceMinor: 4200, why: 'cracked' },
    events: ['part-renewed', 'part-used'],
    shows: (job) => [renewalOf(job, job.items[1]!)?.partNumber, job.parts.map(({ name }) => name)],
    as: ['AB-1', ['Air box, new']],
  },
};
