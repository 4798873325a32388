import { readPreference, writePreference } from '../shell/preferences.ts';

/** The id of this station: made up once, and kept on this device, so that an instrument knows its bench. */
export function stationId(): string {
  const kept = readPreference('station');
  if (kept !== null) return kept;
  const fresh = crypto.randomUUID();
  writePreference('station', fresh);
  return fresh;
}
