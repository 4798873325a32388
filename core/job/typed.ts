import type { ShapeNode } from '../shape/index.ts';
import type { Command, CommandData, CommandType } from './catalogue.ts';
import { COMMANDS } from './catalogue.ts';

/** One text that a person typed into a command. */
export interface TypedPart {
  /** Where it stands in the data: names of fields and places in lists. */
  readonly path: readonly (string | number)[];
  /** What it is, as its label says it. */
  readonly label: string;
  readonly text: string;
  /** The longest it may be, in characters. */
  readonly max: number;
}

/**
 * Fields that people type, by name, with what they are called beside a field. Other texts are picked (a place, a unit
 * of measure) or come from elsewhere, and are not changed by hand.
 */
export const TYPED_FIELDS: Readonly<Record<string, string>> = {
  afterText: 'Weight after',
  against: 'Against advice, because',
  amount: 'Amount',
  amountText: 'Amount',
  because: 'Because',
  beforeText: 'Weight before',
  capacityText: 'Capacity',
  caption: 'Caption',
  code: 'Code',
  complaint: 'Complaint',
  departure: 'Why otherwise than the house rule',
  doneBefore: 'Done before',
  dutyText: 'Duty',
  heightText: 'Height',
  how: 'How',
  label: 'Label',
  name: 'Name',
  note: 'Note',
  oldPartNumber: 'Old part number',
  partNumber: 'Part number',
  pocket: 'Pocket',
  readingReason: 'Why the reading runs backwards',
  reason: 'Reason',
  remark: 'Remark',
  result: 'Result',
  rpmText: 'Speed',
  said: 'What was said',
  since: 'Since when',
  source: 'Source',
  supplier: 'Supplier',
  text: 'Text',
  torqueText: 'Torque',
  turnsText: 'Turns',
  typed: 'Figure',
  watch: 'What to watch',
  what: 'What',
  where: 'Where',
  who: 'Who',
  whom: 'To whom',
  why: 'Why',
  words: 'Words',
};

/** What a person typed into a command, in the order of its fields; empty where all of it was picked. */
export function typedParts({ type, data }: Pick<Command, 'type' | 'data'>): readonly TypedPart[] {
  return [...walk(COMMANDS.get(type)?.shape.node, data, [])];
}

function* walk(node: ShapeNode | undefined, value: unknown, path: TypedPart['path']): Generator<TypedPart> {
  if (node === undefined || value === null || value === undefined) return;
  switch (node.kind) {
    case 'text': {
      const label = TYPED_FIELDS[String(path.findLast((step) => typeof step === 'string'))];
      if (label !== undefined && typeof value === 'string' && value.trim() !== '')
        yield { path, label, text: value, max: node.max };
      return;
    }
    case 'or-null':
      yield* walk(node.of, value, path);
      return;
    case 'list':
      for (const [at, each] of (value as readonly unknown[]).entries()) yield* walk(node.of, each, [...path, at]);
      return;
    case 'record':
      for (const [name, field] of Object.entries(node.fields))
        yield* walk(field, (value as Record<string, unknown>)[name], [...path, name]);
      return;
    case 'variants': {
      const tag = (value as Record<string, unknown>)[node.tag];
      yield* walk(
        node.of.find((each) => isTagged(each, node.tag, tag)),
        value,
        path,
      );
      return;
    }
    default:
  }
}

const isTagged = (node: ShapeNode, tag: string, value: unknown): boolean => {
  const field = node.kind === 'record' ? node.fields[tag] : undefined;
  return field?.kind === 'choice' && field.of.includes(value as string);
};

/** The same command's data with one typed text put otherwise. @throws when nothing was typed at that path */
export function withText<T extends CommandType>(
  data: CommandData[T],
  path: TypedPart['path'],
  text: string,
): CommandData[T] {
  return put(data, path, text) as CommandData[T];
}

function put(value: unknown, [step, ...rest]: TypedPart['path'], text: string): unknown {
  if (step === undefined) {
    if (typeof value !== 'string') throw new Error('Expected a text at the end of the path.');
    return text;
  }
  if (typeof step === 'number')
    return (value as readonly unknown[]).with(step, put((value as unknown[])[step], rest, text));
  const fields = value as Record<string, unknown>;
  return { ...fields, [step]: put(fields[step], rest, text) };
}
