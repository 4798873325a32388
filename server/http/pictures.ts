import express, { Router } from 'express';
import { z } from 'zod';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const hash = z.string().regex(/^[0-9a-f]{64}$/, 'Expected a picture’s hash.');
const query = z.strictObject({ original: z.enum(['1']).optional(), size: z.enum(['shown', 'small']).default('shown') });

/** Pictures: stored by the hash of their content, so that sending one twice stores it once. */
export function pictureRoutes({ pictures, oneGo, now }: Services): Router {
  const router = Router();

  router.post(
    '/',
    express.raw({ type: ['image/*', 'application/octet-stream'], limit: '15mb' }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body)) throw new HttpError('wrong-type', 'Expected a picture: JPEG, PNG or WebP.');
      if (!pictures.hasRoom())
        throw new HttpError(
          'cannot-write',
          'The disk is nearly full: photos are not taken in any more, so that what is typed still is. The photo is kept on this device until there is room.',
        );
      const prepared = await pictures.prepare(request.body);
      if (prepared === null)
        throw new HttpError('bad-picture', 'That is not a picture that can be read: expected JPEG, PNG or WebP.');
      response.status(201).json(oneGo.run(() => pictures.record(prepared, now())));
    },
  );

  router.get('/:hash', async (request, response, next) => {
    const { original, size } = parse(query, request.query);
    const file = await pictures.copy(parse(hash, request.params.hash), original === '1' ? 'original' : size);
    if (file.path === null) throw noPicture(file.why);
    response.sendFile(
      file.path,
      // A shop may keep its store in a folder that begins with a dot.
      {
        dotfiles: 'allow',
        headers: { 'content-type': file.mime, 'cache-control': 'private, max-age=31536000, immutable' },
      },
      (error) => {
        if (error) next((error as { code?: string }).code === 'ENOENT' ? noPicture('lost') : error);
      },
    );
  });

  return router;
}

const noPicture = (why: 'unknown' | 'lost'): HttpError =>
  why === 'unknown'
    ? new HttpError('no-such-picture', 'There is no such picture.')
    : new HttpError('picture-lost', 'This photo is not on the disk any more, or not whole.', {
        wouldHelp: 'Take it in again if somebody still has it: the same photo takes its old place.',
      });
