import { readIn } from '../../quantity/index.ts';
import type { ShapeNode } from '../../shape/index.ts';

/** A value read from text, or what would be right. */
export type FieldValue =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string };

/** Reads what a person typed or picked for a field of a command. @param choices what each choice is called */
export function fieldValue(
  shape: ShapeNode,
  field: string,
  text: string,
  choices: Readonly<Record<string, string>> = {},
): FieldValue {
  const node = shape.kind === 'record' ? shape.fields[field] : undefined;
  return node === undefined
    ? { ok: false, message: `There is no “${field}” to put right.` }
    : read(node, text, choices);
}

function read(node: ShapeNode, typed: string, choices: Readonly<Record<string, string>>): FieldValue {
  const text = typed.trim();
  switch (node.kind) {
    case 'text':
      return text.length <= node.max
        ? { ok: true, value: text }
        : { ok: false, message: `Expected at most ${node.max} characters.` };
    case 'or-null':
      return text === '' ? { ok: true, value: null } : read(node.of, text, choices);
    case 'choice': {
      const chosen = node.of.find((each) => String(each) === text);
      return chosen === undefined
        ? { ok: false, message: `Expected one of ${node.of.map((each) => choices[String(each)] ?? each).join(', ')}.` }
        : { ok: true, value: chosen };
    }
    case 'number':
      return number(node, text);
    default:
      return { ok: false, message: 'This cannot be put right in words: strike it and enter it again.' };
  }
}

function number({ whole, low, high }: Extract<ShapeNode, { kind: 'number' }>, text: string): FieldValue {
  const figure = readIn(text, '', [low ?? -1e9, high ?? 1e9]);
  if (!figure.ok) return { ok: false, message: figure.message };
  return whole && !Number.isInteger(figure.value)
    ? { ok: false, message: `Expected a whole number, got ${text}.` }
    : { ok: true, value: figure.value };
}
