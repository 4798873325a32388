import { describe, expect, expectTypeOf, it } from 'vitest';
import {
  flag,
  id,
  line,
  list,
  number,
  oneOf,
  optional,
  orNull,
  record,
  type TypeOf,
  variants,
  whole,
} from './index.ts';

const bolt = record({ id, torque: orNull(number), passes: list(whole, { high: 5 }), note: optional(line) });
const mark = variants(
  'kind',
  record({ kind: oneOf('dot'), x: number }),
  record({ kind: oneOf('word'), text: line, bold: flag }),
);

describe('shapes', () => {
  it('of several kinds are told apart by their tag', () => {
    expect(mark.node).toMatchObject({ kind: 'variants', tag: 'kind', of: [{ kind: 'record' }, { kind: 'record' }] });
  });
  it('describe a type to the compiler, field by field, optional ones too', () => {
    expectTypeOf<TypeOf<typeof bolt>>().toEqualTypeOf<{
      readonly id: string;
      readonly torque: number | null;
      readonly passes: readonly number[];
      readonly note?: string | undefined;
    }>();
    expectTypeOf<TypeOf<typeof mark>>().toEqualTypeOf<
      | { readonly kind: 'dot'; readonly x: number }
      | { readonly kind: 'word'; readonly text: string; readonly bold: boolean }
    >();
  });
  it('describe the same to programs, as plain data', () => {
    expect(bolt.node).toEqual({
      kind: 'record',
      optional: ['note'],
      fields: {
        id: { kind: 'id' },
        torque: { kind: 'or-null', of: { kind: 'number', whole: false, low: null, high: null, words: null } },
        passes: {
          kind: 'list',
          low: 0,
          high: 5,
          words: null,
          of: { kind: 'number', whole: true, low: null, high: null, words: null },
        },
        note: { kind: 'text', max: 300 },
      },
    });
  });
  it('can be built from the fields of another', () => {
    const { note: _, ...rest } = bolt.fields;
    expectTypeOf<keyof TypeOf<ReturnType<typeof record<typeof rest>>>>().toEqualTypeOf<'id' | 'torque' | 'passes'>();
    expect(record({ ...rest, wrench: id }).node).toMatchObject({ fields: { wrench: { kind: 'id' } }, optional: [] });
  });
});
