import type { Report, ReportTable, Settings } from '../../contract/index.ts';
import { sayCell } from '../../core/report/index.ts';
import { speaker } from '../../core/sheet/index.ts';
import { BOTTLE, type Doc, heading, INK, LEFT, newPage, rule, SOFT, WIDTH } from './page.ts';

/** So many rows of a table are printed: one page is read, and the rest is in its CSV. */
const MOST_ROWS = 6;
const GAP = 18;
const COLUMN = (WIDTH - GAP) / 2;
/** Where the lower edge of the page is, pt. */
const FOOT = 790;

/** A month or a year of the shop on one A4 page: its figures, and the beginning of every table. */
export function printReport(report: Report, title: string, settings: Settings, now: string): Promise<Buffer> {
  const say = speaker(new Map(), settings.currency, settings.timeZone);
  const { doc, done } = newPage(`${settings.shopName}, ${title}`, settings.shopName, now);
  heading(doc, settings.shopName, title, `as of ${say.time(now)}`);
  const width = WIDTH / report.figures.length;
  const top = doc.y + 4;
  for (const [nth, { name, value, kind }] of report.figures.entries()) {
    const x = LEFT + nth * width;
    doc
      .font('strong')
      .fontSize(15)
      .fillColor(INK)
      .text(sayCell(kind, value, say.money), x, top, { width: width - 6 });
    doc
      .font('text')
      .fontSize(8.5)
      .fillColor(SOFT)
      .text(name, x, top + 20, { width: width - 6 });
  }
  doc.y = top + 42;
  rule(doc);
  // Two columns, filled one table after the other where there is more room.
  const columns = [doc.y + 8, doc.y + 8];
  for (const table of report.tables) {
    if (table.rows.length === 0) continue;
    const at = columns[0]! <= columns[1]! ? 0 : 1;
    const height = heightOf(table);
    const into = columns[at]! + height <= FOOT ? at : columns[1 - at]! + height <= FOOT ? 1 - at : null;
    if (into === null) continue;
    columns[into] = drawTable(doc, table, LEFT + into * (COLUMN + GAP), columns[into]!, say.money) + 12;
  }
  doc.end();
  return done;
}

const LINE_HEIGHT = 12.5;
const heightOf = ({ rows }: ReportTable): number =>
  34 + LINE_HEIGHT * (Math.min(rows.length, MOST_ROWS) + (rows.length > MOST_ROWS ? 1 : 0));

function drawTable(
  doc: Doc,
  { title, columns, rows }: ReportTable,
  x: number,
  y: number,
  money: (minor: number) => string,
): number {
  doc.font('strong').fontSize(10).fillColor(BOTTLE).text(title, x, y, { width: COLUMN, lineBreak: false });
  const texts = columns.filter(({ kind }) => kind === 'text').length;
  const figures = columns.length - texts;
  const figureWidth = figures === 0 ? 0 : Math.min(48, (COLUMN * 0.62) / figures);
  const textWidth = (COLUMN - figures * figureWidth) / Math.max(1, texts);
  const cell = (words: string, left: number, line: number, width: number, right: boolean): void => {
    doc.text(words, left, line, {
      width: width - 3,
      lineBreak: false,
      ellipsis: true,
      height: LINE_HEIGHT,
      align: right ? 'right' : 'left',
    });
  };
  const draw = (line: number, of: (column: ReportTable['columns'][number]) => string): void => {
    let left = x;
    for (const column of columns) {
      const width = column.kind === 'text' ? textWidth : figureWidth;
      cell(of(column), left, line, width, column.kind !== 'text');
      left += width;
    }
  };
  doc.font('text').fontSize(7.5).fillColor(SOFT);
  draw(y + 15, ({ name }) => name);
  let line = y + 27;
  doc.font('text').fontSize(8.5).fillColor(INK);
  for (const { cells } of rows.slice(0, MOST_ROWS)) {
    draw(line, ({ id, kind }) => sayCell(kind, cells[id] ?? null, money));
    line += LINE_HEIGHT;
  }
  if (rows.length > MOST_ROWS) {
    doc
      .fillColor(SOFT)
      .text(`and ${rows.length - MOST_ROWS} more, in the CSV`, x, line, { width: COLUMN, lineBreak: false });
    line += LINE_HEIGHT;
  }
  return line;
}
