import { diff, type Value } from '@keen-gauge/core/record/changes';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { onShape } from '@keen-gauge/core/tree/edit';
import { STARTING_SHAPES } from '@keen-gauge/core/tree/shapes';
import { makeJob, openPage } from './browser';
import { quantile, report } from './report';

/** Six flats beside a landlord supply: 40 nodes, 200 loads, a charger. */
function sixFlats(blank: Survey): Survey {
  const shape = STARTING_SHAPES.find(({ id }) => id === 'landlord-and-flats');
  const survey = onShape(blank, shape?.nodes ?? [], 3);
  for (let at = survey.supply.nodes.length; at < 40; at += 1)
    survey.supply.nodes.push({ id: `way-${at}`, kind: 'device', fedFrom: `flat-${(at % 6) + 1}-board` });
  survey.supply.nodes.forEach((node) => (node.ratingA ??= node.kind === 'device' ? 32 : 100));
  const boards = survey.supply.nodes.filter(({ kind }) => kind === 'board' || kind === 'device');
  const usual = STARTING_SETS[2]?.loads ?? [];
  for (let at = 0; at < 200; at += 1) {
    const [load, board] = [usual[at % usual.length], boards[at % boards.length]];
    if (load && board) survey.loads.push({ ...load, id: `load-${at}`, nodeId: board.id });
  }
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, nodeId: 'board', limiter: {} }];
  return survey;
}

/** From a key pressed in a node's rating to the next painted frame, with everything reckoned and drawn anew. */
export async function benchLineup(base: string): Promise<void> {
  const { page, close } = await openPage(base);
  try {
    const jobId = await makeJob(page, 'Bench flats');
    const head = (await (await page.request.get(`/api/jobs/${jobId}/survey`)).json()) as {
      survey: Survey;
      revisionId: string;
    };
    const changes = diff(head.survey as unknown as Value, sixFlats(head.survey) as unknown as Value);
    const saved = await page.request.post(`/api/jobs/${jobId}/survey/revisions`, {
      data: { id: crypto.randomUUID(), parentId: head.revisionId, changes },
    });
    if (!saved.ok()) throw new Error(`saving answered ${saved.status()}: ${await saved.text()}`);
    await page.goto(`/jobs/${jobId}/line-up`);
    await page.getByRole('option', { name: /^Landlord board,/ }).click();
    const rating = page.getByLabel('Main switch rating', { exact: true });
    await rating.waitFor();
    const times = await rating.evaluate(async (element) => {
      const field = element as HTMLInputElement;
      const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
      const found: number[] = [];
      for (let at = 0; at < 60; at += 1) {
        await new Promise((resolve) => setTimeout(resolve, 60));
        const start = performance.now();
        put?.set?.call(field, String(60 + (at % 40)));
        field.dispatchEvent(new Event('input', { bubbles: true }));
        // The frame after the one that carries the change has it on the screen.
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
        found.push(performance.now() - start);
      }
      return found.slice(10);
    });
    report('line-up, 6 flats, 40 nodes, 200 loads: edit to repaint, median', quantile(times, 0.5), 'ms', 50);
    report('  the same, 95th percentile', quantile(times, 0.95), 'ms', 50);
  } finally {
    await close();
  }
}
