/** Marks the type that a shape describes; it exists for the compiler only. */
declare const TYPE: unique symbol;

/** A described value: `node` says to programs what the type says to the compiler. */
export interface Shape<T> {
  readonly node: ShapeNode;
  readonly [TYPE]: T;
}

/** The type that a shape describes. */
export type TypeOf<S extends Shape<unknown>> = S[typeof TYPE];

/** A field that may be left out. */
export interface OptionalField<T> {
  readonly optional: Shape<T>;
}

/** Fields of a record by name. */
export type Fields = Readonly<Record<string, Shape<unknown> | OptionalField<unknown>>>;

type LeftOut<F extends Fields> = { [K in keyof F]: F[K] extends OptionalField<unknown> ? K : never }[keyof F];
type Whole<T> = { readonly [K in keyof T]: T[K] };

/** The type that the fields of a record describe. */
export type RecordOf<F extends Fields> = Whole<
  {
    readonly [K in Exclude<keyof F, LeftOut<F>>]: F[K] extends Shape<infer T> ? T : never;
  } & {
    readonly [K in LeftOut<F>]?: F[K] extends OptionalField<infer T> ? T | undefined : never;
  }
>;

/** The record shape with its fields kept, so that another shape can take some of them over. */
export interface RecordShape<F extends Fields> extends Shape<RecordOf<F>> {
  readonly fields: F;
}

/** What a shape is, as plain data. Lengths and bounds are inclusive. */
export type ShapeNode =
  | { readonly kind: 'id' | 'id-or-none' | 'day' | 'time' | 'picture-hash' | 'flag' }
  | { readonly kind: 'text'; readonly max: number }
  | {
      readonly kind: 'number';
      readonly whole: boolean;
      readonly low: number | null;
      readonly high: number | null;
      /** Said when it lies outside; null for the ordinary words. */
      readonly words: string | null;
    }
  | { readonly kind: 'choice'; readonly of: readonly (string | number)[] }
  | {
      readonly kind: 'list';
      readonly of: ShapeNode;
      readonly low: number;
      readonly high: number | null;
      readonly words: string | null;
    }
  | {
      readonly kind: 'record';
      readonly fields: Readonly<Record<string, ShapeNode>>;
      readonly optional: readonly string[];
    }
  | { readonly kind: 'or-null'; readonly of: ShapeNode }
  | { readonly kind: 'variants'; readonly tag: string; readonly of: readonly ShapeNode[] }
  | { readonly kind: 'named'; readonly name: string };

const shape = <T>(node: ShapeNode): Shape<T> => ({ node }) as Shape<T>;

/** An id: letters, digits, dash, dot and underscore, at most 80. */
export const id = shape<string>({ kind: 'id' });
/** An id, or an empty text where there is none. */
export const idOrNone = shape<string>({ kind: 'id-or-none' });
/** An ISO day. */
export const day = shape<string>({ kind: 'day' });
/** An ISO time with milliseconds, in UTC. */
export const time = shape<string>({ kind: 'time' });
/** SHA-256 of a picture, in hexadecimal. */
export const pictureHash = shape<string>({ kind: 'picture-hash' });
/** Yes or no. */
export const flag = shape<boolean>({ kind: 'flag' });
/** Text of up to so many characters. */
export const text = (max: number): Shape<string> => shape({ kind: 'text', max });
/** A line of text as a person types it. */
export const line = text(300);
/** A paragraph. */
export const paragraph = text(4000);

interface Bounds {
  readonly low?: number;
  readonly high?: number;
  readonly words?: string;
}
const numberNode = (whole: boolean, { low, high, words }: Bounds): ShapeNode => ({
  kind: 'number',
  whole,
  low: low ?? null,
  high: high ?? null,
  words: words ?? null,
});
/** Any finite number within bounds. */
export const numberWithin = (bounds: Bounds): Shape<number> => shape(numberNode(false, bounds));
/** Any finite number. */
export const number = numberWithin({});
/** A whole number within bounds. */
export const wholeWithin = (bounds: Bounds): Shape<number> => shape(numberNode(true, bounds));
/** Any whole number. */
export const whole = wholeWithin({});

/** One of some words or numbers. */
export const oneOf = <const C extends readonly (string | number)[]>(...of: C): Shape<C[number]> =>
  shape({ kind: 'choice', of });
/** A key of a constant. */
export const keyOf = <T extends object>(constant: T): Shape<keyof T & string> =>
  shape({ kind: 'choice', of: Object.keys(constant) });

/** A list of up to `high` of something, at least `low`. */
export const list = <T>(
  of: Shape<T>,
  { low = 0, high, words }: { low?: number; high?: number; words?: string } = {},
): Shape<readonly T[]> => shape({ kind: 'list', of: of.node, low, high: high ?? null, words: words ?? null });

/** Something, or null. */
export const orNull = <T>(of: Shape<T>): Shape<T | null> => shape({ kind: 'or-null', of: of.node });

/** A field that may be left out: for what a person need not say. What is recorded is always whole. */
export const optional = <T>(of: Shape<T>): OptionalField<T> => ({ optional: of });

const isOptional = (field: Shape<unknown> | OptionalField<unknown>): field is OptionalField<unknown> =>
  'optional' in field;

/** A record with just these fields; any other is refused, so that a misspelt one is noticed. */
export const record = <const F extends Fields>(fields: F): RecordShape<F> => {
  const named = Object.entries(fields);
  const node: ShapeNode = {
    kind: 'record',
    fields: Object.fromEntries(
      named.map(([name, field]) => [name, isOptional(field) ? field.optional.node : field.node]),
    ),
    optional: named.flatMap(([name, field]) => (isOptional(field) ? [name] : [])),
  };
  return { node, fields } as RecordShape<F>;
};

/** One of several records, told apart by the text in their field `tag`. */
export const variants = <const S extends readonly Shape<unknown>[]>(tag: string, ...of: S): Shape<TypeOf<S[number]>> =>
  shape({ kind: 'variants', tag, of: of.map(({ node }) => node) });

/**
 * A value whose type is declared in its own room (a vehicle, a procedure). The contract holds the parser for each name
 * and does not compile when one is missing or differs.
 */
export const named = <T>(name: string): Shape<T> => shape({ kind: 'named', name });
