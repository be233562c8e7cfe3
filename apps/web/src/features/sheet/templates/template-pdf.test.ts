/** @jest-environment node */
import { inflateSync } from 'node:zlib';
import type { Template } from '@north-leaf/core';
import { papers, templatesPdf, templateSvg } from './template-pdf';

const strip: Template = { name: 'Side strip', widthMm: 30, lengthMm: 356, cut: ['M0 0L30 0L30 356L0 356Z'], mark: [], count: 2 };
const disc: Template = {
  name: 'Lining',
  widthMm: 297,
  lengthMm: 297,
  cut: ['M0 148.5A148.5 148.5 0 1 0 297 148.5A148.5 148.5 0 1 0 0 148.5Z'],
  mark: [],
  count: 1,
};
const pagesOf = (pdf: Uint8Array): string[] =>
  [
    ...Buffer.from(pdf)
      .toString('latin1')
      .matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g),
  ]
    .map(([, body]) => {
      try {
        return inflateSync(Buffer.from(body!, 'latin1')).toString('latin1');
      } catch {
        return body!;
      }
    })
    .filter((content) => content.includes(' cm'));

describe('templates on paper', () => {
  it.each(Object.entries(papers))('%s pages share a strip and cover the whole pattern', async (paper, [w, h]) => {
    const room = [w - 20, h - 32] as const;
    const across = 1 + Math.ceil((297 - room[0]) / (room[0] - 10));
    const down = 1 + Math.ceil((297 - room[1]) / (room[1] - 10));
    expect(pagesOf(await templatesPdf([disc], paper as keyof typeof papers))).toHaveLength(across * down);
    expect((across - 1) * (room[0] - 10) + room[0]).toBeGreaterThanOrEqual(297);
    expect((down - 1) * (room[1] - 10) + room[1]).toBeGreaterThanOrEqual(297);
  });

  it('a strip longer than the page goes on where the first page ended, less what they share', async () => {
    const pages = pagesOf(await templatesPdf([strip], 'A4'));
    expect(pages).toHaveLength(2);
    const origins = pages.map((content) => Number(/1 0 0 1 [\d.]+ ([\d.]+) cm/.exec(content)![1]));
    // One page further down: 297 - 32 - 10 mm of new pattern, in points of 1/72 in (ISO 32000).
    expect((origins[1]! - origins[0]!) / (72 / 25.4)).toBeCloseTo(297 - 32 - 10, 2);
  });

  it('every page carries a line of 100.0 mm', async () => {
    for (const content of pagesOf(await templatesPdf([strip, disc], 'letter'))) {
      const lengths = [...content.matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)].map(
        (m) => Math.abs(Number(m[3]) - Number(m[1])) / (72 / 25.4),
      );
      expect(lengths.filter((mm) => Math.abs(mm - 100) < 0.01)).toHaveLength(1);
    }
  });

  it('an SVG is as large as it says, and a name cannot break out of it', () => {
    const svg = templateSvg({ ...strip, name: 'Strip <b>&' });
    expect(svg).toContain('width="108mm"');
    expect(svg).toContain('viewBox="-2 -2 108 372"');
    expect(svg).not.toContain('<b>');
  });
});
