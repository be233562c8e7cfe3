import type { Template } from '@north-leaf/core';
import { t } from '../../../platform/words';

export const papers = { A4: [210, 297], letter: [215.9, 279.4] } as const;
export type Paper = keyof typeof papers;

/** Printers leave so much of a page bare, mm. */
const MARGIN = 10;
/** Neighbouring pages show the same strip, to be laid over each other, mm. */
const OVERLAP = 10;
const FOOT = 12;
const PT = 72 / 25.4;

/** A template as an SVG of its true size, with a line of 100 mm to measure. */
export function templateSvg({ name, widthMm, lengthMm, cut, mark, count }: Template): string {
  const [w, h] = [Math.max(widthMm, 104) + 4, lengthMm + 4 + FOOT];
  const text = t('sheet.nameNumberWidthLengthMmTheLine', { name, number: count, width: widthMm.toFixed(1), length: lengthMm.toFixed(1) });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="-2 -2 ${w} ${h}" fill="none" stroke="black" stroke-width="0.3">`,
    `<title>${escaped(name)}</title>`,
    ...cut.map((d) => `<path d="${d}"/>`),
    ...mark.map((d) => `<path d="${d}" stroke-dasharray="2 1.5"/>`),
    `<text x="0" y="${lengthMm + 6}" font-family="sans-serif" font-size="3" fill="black" stroke="none">${escaped(text)}</text>`,
    `<path id="measure" d="M0 ${lengthMm + 9}H100M0 ${lengthMm + 7.5}v3M100 ${lengthMm + 7.5}v3"/>`,
    '</svg>',
  ].join('\n');
}

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** All templates at their true size, each on as many pages as it takes, with marks to lay the pages together by. */
export async function templatesPdf(templates: readonly Template[], paper: Paper): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, pushGraphicsState, popGraphicsState, rectangle, clip, endPath, rgb } = await import('pdf-lib');
  const pdf = await PDFDocument.create();
  pdf.setTitle('Templates, 1:1');
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const [pageW, pageH] = papers[paper];
  const [roomW, roomH] = [pageW - 2 * MARGIN, pageH - 2 * MARGIN - FOOT];
  const black = rgb(0, 0, 0);
  for (const { name, widthMm, lengthMm, cut, mark, count } of templates) {
    // A long strip lies along the page where it then takes fewer.
    const columns = tiles(widthMm, roomW);
    const rows = tiles(lengthMm, roomH);
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const page = pdf.addPage([pageW * PT, pageH * PT]);
        // The template's own corner, in points from the page's lower left one.
        const x = (MARGIN - column * (roomW - OVERLAP)) * PT;
        const y = (pageH - MARGIN + row * (roomH - OVERLAP)) * PT;
        page.pushOperators(pushGraphicsState(), rectangle(MARGIN * PT, (MARGIN + FOOT) * PT, roomW * PT, roomH * PT), clip(), endPath());
        for (const d of cut) page.drawSvgPath(d, { x, y, scale: PT, borderColor: black, borderWidth: 0.35 });
        for (const d of mark) page.drawSvgPath(d, { x, y, scale: PT, borderColor: black, borderWidth: 0.25, borderDashArray: [2, 1.5] });
        page.pushOperators(popGraphicsState());
        const line = (x1: number, y1: number, x2: number, y2: number, thickness = 0.6) =>
          page.drawLine({ start: { x: x1 * PT, y: y1 * PT }, end: { x: x2 * PT, y: y2 * PT }, thickness, color: black });
        for (const [cx, sx] of [
          [MARGIN, 1],
          [pageW - MARGIN, -1],
        ] as const) {
          // prettier-ignore
          for (const [cy, sy] of [[MARGIN + FOOT, 1], [pageH - MARGIN, -1]] as const) { // prettier-ignore
            line(cx, cy, cx + 5 * sx, cy, 0.4);
            line(cx, cy, cx, cy + 5 * sy, 0.4);
          }
        }
        line(MARGIN, MARGIN + 2, MARGIN + 100, MARGIN + 2);
        line(MARGIN, MARGIN + 0.5, MARGIN, MARGIN + 3.5);
        line(MARGIN + 100, MARGIN + 0.5, MARGIN + 100, MARGIN + 3.5);
        const where =
          columns * rows > 1
            ? t('sheet.pageRowOfRowsDownColumnOf', { row: row + 1, rows, column: column + 1, columns, overlap: OVERLAP })
            : '';
        page.drawText(
          t('sheet.nameXNumberWidthXLengthMm', { name, number: count, width: widthMm.toFixed(1), length: lengthMm.toFixed(1), where }),
          {
            x: MARGIN * PT,
            y: (MARGIN + 6) * PT,
            size: 8,
            font,
          },
        );
      }
    }
  }
  return pdf.save();
}

/** Pages that a length takes, each sharing a strip with the one before. */
const tiles = (lengthMm: number, roomMm: number): number =>
  lengthMm <= roomMm ? 1 : 1 + Math.ceil((lengthMm - roomMm) / (roomMm - OVERLAP) - 1e-9);
