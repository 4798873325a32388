import express, { Router } from 'express';
import { z } from 'zod';
import type { RecordingStored } from '../../contract/index.ts';
import { PackError, unpack, writeLongCsv, writeWideCsv } from '../../core/trace/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const hash = z.string().regex(/^[0-9a-f]{64}$/, 'Expected a recording’s hash.');
const csvQuery = z.strictObject({ form: z.enum(['wide', 'long']).default('wide') });

/** Recordings: stored by the hash of their content, and given out packed or as CSV. */
export function recordingRoutes({ recordings, pictures, oneGo, now }: Services): Router {
  const router = Router();

  router.post('/', express.raw({ type: 'application/octet-stream', limit: '64mb' }), (request, response) => {
    if (!Buffer.isBuffer(request.body)) throw new HttpError('wrong-type', 'Expected a packed recording.');
    if (!pictures.hasRoom())
      throw new HttpError('cannot-write', 'The disk is nearly full: recordings are not taken in any more.');
    try {
      const prepared = recordings.prepare(unpack(request.body));
      oneGo.run(() => recordings.record(prepared, now()));
      response.status(201).json(prepared satisfies RecordingStored);
    } catch (error) {
      if (error instanceof PackError) throw new HttpError('bad-recording', error.message);
      throw error;
    }
  });

  router.get('/:hash', (request, response) => {
    const file = recordings.file(parse(hash, request.params.hash));
    if (file.bytes === null) throw noRecording(file.why);
    response
      .set({
        'content-type': 'application/octet-stream',
        'content-encoding': 'gzip',
        'cache-control': 'private, max-age=31536000, immutable',
      })
      .end(file.bytes);
  });

  router.get('/:hash/csv', (request, response) => {
    const { form } = parse(csvQuery, request.query);
    const name = parse(hash, request.params.hash);
    const trace = recordings.trace(name);
    const file = trace === null ? recordings.file(name) : null;
    if (trace === null) throw noRecording(file !== null && file.bytes === null ? file.why : 'lost');
    response
      .set({
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="recording-${name.slice(0, 8)}.csv"`,
      })
      .send(form === 'wide' ? writeWideCsv(trace) : writeLongCsv(trace));
  });

  return router;
}

const noRecording = (why: 'unknown' | 'lost'): HttpError =>
  why === 'unknown'
    ? new HttpError('no-such-recording', 'There is no such recording.')
    : new HttpError('recording-lost', 'This recording is not on the disk any more, or not whole.');
