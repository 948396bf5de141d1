import type { PackContent } from '@keen-gauge/core/pack/compose';
import { frontOf } from '@keen-gauge/core/pack/front';
import { drawLineupInto } from './lineup';
import { WIDTH, type Page } from './page';

/** Letters of a name, and of what is said: two lines each where there are few lines, one where there are many. All of it stands behind this page. */
const FEW_LINES = 20;
const ROOMY = { name: 50, said: 140 } as const;
const TIGHT = { name: 26, said: 72 } as const;

const inShort = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, most).replace(/\s+\S*$/, '')} …`;

/** The case on one page: what has to be known to decide it, and the supply drawn where there is room left to read it. */
export function frontOn(page: Page, { sections, lineup }: PackContent): void {
  const parts = frontOf(sections);
  const most = parts.flatMap(({ rows }) => rows).length > FEW_LINES ? TIGHT : ROOMY;
  for (const { title, rows } of parts) {
    page.heading(2, title);
    page.table(
      rows.map(({ label: name, value, note }) => [
        { text: inShort(name, most.name), style: { quiet: true, size: 9 } },
        { text: inShort(note ? `${value} (${note})` : value, most.said), style: { face: 'bold' as const, size: 9 } },
      ]),
      [WIDTH * 0.28, WIDTH * 0.72],
      1.2,
    );
  }
  if (lineup.rows.length > 0) drawLineupInto(page, lineup);
  page.next();
}
