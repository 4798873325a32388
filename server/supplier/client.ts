import type { z } from 'zod';
import { offersAnswer, orderTaken } from '../../contract/index.ts';
import type { Offer, OrderedLine, OrderTaken } from '../../core/supplier/index.ts';

/** A supplier that could not be asked, with why in words. */
export class NoAnswer extends Error {
  constructor(words: string, cause?: unknown) {
    super(words, { cause });
    this.name = 'NoAnswer';
  }
}

/** Longer than this nobody waits at a bench, ms. */
const PATIENCE_MS = 4000;

/** A supplier that is spoken to over HTTP on a port of this machine. See `docs/supplier.md`. */
export class Supplier {
  readonly #address: string;
  readonly #patienceMs: number;

  /** @param port of this machine */
  constructor(port: number, patienceMs = PATIENCE_MS) {
    this.#address = `http://127.0.0.1:${port}`;
    this.#patienceMs = patienceMs;
  }

  /** What it has of some numbers; a number that it does not know is not among them. @throws NoAnswer */
  async offers(numbers: readonly string[]): Promise<readonly Offer[]> {
    const asked = new URLSearchParams(numbers.map((number): [string, string] => ['number', number]));
    return (await this.#ask(`/offers?${asked.toString()}`, offersAnswer)).offers;
  }

  /** Orders. The same id again is the same order. @throws NoAnswer */
  order(id: string, lines: readonly OrderedLine[]): Promise<OrderTaken> {
    return this.#ask(`/orders/${encodeURIComponent(id)}`, orderTaken, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ lines }),
    });
  }

  async #ask<T>(path: string, schema: z.ZodType<T>, init: RequestInit = {}): Promise<T> {
    let response: Response;
    try {
      response = await fetch(`${this.#address}${path}`, { ...init, signal: AbortSignal.timeout(this.#patienceMs) });
    } catch (cause) {
      const slow = cause instanceof Error && cause.name === 'TimeoutError';
      throw new NoAnswer(
        slow
          ? `The supplier does not answer within ${this.#patienceMs / 1000} seconds.`
          : 'The supplier cannot be reached.',
        cause,
      );
    }
    const body: unknown = await response.json().catch(() => null);
    if (!response.ok) {
      const said = (body as { error?: unknown } | null)?.error;
      throw new NoAnswer(
        typeof said === 'string' && said !== ''
          ? `The supplier says: ${said}`
          : `The supplier answers ${response.status}.`,
      );
    }
    const read = schema.safeParse(body);
    if (!read.success) {
      const [issue] = read.error.issues;
      throw new NoAnswer(
        `What the supplier sends cannot be read: ${issue?.path.join('.') ?? ''} ${issue?.message ?? ''}`.trim(),
      );
    }
    return read.data;
  }
}
