import { z } from 'zod';
import type { NamedTypes } from '../core/job/index.ts';
import type { Shape, ShapeNode, TypeOf } from '../core/shape/index.ts';
import { id, isoDay, isoTime, line, meterReading, number, quantity } from './primitives.ts';
import { beforeConstraint, need, procedure, procedureItem, procedureOpening } from './procedure.ts';
import type { Same } from './same.ts';
import { variantFeatures, vehicle } from './vehicle.ts';

/** The parser of each type that core's shapes name. */
const NAMED = {
  vehicle,
  reading: meterReading,
  features: variantFeatures,
  quantity,
  procedure,
  item: procedureItem,
  opening: procedureOpening,
  need,
  beforeConstraint,
} as const;

/** Each parser gives just the type that core means by the name, optional fields included; else this does not compile. */
type Drifted = {
  [K in keyof NamedTypes]: Same<z.output<(typeof NAMED)[K]>, NamedTypes[K]> extends true ? never : K;
}[keyof NamedTypes];
/** `true` while nothing drifted; else the compiler names what did. */
export const NOTHING_DRIFTED: [Drifted] extends [never] ? true : Drifted = true;

const hash = z.string().regex(/^[0-9a-f]{64}$/, 'Expected the picture’s hash.');

/** A parser for a node of a shape: the same rules and the same words everywhere. */
function parserOf(node: ShapeNode): z.ZodType {
  switch (node.kind) {
    case 'id':
      return id;
    case 'id-or-none':
      return z.union([id, z.literal('')]);
    case 'day':
      return isoDay;
    case 'time':
      return isoTime;
    case 'picture-hash':
      return hash;
    case 'flag':
      return z.boolean();
    case 'text':
      return node.max === 300 ? line : z.string().max(node.max, `Expected at most ${node.max} characters.`);
    case 'number': {
      const base = node.whole ? number.int('Expected a whole number.') : number;
      const low = node.low === null ? base : base.min(node.low, node.words ?? undefined);
      return node.high === null ? low : low.max(node.high, node.words ?? undefined);
    }
    case 'choice':
      return z.literal([...node.of]);
    case 'list': {
      const low = z.array(parserOf(node.of)).min(node.low, node.words ?? undefined);
      return node.high === null ? low : low.max(node.high, node.words ?? undefined);
    }
    case 'record':
      return z.strictObject(
        Object.fromEntries(
          Object.entries(node.fields).map(([name, field]) => {
            const parser = parserOf(field);
            return [name, node.optional.includes(name) ? parser.optional() : parser];
          }),
        ),
      );
    case 'or-null':
      return parserOf(node.of).nullable();
    case 'variants': {
      const [first, ...rest] = node.of.map((each) => parserOf(each) as z.ZodObject);
      if (first === undefined) throw new Error('Expected at least one variant.');
      return z.discriminatedUnion(node.tag, [first, ...rest]);
    }
    case 'named':
      return namedParser(node.name);
  }
}

function namedParser(name: string): z.ZodType {
  if (name in NAMED) return NAMED[name as keyof typeof NAMED];
  throw new Error(`Expected a parser for “${name}”; contract/shapes.ts has none.`);
}

/** The parser of a shape that core declares: one declaration, one parser, and no way for them to drift. */
export const zodOf = <S extends Shape<unknown>>(shape: S): z.ZodType<TypeOf<S>> =>
  parserOf(shape.node) as z.ZodType<TypeOf<S>>;
