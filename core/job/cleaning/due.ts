import { type WasteKind, wasteOf } from '../../clean/index.ts';
import { coolantAccount } from '../../coolant/index.ts';
import type { Job } from '../job.ts';

/** Waste that must be there and has not been taken away. */
export function wasteDue(job: Job): readonly { readonly kind: WasteKind; readonly why: string }[] {
  const taken = new Set(job.waste.map(({ kind }) => kind));
  return wasteOf({
    sprayedGrams: job.cleaners.reduce((sum, { grams }) => sum + grams, 0),
    passes: job.passes.map(({ kind }) => kind),
    discardedCoolantL: coolantAccount(job.coolant).discarded,
    emptiedCans: job.cleaners.filter(({ emptied }) => emptied).length,
    penetratingOil: job.seized.some(({ tried }) => tried.some(({ rung }) => rung.startsWith('oil'))),
  }).filter(({ kind }) => !taken.has(kind));
}
