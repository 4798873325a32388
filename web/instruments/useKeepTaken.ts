import { provide } from 'vue';
import { nowIso } from '../stores/clock.ts';
import { freshId, useJob } from '../stores/job.ts';
import { KEEPS_TAKEN, type TakenFigure } from './useInstruments.ts';

/** Keeps on the open job what instruments gave to its fields: figure, unit, range, time and the instrument. */
export function useKeepTaken(): (figure: TakenFigure) => void {
  const store = useJob();
  const keep = ({ label, shown, value, unit, instrument }: TakenFigure): void => {
    if (store.job?.status !== 'open') return;
    store.send('note-figure-taken', {
      id: freshId(),
      label,
      shown,
      value,
      unit,
      instrument: instrument.kind,
      name: instrument.name,
      low: instrument.low,
      high: instrument.high,
      rangeUnit: instrument.unit,
      calibratedOn: instrument.calibratedOn,
      readAt: nowIso(),
    });
  };
  provide(KEEPS_TAKEN, keep);
  return keep;
}
