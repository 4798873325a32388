/** Without `readonly`, at every depth: a parser makes what core only reads. */
type Plain<T> = T extends readonly (infer E)[]
  ? Plain<E>[]
  : T extends object
    ? { -readonly [K in keyof T]: Plain<T[K]> }
    : T;

type Equal<A, B> = (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false;

/** Whether two types are the same but for `readonly`: a field that is optional in one must be so in the other. */
export type Same<A, B> = Equal<Plain<A>, Plain<B>>;
