import type { Settings } from '../../contract/index.ts';
import { type Job, MARK_STROKES, sheetOf } from '../../core/job/index.ts';
import { type LivePicture, printLive } from './livePicture.ts';
import type { PrintedWords } from './markedPicture.ts';
import type { PicturePair } from './picturePairs.ts';
import { BOTTLE, type Doc, heading, INK, LEFT, LINE, newPage, rule, SOFT, WIDTH } from './page.ts';
import { type CustomerPage, type SheetRow, type SheetSection, speaker } from '../../core/sheet/index.ts';

const LABEL_WIDTH = 150;
const GUTTER = 18;

/** The record of a job as an A4 PDF with searchable text. */
export function printSheet(
  job: Job,
  people: ReadonlyMap<string, string>,
  settings: Settings,
  pairs: readonly PicturePair[],
  live: LivePicture | null = null,
): Promise<Buffer> {
  const sheet = sheetOf(job, speaker(people, settings.currency, settings.timeZone));
  const { doc, done } = newPage(`Job ${job.number}, ${sheet.plate}`, settings.shopName, job.lastAt);
  heading(doc, settings.shopName, `${sheet.plate}   ${sheet.title}`, sheet.subtitle);
  printCustomer(doc, sheet.customer);
  doc.addPage();
  doc.font('strong').fontSize(13).fillColor(BOTTLE).text('The full record', LEFT, doc.y, { width: WIDTH });
  doc.moveDown(0.4);
  rows(doc, sheet.identity, 2);
  for (const section of sheet.sections) printSection(doc, section);
  if (live !== null) printLive(doc, live);
  printPictures(doc, pairs);
  doc.moveDown(1).font('text').fontSize(8.5).fillColor(SOFT).text(sheet.closing, LEFT, doc.y, { width: WIDTH });
  numberPages(doc, `${settings.shopName} · job ${job.number} · ${sheet.plate}`);
  doc.end();
  return done;
}

/** The first page, for the customer: sentences, the sum, and lines to sign on. */
function printCustomer(doc: Doc, { wrong, done, cost, watch, gaps, signs }: CustomerPage): void {
  const part = (title: string, sentences: readonly string[], none: string): void => {
    doc.moveDown(0.7).font('strong').fontSize(11.5).fillColor(BOTTLE).text(title, LEFT, doc.y, { width: WIDTH });
    doc.moveDown(0.15).font('text').fontSize(10.5).fillColor(INK);
    for (const words of sentences.length === 0 ? [none] : sentences) {
      if (doc.y > doc.page.height - doc.page.margins.bottom - 20) doc.addPage();
      doc.text(words, LEFT, doc.y, { width: WIDTH }).moveDown(0.1);
    }
  };
  part('What was wrong', wrong, 'Nothing was said.');
  part('What was done', done, 'Nothing is recorded as done.');
  part('What it cost', [], cost.length === 0 ? 'Not worked out yet: the vehicle is not handed over.' : '');
  rows(doc, cost);
  part('What to watch, and when to come again', watch, 'Nothing in particular.');
  if (gaps.length > 0) part('Not in the record', gaps, '');
  if (doc.y > doc.page.height - doc.page.margins.bottom - 70) doc.addPage();
  const top = doc.page.height - doc.page.margins.bottom - 34;
  const width = (WIDTH - (signs.length - 1) * GUTTER * 2) / signs.length;
  for (const [index, who] of signs.entries()) {
    const left = LEFT + index * (width + GUTTER * 2);
    doc
      .moveTo(left, top)
      .lineTo(left + width, top)
      .lineWidth(0.7)
      .strokeColor(INK)
      .stroke();
    doc
      .font('text')
      .fontSize(8.5)
      .fillColor(SOFT)
      .text(`${who}, day and name`, left, top + 4, { width });
  }
  doc.x = LEFT;
}

function printSection(doc: Doc, { title, rows: lines, empty, dense }: SheetSection): void {
  // A title never stands alone at the foot of a page.
  if (doc.y > doc.page.height - 130) doc.addPage();
  doc.moveDown(0.8);
  rule(doc);
  doc.moveDown(0.4).font('strong').fontSize(11.5).fillColor(BOTTLE).text(title, LEFT, doc.y, { width: WIDTH });
  doc.moveDown(0.25);
  if (lines.length === 0) doc.font('text').fontSize(9.5).fillColor(SOFT).text(empty, LEFT, doc.y, { width: WIDTH });
  rows(doc, lines, dense === true ? 2 : 1);
}

/** Before beside after, the same size. */
function printPictures(doc: Doc, pairs: readonly PicturePair[]): void {
  const width = (WIDTH - 14) / 2;
  const height = width * 0.75;
  for (const { subject, before, after } of pairs) {
    if (doc.y + height + 44 > doc.page.height - doc.page.margins.bottom) doc.addPage();
    doc
      .moveDown(0.8)
      .font('strong')
      .fontSize(9.5)
      .fillColor(BOTTLE)
      .text(`${subject}, before and after`, LEFT, doc.y, { width: WIDTH });
    const top = doc.y + 4;
    for (const [index, picture] of [before, after].entries()) {
      const x = LEFT + index * (width + 14);
      doc.rect(x, top, width, height).lineWidth(0.7).strokeColor(LINE).stroke();
      if (picture === null) continue;
      if ('gap' in picture) {
        doc
          .font('text')
          .fontSize(9.5)
          .fillColor(SOFT)
          .text(picture.gap, x + 12, top + height / 2 - 12, { width: width - 24, align: 'center' });
        continue;
      }
      doc.image(picture.jpeg, x, top, { width, height });
      for (const words of picture.words) printWords(doc, words, [x, top, width, height]);
    }
    doc.x = LEFT;
    doc.y = top + height + 4;
  }
}

/** Words on a picture: light with a dark edge, as on the screen. */
function printWords(
  doc: Doc,
  { text, x, y, size }: PrintedWords,
  [left, top, width, height]: readonly [number, number, number, number],
): void {
  const [under, over] = MARK_STROKES;
  doc.font('strong').fontSize(size * width);
  const at = left + x * width;
  const options = { lineBreak: false, baseline: 'alphabetic' as const };
  doc
    .lineWidth(size * width * 0.2)
    .strokeColor(under.colour)
    .fillColor(under.colour);
  doc.text(text, at, top + y * height, { ...options, stroke: true, fill: true });
  doc.fillColor(over.colour).text(text, at, top + y * height, options);
}

/** Rows of label and value, read across when there are two columns. */
function rows(doc: Doc, lines: readonly SheetRow[], columns: 1 | 2 = 1): void {
  const width = (WIDTH - (columns - 1) * GUTTER) / columns;
  const labelWidth = LABEL_WIDTH * (columns === 1 ? 1 : 0.72);
  const valueWidth = width - labelWidth - 10;
  const heightOf = ({ label, value, note }: SheetRow): number => {
    doc.font('text').fontSize(9.5);
    return Math.max(
      doc.heightOfString(label, { width: labelWidth }),
      doc.heightOfString(note === '' ? value : `${value}\n${note}`, { width: valueWidth }),
    );
  };
  for (let at = 0; at < lines.length; at += columns) {
    const across = lines.slice(at, at + columns);
    const height = Math.max(...across.map(heightOf)) + 3;
    if (doc.y + height > doc.page.height - doc.page.margins.bottom) doc.addPage();
    const top = doc.y;
    let bottom = top + height;
    for (const [column, { label, value, note }] of across.entries()) {
      const left = LEFT + column * (width + GUTTER);
      const valueLeft = left + labelWidth + 10;
      doc.fontSize(9.5).fillColor(SOFT).text(label, left, top, { width: labelWidth });
      doc.fillColor(INK).text(value, valueLeft, top, { width: valueWidth });
      if (note !== '') doc.fillColor(SOFT).fontSize(8.5).text(note, valueLeft, doc.y, { width: valueWidth });
      bottom = Math.max(bottom, doc.y + 2);
    }
    doc.y = bottom;
    doc.x = LEFT;
  }
}

function numberPages(doc: Doc, words: string): void {
  const { start, count } = doc.bufferedPageRange();
  for (let page = start; page < start + count; page += 1) {
    doc.switchToPage(page);
    // Writing below the margin would otherwise open a new page.
    doc.page.margins.bottom = 0;
    doc
      .font('text')
      .fontSize(8)
      .fillColor(SOFT)
      .text(`${words} · page ${page - start + 1} of ${count}`, LEFT, doc.page.height - 36, {
        width: WIDTH,
        lineBreak: false,
      });
  }
}
