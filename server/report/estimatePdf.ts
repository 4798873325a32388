import type { Settings } from '../../contract/index.ts';
import { type Estimate, estimateSheet, type Job } from '../../core/job/index.ts';
import { speaker } from '../../core/sheet/index.ts';
import { heading, INK, LEFT, newPage, rule, SOFT, WIDTH } from './page.ts';

const MONEY_WIDTH = 110;

/** The estimate as one A4 page, with room for the owner's name. */
export function printEstimate(
  job: Job,
  estimate: Estimate,
  people: ReadonlyMap<string, string>,
  settings: Settings,
): Promise<Buffer> {
  const sheet = estimateSheet(job, estimate, speaker(people, estimate.currency, settings.timeZone));
  const { doc, done } = newPage(`Estimate, job ${job.number}, ${job.vehicle.plate}`, settings.shopName, estimate.at);
  heading(doc, settings.shopName, sheet.title, sheet.subtitle);
  doc.moveDown(0.6).font('strong').fontSize(16).fillColor(INK).text('Estimate', LEFT, doc.y);
  doc.moveDown(0.3).font('text').fontSize(11).text(sheet.finding, { width: WIDTH, lineGap: 2 });
  doc.moveDown(1);
  for (const { words, money } of sheet.lines) {
    rule(doc);
    doc.moveDown(0.4);
    const top = doc.y;
    doc
      .font('text')
      .fontSize(11)
      .fillColor(INK)
      .text(words, LEFT, top, { width: WIDTH - MONEY_WIDTH - 10 });
    const below = doc.y;
    doc.font('strong').text(money, LEFT + WIDTH - MONEY_WIDTH, top, { width: MONEY_WIDTH, align: 'right' });
    doc.y = Math.max(below, doc.y);
    doc.moveDown(0.4);
  }
  rule(doc);
  doc
    .moveDown(0.6)
    .font('strong')
    .fontSize(15)
    .fillColor(INK)
    .text(`Between ${sheet.range.replace(' to ', ' and ')}`, LEFT, doc.y, { width: WIDTH, align: 'right' });
  if (sheet.note !== '') doc.moveDown(0.6).font('text').fontSize(11).text(sheet.note, LEFT, doc.y, { width: WIDTH });
  doc.moveDown(0.8).font('strong').fontSize(11).text(sheet.answer, LEFT, doc.y, { width: WIDTH });
  doc.moveDown(0.8).font('text').fontSize(9).fillColor(SOFT).text(sheet.terms, LEFT, doc.y, { width: WIDTH });
  doc.y = doc.page.height - 130;
  rule(doc);
  doc
    .moveDown(0.4)
    .font('text')
    .fontSize(9)
    .text('Date, and the name of whoever approves', LEFT, doc.y, { width: WIDTH });
  doc.end();
  return done;
}
