import { storeName } from '../data/world.ts';
import type { Waiting } from './outbox.ts';

/**
 * What was just tapped, written down at once: a database of the browser takes a breath to open and to write, and a tab
 * can be closed within it. Each stays only until that database has it.
 */
const PREFIX = `${storeName('unhurried-wrench:jotted')}:`;

/** Writes one down. Where the browser has no room, or forbids it, the database alone must do. */
export function jot(entry: Waiting): void {
  try {
    localStorage.setItem(PREFIX + entry.command.id, JSON.stringify(entry));
  } catch {
    // Told where the database does not take it either.
  }
}

/** It is kept elsewhere, or done with. */
export function strikeJotted(commandId: string): void {
  try {
    localStorage.removeItem(PREFIX + commandId);
  } catch {
    // Nothing was written there then.
  }
}

/** What an earlier page wrote down and could not keep any more. */
export function jotted(): Waiting[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX))
      .flatMap((key) => read(localStorage.getItem(key)));
  } catch {
    return [];
  }
}

function read(text: string | null): Waiting[] {
  try {
    return text === null ? [] : [JSON.parse(text) as Waiting];
  } catch {
    return [];
  }
}
