import type { Fault } from './plain';
import type { Survey } from '../survey';

/** Faults between parts of a survey whose fields are each well-formed: repeated ids, links to nowhere, circles. */
export function linkFaults(survey: Survey): Fault[] {
  const nodeIds = new Set(survey.supply.nodes.map((node) => node.id));
  return [
    ...repeatedIds('$.supply.nodes', survey.supply.nodes),
    ...repeatedIds('$.loads', survey.loads),
    ...repeatedIds('$.proposals', survey.proposals),
    ...repeatedIds('$.generation', survey.generation ?? []),
    ...repeatedIds('$.trials', survey.trials ?? []),
    ...repeatedIds('$.intake.faults', survey.intake.faults),
    ...repeatedIds('$.readings', survey.readings),
    ...repeatedIds('$.photos', survey.photos),
    ...repeatedIds('$.measurements', survey.measurements),
    ...survey.measurements.flatMap(({ phases }, index) => repeatedIds(`$.measurements[${index}].phases`, phases)),
    ...repeatedIds('$.intake.looks', survey.intake.looks ?? []),
    ...repeatedIds('$.intake.loop.signs', survey.intake.loop.signs ?? []),
    ...repeatedIds('$.earthing.signs', survey.earthing.signs ?? []),
    ...repeatedIds('$.earthing.services', survey.earthing.services ?? []),
    ...survey.proposals.flatMap(({ circuit }, index) =>
      repeatedIds(`$.proposals[${index}].circuit.segments`, circuit?.segments ?? []),
    ),
    ...survey.supply.nodes.flatMap(({ checks }, index) =>
      checks ? repeatedIds(`$.supply.nodes[${index}].checks`, checks) : [],
    ),
    ...survey.photos.flatMap(({ marks }, index) => (marks ? repeatedIds(`$.photos[${index}].marks`, marks) : [])),
    ...sharedIds(survey),
    ...treeFaults(survey, nodeIds),
    ...survey.loads.flatMap((load, index) => [
      ...danglingFault(`$.loads[${index}].nodeId`, load.nodeId, nodeIds),
      ...sizeFaults(`$.loads[${index}]`, load),
    ]),
    ...survey.readings.flatMap(({ nodeId }, index) => danglingFault(`$.readings[${index}].nodeId`, nodeId, nodeIds)),
    // A reading of equipment that has gone stays a reading: nothing measured is thrown away with it.
    ...(survey.generation ?? []).flatMap(({ nodeId }, index) =>
      danglingFault(`$.generation[${index}].nodeId`, nodeId, nodeIds),
    ),
    ...survey.proposals.flatMap((proposal, index) => [
      ...danglingFault(`$.proposals[${index}].nodeId`, proposal.nodeId, nodeIds),
      ...danglingFault(`$.proposals[${index}].limiter.clampNodeId`, proposal.limiter.clampNodeId, nodeIds),
      ...repeatedIds(`$.proposals[${index}].limiter.test.overLink`, proposal.limiter.test?.overLink ?? []),
      ...repeatedIds(`$.proposals[${index}].limiter.moreClamps`, proposal.limiter.moreClamps ?? []),
      ...(proposal.limiter.moreClamps ?? []).flatMap(({ nodeId }, at) =>
        danglingFault(`$.proposals[${index}].limiter.moreClamps[${at}].nodeId`, nodeId, nodeIds),
      ),
    ]),
  ];
}

function repeatedIds(path: string, items: readonly { id: string }[]): Fault[] {
  const seen = new Set<string>();
  return items.flatMap(({ id }, index) => {
    if (seen.has(id))
      return [{ path: `${path}[${index}].id`, wrong: `"${id}" is used twice`, expected: 'an id of its own' }];
    seen.add(id);
    return [];
  });
}

/** Loads and new equipment are added up together, so no id may stand for one of each. */
function sharedIds({ loads, proposals }: Survey): Fault[] {
  const taken = new Set(loads.map(({ id }) => id));
  return proposals.flatMap(({ id }, index) =>
    taken.has(id)
      ? [{ path: `$.proposals[${index}].id`, wrong: `"${id}" is also a load's`, expected: 'an id of its own' }]
      : [],
  );
}

function danglingFault(path: string, id: string | undefined, known: ReadonlySet<string>): Fault[] {
  if (id === undefined || known.has(id)) return [];
  return [{ path, wrong: `"${id}" is not a node of the supply`, expected: 'the id of a node in $.supply.nodes' }];
}

/** One node is nearest the street and feeds, through however many others, all the rest. */
function treeFaults(survey: Survey, known: ReadonlySet<string>): Fault[] {
  const { nodes } = survey.supply;
  const feeder = new Map(nodes.map((node) => [node.id, node.fedFrom]));
  let roots = 0;
  return nodes.flatMap((node, index) => {
    const path = `$.supply.nodes[${index}].fedFrom`;
    if (node.fedFrom === undefined) {
      roots += 1;
      return roots > 1
        ? [
            {
              path,
              wrong: 'is missing on a second node',
              expected: 'only one node without a feeder, nearest the street',
            },
          ]
        : [];
    }
    if (!known.has(node.fedFrom)) return danglingFault(path, node.fedFrom, known);
    return circles(node.id, feeder)
      ? [{ path, wrong: 'leads round in a circle', expected: 'a way back to the street' }]
      : [];
  });
}

function circles(start: string, feeder: ReadonlyMap<string, string | undefined>): boolean {
  const seen = new Set<string>();
  for (let at: string | undefined = start; at !== undefined; at = feeder.get(at)) {
    if (seen.has(at)) return true;
    seen.add(at);
  }
  return false;
}

function sizeFaults(path: string, load: { powerW?: number; currentA?: number; apparentVA?: number }): Fault[] {
  const given = (['powerW', 'currentA', 'apparentVA'] as const).filter((key) => load[key] !== undefined);
  if (given.length < 2) return [];
  return [
    {
      path: `${path}.${given[1] ?? ''}`,
      wrong: `is given as well as ${given[0] ?? ''}`,
      expected: 'one of powerW, currentA and apparentVA',
    },
  ];
}
