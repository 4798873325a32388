import { dropPreference, readPreference, writePreference } from '../shell/preferences.ts';

/** What was typed and not kept yet, and the version of the row that it was typed over; 0 for a new one. */
export interface Draft<Text> {
  readonly text: Text;
  readonly basedOn: number;
}

/** The draft of that name, where it still has the fields of the form. @param like a text of the form, for its fields */
export function readDraft<Text extends object>(name: string, like: Text): Draft<Text> | null {
  const kept = readPreference(`draft.${name}`);
  if (kept === null) return null;
  try {
    const draft = JSON.parse(kept) as Partial<Draft<Text>>;
    const fields = (of: object): string => Object.keys(of).sort().join();
    const fits = draft.text !== undefined && typeof draft.basedOn === 'number' && fields(draft.text) === fields(like);
    return fits ? (draft as Draft<Text>) : null;
  } catch {
    // Not ours, or cut short: a form without it is as good as new.
    return null;
  }
}
/** Keeps what was typed on this device. */
export const keepDraft = (name: string, draft: Draft<object>): void =>
  writePreference(`draft.${name}`, JSON.stringify(draft));
/** What was typed is kept in the shop, or is not wanted. */
export const dropDraft = (name: string): void => dropPreference(`draft.${name}`);
