import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

const require = createRequire(import.meta.url);
const font = (weight: 400 | 700): string =>
  require.resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );

// A4 in points, with room to hold the sheet and to punch it.
export const LEFT = 54;
export const WIDTH = 595.28 - LEFT - 42;
export const INK = '#20292B';
export const SOFT = '#55605F';
export const LINE = '#D8CDB9';
export const BOTTLE = '#1F4B43';

/** A document being written. */
export type Doc = InstanceType<typeof PDFDocument>;

/** An A4 document with the fonts that ship, and its bytes once it is ended. */
export function newPage(
  title: string,
  author: string,
  at: string,
): { readonly doc: Doc; readonly done: Promise<Buffer> } {
  const doc = new PDFDocument({
    size: 'A4',
    margins: { top: 48, bottom: 56, left: LEFT, right: 42 },
    bufferPages: true,
    info: { Title: title, Author: author, CreationDate: new Date(at) },
  });
  doc.registerFont('text', font(400)).registerFont('strong', font(700));
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  return { doc, done };
}

/** The shop in small, the vehicle in large, and a line under it. */
export function heading(doc: Doc, shop: string, title: string, subtitle: string): void {
  doc.font('strong').fontSize(9).fillColor(BOTTLE).text(shop, LEFT, 48);
  doc.font('strong').fontSize(20).fillColor(INK).text(title, LEFT, 64, { width: WIDTH });
  doc.font('text').fontSize(10.5).fillColor(SOFT).text(subtitle, { width: WIDTH });
  doc.moveDown(0.7);
}

/** A thin rule across. */
export function rule(doc: Doc): void {
  doc
    .moveTo(LEFT, doc.y)
    .lineTo(LEFT + WIDTH, doc.y)
    .lineWidth(0.7)
    .strokeColor(LINE)
    .stroke();
}
