/**
 * Every error this server answers with, in one place: its HTTP status. Messages are made where the facts are.
 * A code that is not listed is a refusal of `decide`, which is 409.
 */
export const ERROR_STATUS = {
  'bad-request': 400,
  'bad-value': 400,
  'bad-json': 400,
  'bad-picture': 400,
  'chain-broken': 400,
  'bad-log': 400,
  'bad-table': 400,
  'not-from-here': 403,
  'not-yours': 403,
  'not-found': 404,
  'no-such-knowledge': 404,
  'no-such-family': 404,
  'no-such-unit': 404,
  'no-such-stock': 404,
  'no-such-reminder': 404,
  'no-such-person': 404,
  'no-such-tool': 404,
  'no-such-return': 404,
  'no-estimate': 404,
  'knowledge-moved-on': 409,
  'procedure-moved-on': 409,
  'recipe-moved-on': 409,
  'row-moved-on': 409,
  'jobs-on-it': 409,
  'jobs-with-them': 409,
  'money-recorded': 409,
  'log-unknown': 500,
  'log-damaged': 500,
  'lead-only': 403,
  'not-possible': 409,
  'adapter-silent': 504,
  'adapter-gone': 502,
  'adapter-garbled': 502,
  'adapter-refuses': 502,
  'no-such-job': 404,
  'no-such-vehicle': 404,
  'no-such-procedure': 404,
  'no-such-recipe': 404,
  'no-such-picture': 404,
  'picture-lost': 410,
  'recording-lost': 410,
  'no-such-recording': 404,
  'no-such-instrument': 404,
  'paired-elsewhere': 409,
  'not-simulated': 409,
  'bad-recording': 400,
  'too-large': 413,
  'wrong-type': 415,
  'cannot-write': 507,
  'store-busy': 503,
  unexpected: 500,
} as const satisfies Record<string, number>;

/** A code of the catalogue. */
export type ErrorCode = keyof typeof ERROR_STATUS;

/** The status for a code; refusals of core that are not listed are conflicts. */
export const statusOf = (code: string): number => (ERROR_STATUS as Readonly<Record<string, number>>)[code] ?? 409;
