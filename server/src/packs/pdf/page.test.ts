import { fc } from '@keen-gauge/core/testing/laws';
import { Page, WIDTH } from './page';

/** A page whose text is noted with the page it came on, in the order it is written. */
function noted(): { page: Page; written: { on: number; text: string }[] } {
  const page = new Page({ title: 'x', author: 'x', subject: 'x', at: '2026-11-27T09:00:00Z' });
  const written: { on: number; text: string }[] = [];
  const text = page.doc.text.bind(page.doc) as (...given: unknown[]) => typeof page.doc;
  page.doc.text = (...given: unknown[]) => {
    written.push({ on: page.doc.bufferedPageRange().count, text: String(given[0]) });
    return text(...given);
  };
  return { page, written };
}

const part = fc.record({
  lines: fc.integer({ min: 1, max: 9 }),
  as: fc.constantFrom('paragraph', 'table', 'drawn' as const),
});

describe('a page that is written from the top down', () => {
  it('has no heading at its foot: what it heads begins on the same page', () => {
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 25 }), (parts) => {
        const { page, written } = noted();
        parts.forEach(({ lines, as }, at) => {
          page.heading(2, `Heading ${at}`);
          const body = `Body ${at} ${'words and more words '.repeat(lines * 5)}`;
          if (as === 'paragraph') page.paragraph(body);
          if (as === 'table') page.table([[{ text: body }, { text: 'b' }]], [WIDTH * 0.5, WIDTH * 0.5]);
          if (as === 'drawn')
            page.drawn(lines * 60, 'a picture', (doc) => {
              doc.text(`Body ${at}`, 0, 0);
            });
        });
        parts.forEach((_each, at) => {
          const heading = written.find(({ text }) => text === `Heading ${at}`);
          const body = written.find(({ text }) => text.startsWith(`Body ${at}`));
          expect([at, body?.on]).toEqual([at, heading?.on]);
        });
      }),
      { numRuns: 25 },
    );
  });

  it('writes a heading that nothing follows all the same', async () => {
    const { page, written } = noted();
    page.heading(2, 'The last');
    await page.finish((at, of) => `page ${at} of ${of}`);
    expect(written.map(({ text }) => text)).toEqual(['The last', 'page 1 of 1']);
  });
});
