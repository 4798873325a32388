import { Router } from 'express';
import { z } from 'zod';
import { behindQuery, reportPeriod } from '../../contract/index.ts';
import { reportCsv } from '../report/reportCsv.ts';
import { printReport } from '../report/reportPdf.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const tableParam = z.string().regex(/^[a-z]{1,40}\.csv$/, 'Expected the name of a table and .csv.');

/** A month or a year of the shop: on the screen, on A4, and every table of it as CSV. */
export function reportRoutes({ reports, settings, now }: Services): Router {
  const router = Router();
  router.get('/reports/:period', (request, response) => {
    response.json(reports.of(parse(reportPeriod, request.params.period)));
  });
  router.get('/reports/:period/behind', (request, response) => {
    const period = parse(reportPeriod, request.params.period);
    const { table, row } = parse(behindQuery, request.query);
    const rows = reports.behind(period, table, row);
    if (rows === null) throw new HttpError('not-found', 'There is no such table.');
    response.json({ rows });
  });
  router.get('/reports/:period/sheet.pdf', async (request, response) => {
    const period = parse(reportPeriod, request.params.period);
    const pdf = await printReport(reports.of(period), period, settings.shop(), now());
    response.type('application/pdf').set('content-disposition', `inline; filename="${period}.pdf"`).send(pdf);
  });
  router.get('/reports/:period/tables/:table', (request, response) => {
    const period = parse(reportPeriod, request.params.period);
    const name = parse(tableParam, request.params.table).slice(0, -'.csv'.length);
    const table = reports.table(period, name);
    if (table === null) throw new HttpError('not-found', 'There is no such table.');
    response
      .type('text/csv; charset=utf-8')
      .set('content-disposition', `attachment; filename="${period}-${name}.csv"`)
      .send(reportCsv(table, settings.shop().currency));
  });
  return router;
}
