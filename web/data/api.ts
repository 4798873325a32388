import type { ErrorReply } from '../../contract/index.ts';
import { heardServerTime } from '../stores/clock.ts';
import { nobodyHere, signedAs } from './signedAs.ts';
import { apiUrl } from './world.ts';

/** A request that was answered with an error, in the words to show. */
export class ApiError extends Error {
  readonly code: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly wouldHelp: string;
  readonly status: number;
  /** What the row holds now that somebody else saved it meanwhile. */
  readonly newer: ErrorReply['error']['newer'];

  constructor(status: number, { error }: ErrorReply) {
    super(error.message);
    this.name = 'ApiError';
    this.status = status;
    this.code = error.code;
    this.fields = error.fields;
    this.wouldHelp = error.wouldHelp;
    this.newer = error.newer;
  }
}

/** The server could not be reached at all. */
export class OutOfReach extends Error {
  constructor(cause: unknown) {
    super('The server is out of reach.', { cause });
    this.name = 'OutOfReach';
  }
}

/** Not now, rather than never: out of reach, nobody signed in, too much at once, or a disk that is full. */
export const isLater = (error: unknown): boolean =>
  error instanceof OutOfReach ||
  (error instanceof ApiError && ([401, 429, 507].includes(error.status) || error.code === 'bad-token'));

/** Answers by which the server says that nobody is signed in at this browser, or somebody else than this page thinks. */
const NOBODY_HERE: ReadonlySet<string> = new Set(['not-signed-in', 'bad-token']);

async function call<T>(
  method: string,
  path: string,
  body?: BodyInit,
  type?: string,
  more: Readonly<Record<string, string>> = {},
): Promise<T> {
  const { token } = signedAs();
  const response = await fetch(apiUrl(path), {
    method,
    ...(body === undefined ? {} : { body }),
    headers: {
      ...(type !== undefined && { 'content-type': type }),
      ...(method !== 'GET' && token !== '' && { 'x-wrench-token': token }),
      ...more,
    },
  }).catch((cause: unknown) => {
    throw new OutOfReach(cause);
  });
  const serverTime = response.headers.get('x-shop-time');
  if (serverTime !== null) heardServerTime(serverTime, response.headers.get('x-practice-pace'));
  const reply: unknown = await response.json().catch((cause: unknown) => {
    throw new OutOfReach(cause);
  });
  if (response.ok) return reply as T;
  const error = new ApiError(response.status, reply as ErrorReply);
  if (NOBODY_HERE.has(error.code)) nobodyHere();
  throw error;
}

/** The only way to the server. Answers are typed by the contract, which the server checks. */
export const api = {
  get: <T>(path: string): Promise<T> => call<T>('GET', path),
  put: <T>(path: string, body: unknown): Promise<T> => call<T>('PUT', path, JSON.stringify(body), 'application/json'),
  post: <T>(path: string, body: unknown, more?: Readonly<Record<string, string>>): Promise<T> =>
    call<T>('POST', path, JSON.stringify(body), 'application/json', more),
  remove: <T>(path: string): Promise<T> => call<T>('DELETE', path),
  upload: <T>(path: string, file: Blob): Promise<T> =>
    call<T>('POST', path, file, file.type === '' ? 'application/octet-stream' : file.type),
};

/** Whether the server answers at all, well or not. */
export const isThere = (): Promise<boolean> =>
  api.get('/health').then(
    () => true,
    (error: unknown) => !(error instanceof OutOfReach),
  );
