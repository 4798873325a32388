import { Router } from 'express';
import { z } from 'zod';
import { customerAnswer, type ForCustomer, id, linkInput, type LinkMade } from '../../contract/index.ts';
import { estimateSheet, type Job, sheetOf } from '../../core/job/index.ts';
import { speaker } from '../../core/sheet/index.ts';
import { placeOf } from '../access/caller.ts';
import type { Followed } from '../access/links.ts';
import { fewTries } from '../access/tries.ts';
import type { Services } from '../services.ts';
import { actorOf } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { takeOn } from './takeOn.ts';

const DAY_MS = 86_400_000;
const makeBody = linkInput.extend({ by: id.optional() });
const withdrawBody = z.strictObject({ by: id.optional() });
const tokenParam = z.string().min(20).max(80);

/** A customer’s link: made and withdrawn by the workshop, read and answered by whoever has it. */
export function linkRoutes(services: Services): Router {
  const { access, jobs, oneGo, now, settings, people, printing } = services;
  const router = Router();

  router.get('/jobs/:id/links', (request, response) => {
    response.json({ rows: access.links.ofJob(parse(id, request.params.id)) });
  });

  router.post('/jobs/:id/links', (request, response) => {
    const jobId = parse(id, request.params.id);
    const { kind, days } = parse(makeBody, request.body);
    const made = oneGo.run((): LinkMade => {
      const { by, at } = actorOf(services, request);
      const job = jobs.job(jobId);
      if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
      if (kind === 'estimate' && job.estimates.length === 0)
        throw new HttpError('no-estimate', 'No estimate was made on this job yet.');
      const endsAt = new Date(Date.parse(at) + days * DAY_MS).toISOString();
      const { link, token } = access.links.make(kind, jobId, { by, at, endsAt });
      access.record.write('link-made', at, by, link.id, placeOf(request));
      return { link, path: `/for/${token}` };
    });
    response.status(201).json(made);
  });

  router.post('/links/:id/withdraw', (request, response) => {
    const linkId = parse(id, request.params.id);
    parse(withdrawBody, request.body);
    const found = oneGo.run(() => {
      const { by, at } = actorOf(services, request);
      const link = access.links.byId(linkId);
      if (link === null || !access.links.withdraw(linkId, by, at))
        throw new HttpError('no-such-link', 'There is no such link, or it was withdrawn already.');
      access.record.write('link-withdrawn', at, by, linkId, placeOf(request));
      return link;
    });
    response.json({ rows: access.links.ofJob(found.jobId) });
  });

  router.get('/for/:token', (request, response) => {
    const { link, job } = followed(request.params.token);
    oneGo.run(() => access.links.seen(link.id, now()));
    response.set('cache-control', 'no-store').json(told(link, job));
  });

  router.get('/for/:token/sheet.pdf', async (request, response) => {
    const { link, job } = followed(request.params.token);
    if (link.kind !== 'sheet') throw goneLink();
    const pdf = await printing.sheet(job);
    response
      .type('application/pdf')
      .set('cache-control', 'no-store')
      .set('content-disposition', `inline; filename="job-${job.number}.pdf"`)
      .send(pdf);
  });

  router.post(
    '/for/:token/answer',
    fewTries(({ id: estimateId }) => estimateId),
    (request, response) => {
      const { id: estimateId, ...answer } = parse(customerAnswer, request.body);
      const { link, job } = followed(request.params.token);
      if (link.kind !== 'estimate') throw goneLink();
      const latest = job.estimates.at(-1);
      if (latest?.id !== estimateId)
        throw new HttpError('estimate-moved-on', 'The workshop has made another estimate since.', {
          wouldHelp: 'Read that one; nothing was answered yet.',
        });
      if (latest.answer !== null)
        throw new HttpError('answered-already', 'This estimate is answered already.', {
          wouldHelp: 'Call the workshop to say otherwise.',
        });
      oneGo.run(() => {
        // By whoever gave the link out: it is the workshop that writes down what the customer says.
        const stamp = { by: link.madeBy, at: now() };
        const data = { id: estimateId, ...answer, how: 'through the link' };
        takeOn(services, link.jobId, { type: 'answer-estimate', data }, stamp);
        access.record.write('link-answered', stamp.at, '', link.id, placeOf(request));
      });
      response.status(201).json(told(link, jobs.job(link.jobId) ?? job));
    },
  );

  /** @throws HttpError 410 for whatever a token leads to no more, the same for all */
  function followed(token: unknown): { readonly link: Followed; readonly job: Job } {
    const read = tokenParam.safeParse(token);
    const link = read.success ? access.links.follow(read.data, now()) : null;
    const job = link === null || link.kind === 'phone' ? null : jobs.job(link.jobId);
    if (link === null || job === null) throw goneLink();
    return { link, job };
  }

  function told(link: Followed, job: Job): ForCustomer {
    const { shopName, currency, timeZone } = settings.shop();
    const say = speaker(people.names(), currency, timeZone);
    const latest = job.estimates.at(-1);
    return {
      kind: link.kind === 'sheet' ? 'sheet' : 'estimate',
      shopName,
      currency,
      endsAt: link.endsAt,
      plate: job.vehicle.plate,
      title: sheetOf(job, say).title,
      estimate:
        link.kind !== 'estimate' || latest === undefined
          ? null
          : {
              ...estimateSheet(job, latest, say),
              id: latest.id,
              open: latest.answer === null && job.status === 'open',
              highMinor: latest.highMinor,
            },
      page: link.kind === 'sheet' ? sheetOf(job, say).customer : null,
    };
  }
  return router;
}

const goneLink = (): HttpError =>
  new HttpError('link-over', 'This link leads nowhere any more: it has ended, or the workshop has withdrawn it.', {
    wouldHelp: 'Ask the workshop for another one.',
  });
