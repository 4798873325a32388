/** Persisted preferences: one file, one prefix. Storage may be forbidden; then nothing is remembered and nothing fails. */
const PREFIX = 'unhurried-wrench.';

/** What can be remembered on this device. */
export type Preference =
  | 'person'
  | 'signed-in'
  | 'theme'
  | 'hints'
  | 'wrench'
  | 'station'
  | 'call'
  | 'instruments'
  | `columns.${string}`
  | `draft.${string}`;

export function readPreference(name: Preference): string | null {
  try {
    return localStorage.getItem(PREFIX + name);
  } catch {
    return null;
  }
}

export function writePreference(name: Preference, value: string): void {
  try {
    localStorage.setItem(PREFIX + name, value);
  } catch {
    // A private window: the choice holds until it is closed.
  }
}

export function dropPreference(name: Preference): void {
  try {
    localStorage.removeItem(PREFIX + name);
  } catch {
    // Nothing is remembered in such a window anyway.
  }
}
