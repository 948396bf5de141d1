import type { NodeAssessment } from '../nodes/node-assessment';
import type { Statement } from '../finding';
import type { Survey } from '../survey/survey';
import type { Phase } from '../survey/words/words';
import type { SupplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { clampReadings } from './measured/seen';
import { shown } from '../rules/rounding';

/** A clamp reading of one part of the supply that is more than everything listed there comes to. */
export function readingAgainstDemand(survey: Survey, tree: SupplyTree, nodes: readonly NodeAssessment[]): Statement[] {
  return clampReadings(survey).flatMap(({ id, value, nodeId, phase }): Statement[] => {
    const here = nodes.find((node) => node.id === nodeId);
    if (!here || here.id === tree.device?.node.id) return [];
    const demands = (Object.keys(here.before) as Phase[])
      .filter((line) => phase === undefined || line === phase)
      .map((line) => here.before[line]?.value ?? null);
    if (demands.includes(null) || demands.length === 0) return [];
    const mostA = Math.max(...demands.map((amperes) => amperes ?? 0));
    if (!exceeds(value, mostA)) return [];
    return [
      {
        id: 'reading-above-demand',
        grade: 'act',
        on: 'demand',
        station: 'loads',
        subjectId: id,
        title: `${here.label}: ${shown(value)} A was read there, and what is listed comes to ${shown(mostA)} A.`,
        remedy: 'Something that hangs there is missing from the list, or listed elsewhere: find it.',
        askOf: 'surveyor',
        field: 'readings.value',
      },
    ];
  });
}
