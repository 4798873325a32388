import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import type { ZodError } from 'zod';
import type { ErrorReply } from '../../contract/index.ts';
import type { Refusal } from '../../core/job/index.ts';
import { statusOf } from './catalogue.ts';

/** A request that cannot be served, with everything its answer needs. */
export class HttpError extends Error {
  readonly code: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly wouldHelp: string;

  constructor(
    code: string,
    message: string,
    options: { fields?: Record<string, string>; wouldHelp?: string; cause?: unknown } = {},
  ) {
    super(message, { cause: options.cause });
    this.name = 'HttpError';
    this.code = code;
    this.fields = options.fields ?? {};
    this.wouldHelp = options.wouldHelp ?? '';
  }
}

/** A refusal of core as an error: a wrong field is 400 beside that field, anything else a conflict. */
export const fromRefusal = ({ code, message, wouldHelp, field }: Refusal): HttpError =>
  new HttpError(code, message, { wouldHelp, fields: field === null ? {} : { [`data.${field}`]: message } });

/** A contract failure as an error: every field with what is wrong. */
export function fromZod(error: ZodError): HttpError {
  const fields = Object.fromEntries(error.issues.map(({ path, message }) => [path.join('.') || 'body', message]));
  const [where = 'body', what = ''] = Object.entries(fields)[0] ?? [];
  return new HttpError('bad-request', `${where}: ${what}`, { fields });
}

interface LibraryError {
  readonly type?: string;
  readonly code?: string;
  readonly status?: number;
  readonly message?: string;
}

/** What the libraries below us throw, in words. */
function fromLibrary(error: LibraryError): HttpError | null {
  if (error.type === 'entity.parse.failed')
    return new HttpError('bad-json', 'The request is not valid JSON. Nothing was changed.');
  if (error.type === 'entity.too.large')
    return new HttpError('too-large', 'That is too large: at most 15 MB for a picture, 2 MB for anything typed.');
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
    const known = error instanceof HttpError ? error : fromLibrary(error as LibraryError);
    if (known === null) log.error({ err: error }, 'unexpected failure');
    const said =
      known ?? new HttpError('unexpected', 'Something went wrong here. Nothing was changed; please try again.');
    const body: ErrorReply = {
      error: { code: said.code, message: said.message, fields: said.fields, wouldHelp: said.wouldHelp },
    };
    response.status(statusOf(said.code)).json(body);
  };
