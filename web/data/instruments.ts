import type { InstrumentInfo, InstrumentNews, Mood, Page } from '../../contract/index.ts';
import { api } from './api.ts';
import { ask, keep } from './asking.ts';
import { apiUrl } from './world.ts';

/** The instruments of the bench, with the station of each. */
export const readInstruments = async (): Promise<readonly InstrumentInfo[]> =>
  (await ask<Page<InstrumentInfo>>('/instruments')).rows;
/** Pairs one with a station, or with none. */
export const pairInstrument = (id: string, station: string | null): Promise<unknown> =>
  keep(`/instruments/${id}/station`, { station });
/** Sets what a stand-in shows. */
export const setInstrument = (id: string, values: readonly number[], unit: string, mood: Mood): Promise<unknown> =>
  api.put(`/instruments/${id}/shows`, { values, unit, mood });

/** Listens to one that is paired with this station. @returns stops listening */
export function hearInstrument(id: string, station: string, hear: (news: InstrumentNews) => void): () => void {
  const source = new EventSource(apiUrl(`/instruments/${id}/readings?station=${encodeURIComponent(station)}`));
  source.addEventListener('message', ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as InstrumentNews));
  source.addEventListener('error', () => {
    if (source.readyState === EventSource.CLOSED)
      hear({ reading: null, words: 'The instrument is out of reach.', gone: true });
  });
  return () => source.close();
}
