import { Router } from 'express';
import { adapterClear, adapterRead, type EngineShown, id } from '../../contract/index.ts';
import { type EngineState, MAKER_VALUES, makerReadings, rpmOf } from '../../core/engine/index.ts';
import { AdapterError, type Link } from '../adapter/links.ts';
import { Reader, readVehicle } from '../adapter/reader.ts';
import type { Command } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import type { Outcome } from '../store/jobs.ts';
import { atOnce } from '../store/log.ts';
import { actorOf } from './acting.ts';
import { fromRefusal, HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** How often a simulated engine tells of itself, ms. */
const ENGINE_MS = 250;
const shownOf = (engine: EngineState): EngineShown => {
  const maker = makerReadings(engine);
  return {
    rpm: Math.round(rpmOf(engine)),
    drive: maker[MAKER_VALUES.valveDuty] ?? maker[MAKER_VALUES.valveSteps] ?? maker[MAKER_VALUES.plateDeg] ?? null,
    coolantC: Math.round(engine.coolantC),
    running: engine.running,
  };
};

/** The diagnostic adapter: what there is, reading, and clearing codes. */
export function adapterRoutes(services: Services): Router {
  const { hub, jobs, oneGo, now } = services;
  const take = (jobId: string, sent: Command): Outcome => oneGo.run(() => jobs.take(jobId, sent, atOnce(now())));
  const router = Router();

  /** Opens a link, and closes it whatever happens. */
  async function linked<T>(id: string, work: (reader: Reader) => Promise<T>): Promise<T> {
    let link: Link | null = null;
    try {
      link = await hub.open(id);
      return await work(new Reader(link));
    } catch (error) {
      if (error instanceof AdapterError) throw new HttpError(error.code, error.message);
      throw error;
    } finally {
      link?.close();
    }
  }

  /** A simulated vehicle notices what was done to it on its job. */
  const meet = (jobId: string): void => {
    const job = jobs.job(jobId);
    if (job !== null) hub.meet(job.vehicle.id, services.doneTo(job));
  };

  router.get('/', (_request, response) => {
    response.json({ rows: hub.list(), next: null });
  });

  /** How a simulated engine runs, as server-sent events: what its own instruments would show. */
  router.get('/engines/:link', (request, response) => {
    const link = parse(id, request.params.link);
    if (hub.engineOf(link) === null) throw new HttpError('adapter-gone', 'There is no simulated engine of that name.');
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    const tell = (): void => {
      const engine = hub.engineOf(link);
      if (engine !== null) response.write(`data: ${JSON.stringify(shownOf(engine))}\n\n`);
    };
    tell();
    const beat = setInterval(tell, ENGINE_MS);
    beat.unref();
    request.on('close', () => clearInterval(beat));
  });

  router.post('/read', async (request, response) => {
    const { link, jobId, ...what } = parse(adapterRead, request.body);
    if (jobId !== undefined) meet(jobId);
    response.json(await linked(link, (reader) => readVehicle(reader, what)));
  });

  // What is stored goes into the log before the vehicle is told to forget it: a crash in between loses nothing.
  router.post('/clear', async (request, response) => {
    const { link, jobId, commandId, at, seen } = parse(adapterClear, request.body);
    const { by } = actorOf(services, request);
    meet(jobId);
    const outcome = await linked(link, async (reader) => {
      const { stored, pending, frame, codesRead, gone, problems } = await readVehicle(reader, {
        codes: true,
        values: false,
      });
      if (!codesRead) throw new AdapterError(gone ? 'adapter-gone' : 'adapter-silent', problems.join(' '));
      const codes = [...stored, ...pending];
      const head = { at, by };
      if (frame !== null) {
        const data = { id: `${commandId}.frame`, ...frame };
        take(jobId, { ...head, id: data.id, seen, type: 'read-frame', data });
      }
      const kept = take(jobId, {
        ...head,
        id: commandId,
        seen,
        type: 'clear-codes',
        data: { id: commandId, codes, from: link },
      });
      if (kept.kind === 'refused') throw fromRefusal(kept.refusal);
      if (kept.reply.repeated) return kept.reply;
      const end = (result: 'cleared' | 'failed', words: string) =>
        take(jobId, {
          ...head,
          id: `${commandId}.end`,
          seen,
          type: 'end-clearing',
          data: { id: commandId, outcome: result, words },
        });
      try {
        await reader.clear();
      } catch (error) {
        if (error instanceof AdapterError) end('failed', error.message);
        throw error;
      }
      const ended = end('cleared', '');
      if (ended.kind === 'refused') throw fromRefusal(ended.refusal);
      return ended.reply;
    });
    response.status(201).json(outcome);
  });

  return router;
}
