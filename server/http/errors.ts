import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import type { ZodError } from 'zod';
import type { AuditLine, ErrorReply } from '../../contract/index.ts';
import { sayBytes } from '../../core/keeping/index.ts';
import type { Refusal } from '../../core/job/index.ts';
import { StoreError } from '../store/errors.ts';
import type { Newer, RowOutcome } from '../store/rows.ts';
import { statusOf } from './catalogue.ts';

/** A request that cannot be served, with everything its answer needs. */
export class HttpError extends Error {
  readonly code: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly wouldHelp: string;
  /** What a row holds now that somebody else saved meanwhile. */
  readonly newer: (Newer<unknown> & { readonly changed: AuditLine | undefined }) | undefined;

  constructor(
    code: string,
    message: string,
    options: {
      fields?: Record<string, string>;
      wouldHelp?: string;
      newer?: NonNullable<HttpError['newer']>;
      cause?: unknown;
    } = {},
  ) {
    super(message, { cause: options.cause });
    this.name = 'HttpError';
    this.code = code;
    this.fields = options.fields ?? {};
    this.wouldHelp = options.wouldHelp ?? '';
    this.newer = options.newer;
  }
}

/** A refusal of core as an error: a wrong field is 400 beside that field, anything else a conflict. */
export const fromRefusal = ({ code, message, wouldHelp, field }: Refusal): HttpError =>
  new HttpError(code, message, { wouldHelp, fields: field === null ? {} : { [`data.${field}`]: message } });

/** The row that was saved. @throws HttpError with what the row holds now, when somebody else saved it meanwhile */
export function saved<T>(
  outcome: RowOutcome<T>,
  name: string,
  changes: () => readonly AuditLine[],
): Extract<RowOutcome<T>, { ok: true }> {
  if (outcome.ok) return outcome;
  throw new HttpError(
    'row-moved-on',
    `${name} was changed meanwhile. Nothing was saved; what you typed is kept here.`,
    {
      wouldHelp: 'Look at both side by side, and choose.',
      newer: { ...outcome.newer, changed: changes()[0] },
    },
  );
}

/** A contract failure as an error: every field with what is wrong. */
export function fromZod(error: ZodError): HttpError {
  const fields = Object.fromEntries(error.issues.map(({ path, message }) => [path.join('.') || 'body', message]));
  const [where = 'body', what = ''] = Object.entries(fields)[0] ?? [];
  return new HttpError('bad-request', `${where}: ${what}`, { fields });
}

/** What the store says of itself. */
const fromStore = (error: unknown): HttpError | null =>
  error instanceof StoreError ? new HttpError(error.code, error.message, { cause: error }) : null;

interface LibraryError {
  readonly type?: string;
  readonly code?: string;
  readonly status?: number;
  readonly message?: string;
  /** The most bytes that are taken, of one that was too large. */
  readonly limit?: number;
}

/** What is wrong with the body of a request, by what the parsers call it. */
function fromBody({ type, code, limit = 0 }: LibraryError): HttpError | null {
  switch (type) {
    case 'entity.parse.failed':
      return new HttpError('bad-json', 'The request is not valid JSON. Nothing was changed.');
    case 'entity.too.large':
      return new HttpError('too-large', `That is too large: at most ${sayBytes(limit)} are taken here.`);
    case 'encoding.unsupported':
      return new HttpError(
        'wrong-type',
        'The body is packed in a way that is not known here: expected gzip, deflate, br or none.',
      );
    case 'charset.unsupported':
      return new HttpError('wrong-type', 'The text is in a character set that is not known here: expected UTF-8.');
    case 'request.size.invalid':
    case 'request.aborted':
      return new HttpError('bad-request', 'The request ended before it was whole. Nothing was changed.');
  }
  if (code !== undefined && /^(Z_|ERR__ERROR_FORMAT|ERR_.*BROTLI|ERR_PADDING|ERR_ZLIB)/.test(code))
    return new HttpError('bad-request', 'The body cannot be unpacked. Nothing was changed.');
  return null;
}

/** What the libraries below us throw, in words. */
function fromLibrary(error: LibraryError): HttpError | null {
  const body = fromBody(error);
  if (body !== null) return body;
  if (error.code === 'SQLITE_FULL')
    return new HttpError(
      'cannot-write',
      'The disk is full. Nothing was saved; what you typed is kept here until there is room.',
    );
  if (error.code?.startsWith('SQLITE_READONLY') || error.code === 'EACCES' || error.code === 'EROFS') {
    return new HttpError('cannot-write', 'The store can only be read. Nothing was saved; what you typed is kept here.');
  }
  if (error.code === 'ENOSPC') return new HttpError('cannot-write', 'The disk is full. Nothing was saved.');
  if (error.code?.startsWith('SQLITE_IOERR'))
    return new HttpError('cannot-write', 'The disk did not take it. Nothing was saved; what you typed is kept here.');
  if (error.code === 'SQLITE_BUSY')
    return new HttpError('store-busy', 'Another program holds the store. Try again in a moment.');
  if (error.status === 400 && error.message?.includes('Failed to decode'))
    return new HttpError('bad-request', 'The address is not valid.');
  // Whatever else is the sender's fault is said to be so, without the words of a library.
  if (error.status !== undefined && error.status >= 400 && error.status < 500)
    return new HttpError('bad-request', 'The request cannot be read. Nothing was changed.');
  return null;
}

/** The last handler: answers in our shape, logs what was not expected and tells nothing of it. */
export const answerErrors =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = error instanceof HttpError ? error : (fromStore(error) ?? fromLibrary(error as LibraryError));
    if (known === null) log.error({ err: error }, 'unexpected failure');
    const said =
      known ?? new HttpError('unexpected', 'Something went wrong here. Nothing was changed; please try again.');
    const body: ErrorReply = {
      error: {
        code: said.code,
        message: said.message,
        fields: said.fields,
        wouldHelp: said.wouldHelp,
        ...(said.newer && { newer: { ...said.newer, changed: said.newer.changed as AuditLine } }),
      },
    };
    // What is gone now may be back in a moment: a browser keeps some refusals unless it is told not to.
    response.status(statusOf(said.code)).set('cache-control', 'no-store').json(body);
  };
