import { Router } from 'express';
import { z } from 'zod';
import { id } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { parse } from './parse.ts';

const bayQuery = z.strictObject({ job: id.optional() });

/** The Bay: open jobs with the day's stretches, and what they want. */
export function bayRoutes({
  bay,
  jobLines,
  settings,
  now,
}: Pick<Services, 'bay' | 'jobLines' | 'settings' | 'now'>): Router {
  const router = Router();
  // Of one job when it is named: no line when it is not open.
  router.get('/bay', (request, response) => {
    const { job } = parse(bayQuery, request.query);
    const place = { timeZone: settings.timeZone(), calendar: settings.read('calendar') };
    response.json({ now: now(), lines: bay.lines(now(), place, job) });
  });
  // How many open jobs want each part that they do not have in hand yet, and how many have something off.
  router.get('/wanted', (_request, response) => {
    response.json({ rows: jobLines.wanted(), next: null, opened: jobLines.opened() });
  });
  return router;
}
