import { blankSurvey } from '../survey/blank';
import { below, supplyTree, towardsStreet } from './supply-tree';
import { nodeOf, placedOn, setsBelow } from './sets-below';

function split() {
  const survey = blankSurvey();
  survey.supply.nodes.push(
    { id: 'annexe', kind: 'board', fedFrom: 'isolator' },
    { id: 'feeder', kind: 'feeder', fedFrom: 'annexe' },
  );
  return supplyTree(survey);
}

describe('the supply tree', () => {
  it('is listed street first, each node before those it feeds', () => {
    const seen = new Set<string>();
    for (const { node, parent } of split().nodes) {
      expect(parent === null || seen.has(parent.node.id)).toBe(true);
      seen.add(node.id);
    }
    expect(seen.size).toBe(7);
  });

  it('is the same whatever order the survey lists its nodes in', () => {
    const survey = blankSurvey();
    survey.supply.nodes.reverse();
    expect(supplyTree(survey).nodes.map(({ node }) => node.id)).toEqual([
      'service',
      'cut-out',
      'meter',
      'isolator',
      'board',
    ]);
  });

  it('walks from a node to the street and to everything it feeds', () => {
    const tree = split();
    expect(towardsStreet(tree.byId.get('annexe') ?? null).map(({ node }) => node.id)).toEqual([
      'annexe',
      'isolator',
      'meter',
      'cut-out',
      'service',
    ]);
    const annexe = tree.byId.get('annexe');
    expect(annexe && below(annexe).map(({ node }) => node.id)).toEqual(['annexe', 'feeder']);
  });

  it('counts what nobody has placed where every board hangs from: one board, or the way to both', () => {
    expect(supplyTree(blankSurvey()).unplaced?.node.id).toBe('board');
    expect(split().unplaced?.node.id).toBe('isolator');
  });

  it('of a survey without nodes is empty, and nothing can be placed on it', () => {
    const survey = blankSurvey();
    survey.supply.nodes = [];
    const tree = supplyTree(survey);
    expect({ nodes: tree.nodes, root: tree.root, device: tree.device }).toEqual({
      nodes: [],
      root: null,
      device: null,
    });
    expect(nodeOf(tree, 'board')).toBeNull();
    expect(placedOn(tree, [{ nodeId: undefined }])).toEqual(new Map());
  });
});

describe('what hangs below each node', () => {
  const tree = split();
  const load = (id: string, nodeId?: string) => ({ id, nodeId });
  const sets = setsBelow(tree, placedOn(tree, [load('ring', 'board'), load('heater', 'feeder'), load('unplaced')]));
  const idsAt = (node: string) => (sets.get(node) ?? []).map(({ id }) => id).sort();

  it('is its own and all that its children carry', () => {
    expect(idsAt('feeder')).toEqual(['heater']);
    expect(idsAt('annexe')).toEqual(['heater']);
    expect(idsAt('board')).toEqual(['ring']);
    expect(idsAt('service')).toEqual(['heater', 'ring', 'unplaced']);
  });

  it('is the very same list along a chain that adds nothing', () => {
    expect(sets.get('meter')).toBe(sets.get('service'));
    expect(sets.get('annexe')).toBe(sets.get('feeder'));
  });
});
