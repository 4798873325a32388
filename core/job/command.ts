import type { Shape, TypeOf } from '../shape/index.ts';
import type { Asks, Context, Role } from './context.ts';
import type { Decision } from './decision.ts';
import type { Job } from './job.ts';

/** Who may give a command. */
export interface Right<D> {
  readonly roles: readonly Role[];
  /** Left out: always. */
  readonly when?: (data: D) => boolean;
  /** Said to whoever may not. */
  readonly words: string;
}

/** What is said of a command, once, beside the fact it leads to. */
export interface CommandSpec<S extends Shape<unknown>> {
  /** What a person sends. A typed amount is sent as it was typed, so that one rule in core judges it for everybody. */
  readonly shape: S;
  /** What deciding it must know besides the job; left out: nothing. */
  readonly asks?: (data: TypeOf<S>) => Asks;
  /** Who may; left out: everybody. */
  readonly may?: Right<TypeOf<S>>;
  /** It may still be given on a job that was handed over. */
  readonly whenClosed?: true;
  /**
   * Whether it is allowed now, and what it leads to.
   * @param at ISO time of the command; null when it is only being tried
   */
  readonly decide: (job: Job, data: TypeOf<S>, context: Context, at: string | null) => Decision;
}

/** A declared command. */
export interface DeclaredCommand<K extends string, S extends Shape<unknown>> extends CommandSpec<S> {
  readonly type: K;
}

/** Any declared command, for programs that go over all of them. */
export interface AnyCommand {
  readonly type: string;
  readonly shape: Shape<unknown>;
  readonly asks?: (data: never) => Asks;
  readonly may?: Right<never>;
  readonly whenClosed?: true;
  readonly decide: (job: Job, data: never, context: Context, at: string | null) => Decision;
}

/** Declares a command. @param type its name on the wire, in the imperative */
export const command = <const K extends string, S extends Shape<unknown>>(
  type: K,
  spec: CommandSpec<S>,
): DeclaredCommand<K, S> => ({ ...spec, type });
