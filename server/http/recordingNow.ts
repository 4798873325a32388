import { Router } from 'express';
import {
  adapterAct,
  id,
  recordingBegin,
  type RecordingBegun,
  recordingEnd,
  recordingStep,
} from '../../contract/index.ts';
import { AdapterError } from '../adapter/links.ts';
import type { Services } from '../services.ts';
import { actorOf } from './acting.ts';
import { fromRefusal, HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** A quiet stream is kept open by a word now and then. */
const HEARTBEAT_MS = 15_000;

/** Recording live data: begun, told as it comes, marked, paused, and ended onto its job. */
export function recordingNowRoutes(services: Services): Router {
  const { hub, desk, jobs } = services;
  const router = Router();

  router.post('/', async (request, response) => {
    const { link, jobId, when, place, state } = parse(recordingBegin, request.body);
    const { by } = actorOf(services, request);
    const job = jobs.job(jobId);
    if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
    hub.meet(job.vehicle.id, services.doneTo(job));
    const under = { ...(place === undefined ? {} : { place }), ...(state === undefined ? {} : { state }) };
    try {
      const begun = await desk.begin({ jobId, when, from: link, by, under });
      response.status(201).json({ id: begun } satisfies RecordingBegun);
    } catch (error) {
      if (error instanceof AdapterError) throw new HttpError(error.code, error.message);
      throw error;
    }
  });

  /** As server-sent events: what comes, as it comes. */
  router.get('/:id/news', (request, response) => {
    const name = parse(id, request.params.id);
    if (desk.recorder(name) === null) throw gone();
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    response.write(': here\n\n');
    const stop = desk.listen(name, (news) => void response.write(`data: ${JSON.stringify(news)}\n\n`));
    const beat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
    beat.unref();
    request.on('close', () => {
      clearInterval(beat);
      stop?.();
    });
  });

  router.post('/:id/steps', (request, response) => {
    const step = parse(recordingStep, request.body);
    const recorder = desk.recorder(parse(id, request.params.id));
    if (recorder === null) throw gone();
    if (step.do === 'pause') recorder.pause();
    else if (step.do === 'resume') recorder.resume();
    else recorder.mark(step.phase ?? null);
    response.json({ state: recorder.state, vin: recorder.vin });
  });

  router.post('/:id/end', async (request, response) => {
    const name = parse(id, request.params.id);
    const { keep } = parse(recordingEnd, request.body);
    actorOf(services, request);
    if (desk.recorder(name) === null) throw gone();
    const outcome = await desk.end(name, keep);
    if (outcome === null) return void response.json({ kept: false });
    if (outcome.kind === 'refused') throw fromRefusal(outcome.refusal);
    response.status(201).json(outcome.reply);
  });

  router.post('/act', (request, response) => {
    const { link, deed } = parse(adapterAct, request.body);
    response.json({ done: hub.act(link, deed) });
  });

  return router;
}

const gone = (): HttpError => new HttpError('no-such-recording', 'That recording does not run any more.');
