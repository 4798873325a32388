import express, { Router } from 'express';
import { id, transfer } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { exportJob, readJobFile, takeJobFile } from '../store/transfer.ts';
import { actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const JOB_FILE_LIMIT = '200mb';

/** A job as a file out and in, and as a printed sheet. */
export function transferRoutes(services: Services): Router {
  const { jobs, oneGo, printing } = services;
  const router = Router();

  router.get('/jobs/:id/file', (request, response) => {
    const file = exportJob(parse(id, request.params.id), services);
    if (file === null) throw new HttpError('no-such-job', 'There is no such job.');
    response.attachment(`job-${jobs.job(file.jobId)?.number ?? ''}.json`).json(file);
  });

  router.get('/jobs/:id/sheet.pdf', async (request, response) => {
    const job = jobs.job(parse(id, request.params.id));
    if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
    const pdf = await printing.sheet(job);
    response.type('application/pdf').set('content-disposition', `inline; filename="job-${job.number}.pdf"`).send(pdf);
  });

  router.get('/jobs/:id/estimate.pdf', async (request, response) => {
    const job = jobs.job(parse(id, request.params.id));
    if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
    const latest = job.estimates.at(-1);
    if (latest === undefined) throw new HttpError('no-estimate', 'No estimate was made on this job yet.');
    const pdf = await printing.estimate(job, latest);
    response
      .type('application/pdf')
      .set('content-disposition', `inline; filename="estimate-${job.number}.pdf"`)
      .send(pdf);
  });

  // A file brings in what others did, in their names: that is for those who answer for the shop.
  router.post('/job-files', express.json({ limit: JOB_FILE_LIMIT }), async (request, response) => {
    const actor = actorOf(services, request);
    mustLead(actor, 'A job from a file');
    const timeZone = services.settings.timeZone();
    const read = await readJobFile(parse(transfer, request.body), services, actor.at, timeZone);
    const outcome = read.ok ? oneGo.run(() => takeJobFile(read, services, actor, timeZone)) : read;
    if (!outcome.ok) throw new HttpError(outcome.code, outcome.message);
    response.status(201).json(outcome);
  });

  return router;
}
