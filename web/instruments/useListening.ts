import { onScopeDispose, ref, shallowRef } from 'vue';
import type { InstrumentInfo } from '../../contract/index.ts';
import { fitFigure, type Standing, standingOf, type TimedReading } from '../../core/instruments/index.ts';
import type { Field } from '../../core/quantity/index.ts';
import { hearInstrument } from '../data/instruments.ts';
import { stationId } from './station.ts';

/** Readings that are looked at. */
const KEPT = 12;

/** A steady figure as a field takes it; of several columns the first, and all of them as texts. */
export interface ListenedFigure {
  readonly text: string;
  readonly value: number;
  readonly unit: string;
  readonly all: readonly string[];
}

/** Listens to an instrument until its reading is steady, and says meanwhile how it stands. */
export function useListening() {
  const standing = shallowRef<Standing | null>(null);
  const showing = ref('');
  const trouble = ref('');
  let stop: (() => void) | null = null;
  /** What was listened to before says nothing any more. */
  let turn = 0;

  function end(): void {
    turn += 1;
    stop?.();
    stop = null;
    standing.value = null;
  }
  /**
   * @param take given the steady figure as the field takes it
   * @param again goes on listening afterwards, for the next figure
   */
  function listen(
    instrument: InstrumentInfo,
    field: Field,
    take: (figure: ListenedFigure) => void,
    again = false,
  ): void {
    end();
    trouble.value = '';
    showing.value = '';
    let readings: TimedReading[] = [];
    const mine = turn;
    stop = hearInstrument(instrument.id, stationId(), ({ reading, words, gone }) => {
      if (mine !== turn) return;
      if (gone) {
        trouble.value = `${words} Type it instead.`;
        return end();
      }
      if (reading === null) {
        trouble.value = words;
        return;
      }
      readings = [...readings, { at: performance.now() / 1000, reading }].slice(-KEPT);
      const now = standingOf(readings, instrument.high - instrument.low);
      standing.value = now;
      showing.value = reading.values === null ? 'overload' : `${reading.values.join(' · ')} ${reading.unit}`;
      // A torque wrench has said nothing until it is let go.
      if (now.state !== 'steady' || (instrument.kind === 'torque-wrench' && !reading.peak)) return;
      const [value] = now.values;
      if (value === undefined) return;
      const fitted = fitFigure(instrument, value, now.unit, field);
      if (!fitted.ok) {
        trouble.value = fitted.message;
        return end();
      }
      trouble.value = '';
      take({
        ...fitted,
        all: now.values
          .map((each) => fitFigure(instrument, each, now.unit, field))
          .flatMap((each) => (each.ok ? [each.text] : [])),
      });
      if (!again) end();
      else readings = [];
    });
  }
  onScopeDispose(end);
  return { standing, showing, trouble, listen, end };
}
