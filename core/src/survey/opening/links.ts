import type { Fault } from './plain';
import { fieldsOf, type FieldSpec, type Model } from '../schema/field-spec';
import { Survey } from '../survey';

/** Faults between parts of a survey whose fields are each well-formed: repeated ids, links to nowhere, circles. */
export function linkFaults(survey: Survey): Fault[] {
  const nodeIds = new Set(survey.supply.nodes.map((node) => node.id));
  return [
    ...faultsWithin(Survey, survey, '$', { 'supply.nodes': nodeIds }),
    ...sharedIds(survey),
    ...treeFaults(survey, nodeIds),
    ...survey.loads.flatMap((load, index) => sizeFaults(`$.loads[${index}]`, load)),
  ];
}

/** Ids given twice in any list of a part, and references to members that are not there, by what the models say of each field. */
function faultsWithin(model: Model, part: object, path: string, known: Known): Fault[] {
  return linkedFields(model).flatMap(([name, spec]) => {
    const held = (part as Readonly<Record<string, unknown>>)[name];
    const at = `${path}.${name}`;
    if (held === undefined) return [];
    if (spec.kind === 'reference')
      return danglingFault(at, held as string, spec.to === undefined ? undefined : known[spec.to]);
    if (spec.kind === 'part') return faultsWithin(spec.of(), held as object, at, known);
    if (spec.kind !== 'list') return [];
    const members = held as readonly { readonly id: string }[];
    return [
      ...repeatedIds(at, members),
      ...members.flatMap((member, index) => faultsWithin(spec.of(), member, `${at}[${index}]`, known)),
    ];
  });
}

type Known = Readonly<Record<string, ReadonlySet<string>>>;

const LINKED = new Map<Model, readonly (readonly [string, FieldSpec])[]>();

/** The fields of a model that links can be wrong in: references, lists, and parts with any of them. */
function linkedFields(model: Model): readonly (readonly [string, FieldSpec])[] {
  const known = LINKED.get(model);
  if (known) return known;
  const found = [...fieldsOf(model)].filter(([, spec]) =>
    spec.kind === 'part'
      ? linkedFields(spec.of()).length > 0
      : spec.kind === 'list' || (spec.kind === 'reference' && spec.to !== undefined),
  );
  LINKED.set(model, found);
  return found;
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

function danglingFault(path: string, id: string, known: ReadonlySet<string> | undefined): Fault[] {
  if (known === undefined || known.has(id)) return [];
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
    // A feeder that is not there is told with the other references.
    if (!known.has(node.fedFrom)) return [];
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
