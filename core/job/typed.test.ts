import { describe, expect, it } from 'vitest';
import type { ShapeNode } from '../shape/index.ts';
import { COMMANDS, type CommandType } from './catalogue.ts';
import { SAMPLES } from './testing/samples.ts';
import { TYPED_FIELDS, typedParts, withText } from './typed.ts';

const kinds = Object.keys(SAMPLES) as CommandType[];
const sampleOf = (type: CommandType) => ({ type, data: SAMPLES[type].data }) as Parameters<typeof typedParts>[0];

/** Names of all text fields of a shape. */
function textFields(node: ShapeNode, name = ''): string[] {
  switch (node.kind) {
    case 'text':
      return [name];
    case 'record':
      return Object.entries(node.fields).flatMap(([field, inner]) => textFields(inner, field));
    case 'list':
    case 'or-null':
      return textFields(node.of, name);
    case 'variants':
      return node.of.flatMap((each) => textFields(each, name));
    default:
      return [];
  }
}
const FIELDS = new Set([...COMMANDS.values()].flatMap(({ shape }) => textFields(shape.node)));

describe('what a person typed into a command', () => {
  it.each(kinds.filter((type) => typedParts(sampleOf(type)).length > 0))('%s can be put otherwise', (type) => {
    const sample = sampleOf(type);
    const parts = typedParts(sample);
    for (const [at, part] of parts.entries()) {
      const changed = { ...sample, data: withText(sample.data, part.path, 'otherwise') } as typeof sample;
      expect(typedParts(changed)).toEqual(parts.with(at, { ...part, text: 'otherwise' }));
    }
  });

  it('names a torque as it was typed, and what it is for not at all', () => {
    const data = { itemId: 'throttle-body', text: '9 Nm', source: null };
    expect(typedParts({ type: 'give-figure', data } as never)).toEqual([
      { path: ['text'], label: 'Text', text: '9 Nm', max: 300 },
    ]);
  });

  it('has a name for every figure that is typed, and none for a field that no command has', () => {
    expect([...FIELDS].filter((name) => name.endsWith('Text') && !Object.hasOwn(TYPED_FIELDS, name))).toEqual([]);
    expect(Object.keys(TYPED_FIELDS).filter((name) => !FIELDS.has(name))).toEqual([]);
  });

  it('puts nothing where nothing was typed', () => {
    expect(() => withText({ itemId: 'x', text: '9 Nm', source: null } as never, ['source'], 'maker')).toThrow(
      'Expected a text',
    );
  });
});
