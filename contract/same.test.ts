import { describe, expectTypeOf, it } from 'vitest';
import type { NamedTypes } from '../core/job/index.ts';
import type { NOTHING_DRIFTED } from './shapes.ts';
import type { Same } from './same.ts';

interface Bolt {
  readonly id: string;
  readonly places: readonly { readonly x: number; readonly label?: string | undefined }[];
}

describe('same', () => {
  it('is true of types that differ in readonly only, at every depth', () => {
    expectTypeOf<
      Same<Bolt, { id: string; places: { x: number; label?: string | undefined }[] }>
    >().toEqualTypeOf<true>();
  });
  it('is false where a field is missing, too many, of another type, or optional on one side only', () => {
    expectTypeOf<Same<Bolt, { id: string }>>().toEqualTypeOf<false>();
    expectTypeOf<Same<{ id: string }, Bolt>>().toEqualTypeOf<false>();
    expectTypeOf<Same<Bolt, { id: number; places: Bolt['places'] }>>().toEqualTypeOf<false>();
    expectTypeOf<
      Same<Bolt, { id: string; places: { x: number; label: string | undefined }[] }>
    >().toEqualTypeOf<false>();
    expectTypeOf<Same<Bolt, { id: string; places: { x: number }[] }>>().toEqualTypeOf<false>();
  });
  it('holds of every type that core names', () => {
    expectTypeOf<typeof NOTHING_DRIFTED>().toEqualTypeOf<true>();
    expectTypeOf<keyof NamedTypes>().not.toBeNever();
  });
});
