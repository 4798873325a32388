import { defineStore } from 'pinia';
import { computed, type InjectionKey, ref, shallowRef } from 'vue';
import type { InstrumentInfo } from '../../contract/index.ts';
import { measures } from '../../core/instruments/index.ts';
import type { Field } from '../../core/quantity/index.ts';
import { readInstruments } from '../data/instruments.ts';
import { dropPreference, readPreference, writePreference } from '../shell/preferences.ts';
import { stationId } from './station.ts';

/** The instruments of the shop, and which of them are paired with this station. Asked for once somebody needs them. */
export const useInstruments = defineStore('instruments', () => {
  const all = shallowRef<readonly InstrumentInfo[]>([]);
  const problem = ref('');
  let asked = false;
  async function refresh(): Promise<void> {
    asked = true;
    try {
      all.value = await readInstruments();
      problem.value = '';
      if (here.value.length > 0) writePreference('instruments', 'paired');
      else dropPreference('instruments');
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }
  /** Asks for them, once; a station that was never paired with any has nothing to ask for. */
  const need = (): void => {
    if (!asked && readPreference('instruments') !== null) void refresh();
  };
  const here = computed(() => all.value.filter(({ station }) => station === stationId()));
  /** The instrument of this station that measures what a field is for; null for none. */
  const forField = (field: Field): InstrumentInfo | null => here.value.find((each) => measures(each, field)) ?? null;
  return { all, here, problem, refresh, need, forField };
});

/** A figure that came from an instrument, for whoever keeps it beside the figure. */
export interface TakenFigure {
  readonly label: string;
  readonly shown: string;
  readonly value: number;
  readonly unit: string;
  readonly instrument: InstrumentInfo;
}
/** Where a job is at hand, it keeps what instruments gave. */
export const KEEPS_TAKEN: InjectionKey<(figure: TakenFigure) => void> = Symbol('keeps what instruments gave');
