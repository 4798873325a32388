import { z } from 'zod';

const TYPES: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a record of named fields',
  record: 'a record of named fields',
};
const nameOf = (type: string): string => TYPES[type] ?? type;

/** A bound of a text, a list or a number, in words. */
function bound(kind: 'at least' | 'at most', origin: string, figure: number | bigint): string {
  if (origin === 'string') return `Expected ${kind} ${figure} characters.`;
  if (origin === 'array') return `Expected ${kind} ${figure} of them.`;
  return `Expected ${kind} ${figure}.`;
}

/** What is wrong with a value, where its schema has no words of its own: what was expected, as a sentence. */
export function wordsOf(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `It is missing: expected ${nameOf(issue.expected)}.`
        : `Expected ${nameOf(issue.expected)}.`;
    case 'invalid_value':
      return issue.values.length === 1
        ? `Expected ${String(issue.values[0])}.`
        : `Expected one of: ${issue.values.map(String).join(', ')}.`;
    case 'unrecognized_keys':
      return `There is no such field here: ${issue.keys.join(', ')}.`;
    case 'too_small':
      return bound('at least', issue.origin, issue.minimum);
    case 'too_big':
      return bound('at most', issue.origin, issue.maximum);
    case 'invalid_key':
      return 'There is no such field here.';
    default:
      return 'Expected something else here.';
  }
}

/** Every schema of the server says what it expected, in these words where it has none of its own. */
export const speakPlainly = (): void => void z.config({ localeError: wordsOf });
