import express, { type Request, Router } from 'express';
import {
  id,
  knowHowQuery,
  shopConfirmed,
  type ShopsReply,
  type SignedFile,
  signedFile,
  signedFileLook,
  signedFileTake,
  type SignedLook,
} from '../../contract/index.ts';
import { lookAtKnowHow, takeKnowHow, tellKnowHow } from '../exchange/knowHow.ts';
import { brokenSignature, type Subject, withEarlier } from '../exchange/lives.ts';
import { fingerprintOf, isSigned } from '../exchange/signing.ts';
import type { Services } from '../services.ts';
import { actorOf, change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const FILE_LIMIT = '50mb';

/** Files between shops that bring their own body: lives of vehicles and units, and know-how, out and in. */
export function signedFileRoutes(services: Services): Router {
  const { lives, shops, oneGo } = services;
  const router = Router();
  const reading = express.json({ limit: FILE_LIMIT });
  /** What we told ourselves is no news to us. */
  const mustBeTheirs = (file: SignedFile): void => {
    if (file.shop.key === oneGo.run(() => shops.own(services.now()).public))
      throw new HttpError('bad-value', 'This shop signed that file itself: it is here already.');
  };

  // Looked at first: who signed it, what it holds, and how that stands beside ours. Nothing is written.
  router.post('/signed-files/looks', reading, (request, response) => {
    const { file } = parse(signedFileLook, request.body);
    actorOf(services, request);
    const read = readFile(file);
    mustBeTheirs(read);
    response.json(lookAt(services, read));
  });
  router.post('/signed-files', reading, (request, response) => {
    const { file: sent, onto, keys } = parse(signedFileTake, request.body);
    const actor = actorOf(services, request);
    mustLead(actor, 'What another shop tells');
    const file = readFile(sent);
    mustBeTheirs(file);
    const taken = oneGo.run(() => {
      if (file.kind === 'life') return lives.take(file, subjectOf(services, file, onto), actor);
      const outcome = takeKnowHow(file, keys ?? [], services, actor);
      if (!outcome.ok) throw new HttpError('bad-value', `${outcome.message} Nothing was taken.`);
      return outcome.taken;
    });
    for (const list of ['vehicles', 'units', 'procedures', 'recipes', 'knowledge', 'shops'])
      services.changes.tell({ kind: 'rows', list });
    response.status(201).json({ taken });
  });
  return router;
}

/** What other shops tell, and who they are. */
export function exchangeRoutes(services: Services): Router {
  const { lives, shops, oneGo, settings } = services;
  const router = Router();
  /** What leaves the house is for those who answer for it. */
  const leaving = (request: Request): string => {
    const actor = actorOf(services, request);
    mustLead(actor, 'What leaves the shop');
    return actor.at;
  };

  router.get('/vehicles/:id/life', (request, response) => {
    const at = leaving(request);
    const file = oneGo.run(() => lives.tellVehicle(parse(id, request.params.id), at));
    if (file === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
    const name = file.body.of.kind === 'vehicle' ? file.body.of.plate.replaceAll(/\W+/g, '-') : '';
    response.attachment(`life-${name}.json`).json(file);
  });
  router.get('/units/:id/life', (request, response) => {
    const at = leaving(request);
    const file = oneGo.run(() => lives.tellUnit(parse(id, request.params.id), at));
    if (file === null) throw new HttpError('no-such-unit', 'There is no such unit.');
    response.attachment(`life-${String(request.params.id)}.json`).json(file);
  });
  router.get('/vehicles/:id/elsewhere', (request, response) => {
    response.json({ rows: lives.elsewhere({ kind: 'vehicle', id: parse(id, request.params.id) }), next: null });
  });
  router.get('/units/:id/elsewhere', (request, response) => {
    response.json({ rows: lives.elsewhere({ kind: 'unit', id: parse(id, request.params.id) }), next: null });
  });
  router.get('/know-how', (request, response) => {
    const at = leaving(request);
    const asked = parse(knowHowQuery, request.query);
    const listed = (text: string): string[] => text.split(',').filter(Boolean);
    const picked = {
      procedures: listed(asked.procedures),
      recipes: listed(asked.recipes),
      knowledge: asked.knowledge === 'yes',
    };
    response.attachment('know-how.json').json(oneGo.run(() => tellKnowHow(services, picked, at)));
  });
  router.get('/shops', (_request, response) => {
    const own = oneGo.run(() => shops.own(services.now()));
    const reply: ShopsReply = {
      own: { name: settings.shop().shopName, fingerprint: fingerprintOf(own.public) },
      rows: shops.all(),
      next: null,
    };
    response.json(reply);
  });
  router.put(
    '/shops/:fingerprint',
    change(services, (request, actor) => {
      const { confirmed } = parse(shopConfirmed, request.body);
      mustLead(actor, 'Whom this shop believes');
      const known = shops.all().find(({ fingerprint }) => fingerprint === request.params.fingerprint);
      if (known === undefined) throw new HttpError('not-found', 'No file of that shop was taken.');
      shops.confirm(known.key, confirmed, actor);
      return { body: { ok: true } };
    }),
  );
  return router;
}

/** A file whose shape and signatures hold. */
function readFile(sent: unknown): SignedFile {
  const file = parse(signedFile, sent);
  const broken = file.kind === 'life' ? brokenSignature(file) : isSigned(file) ? null : file.shop.name;
  if (broken !== null)
    throw new HttpError(
      'chain-broken',
      `The file was altered after ${broken || 'a shop'} signed it. Nothing was read.`,
    );
  return file;
}

function lookAt(services: Services, file: SignedFile): SignedLook {
  const shop = {
    name: file.shop.name,
    fingerprint: fingerprintOf(file.shop.key),
    known: services.shops.get(file.shop.key),
  };
  const head = { kind: file.kind, shop, madeAt: file.madeAt };
  if (file.kind === 'know-how') return { ...head, life: null, knowHow: lookAtKnowHow(file.body, services) };
  const all = withEarlier(file);
  return {
    ...head,
    life: {
      of: file.body.of,
      chapters: all.reduce((sum, { body }) => sum + body.chapters.length, 0),
      shops: [...new Set(all.map(({ shop: { name } }) => name))],
      ours: services.lives.ours(file.body.of),
    },
    knowHow: null,
  };
}

/** Onto which of ours a life is taken; it must be there, and of the same sort. */
function subjectOf({ vehicles, units }: Services, file: SignedFile, onto: string | undefined): Subject {
  const kind = file.kind === 'life' ? file.body.of.kind : 'vehicle';
  if (onto === undefined)
    throw new HttpError('bad-value', 'Which of ours is it?', { fields: { onto: 'Pick the vehicle or unit it is.' } });
  if ((kind === 'vehicle' ? vehicles.get(onto) : units.get(onto)) === null)
    throw new HttpError(kind === 'vehicle' ? 'no-such-vehicle' : 'no-such-unit', `There is no such ${kind}.`);
  return { kind, id: onto };
}
