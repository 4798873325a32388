import { Router } from 'express';
import type { Services } from '../services.ts';
import { bayAt } from '../store/bay.ts';

/** The Bay: open jobs with the day's stretches, and what they want. */
export function bayRoutes({
  jobs,
  jobLines,
  settings,
  now,
}: Pick<Services, 'jobs' | 'jobLines' | 'settings' | 'now'>): Router {
  const router = Router();
  router.get('/bay', (_request, response) => {
    const place = { timeZone: settings.timeZone(), calendar: settings.calendar() };
    response.json(bayAt(now(), jobs, jobLines, place));
  });
  // How many open jobs want each part that they do not have in hand yet.
  router.get('/wanted', (_request, response) => {
    response.json({ rows: jobLines.wanted(), next: null });
  });
  return router;
}
