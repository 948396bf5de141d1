import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { STARTING_SETS } from '../demand/starting-sets';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import { plainSurvey, readSurvey } from '../survey/opening/read';
import type { Survey } from '../survey/survey';
import { NODE_KINDS } from '../survey/words/words';
import { addBelow, canRemove, insertAbove, moveTo, onShape, placesFor, removeNode, splitInto } from './edit';
import { STARTING_SHAPES } from './shapes';
import { supplyTree } from './supply-tree';

function home(): Survey {
  const survey = blankSurvey();
  survey.loads = (STARTING_SETS[1]?.loads ?? []).map((load, at) => ({
    ...load,
    ...(at % 2 ? { nodeId: 'board' } : {}),
  }));
  survey.proposals = [
    {
      id: 'car',
      kind: 'vehicle-charger',
      ratedA: 32,
      nodeId: 'board',
      limiter: { kind: 'clamp', clampNodeId: 'meter' },
    },
  ];
  survey.pool = { outlets: [{ id: 'bay', ownNodeId: 'isolator' }], nodeId: 'board', clampNodeId: 'meter' };
  survey.site = { supplies: [{ id: 'own', nodeId: 'meter', whose: 'landlord' }] };
  survey.supply.deviceId = 'cut-out';
  survey.readings = [{ id: 'ze', kind: 'loop-impedance-external', value: 0.2, nodeId: 'board' }];
  return survey;
}

const way = (survey: Survey, id: string): string[] => {
  const ids: string[] = [];
  for (let at = supplyTree(survey).byId.get(id) ?? null; at; at = at.parent) ids.push(at.node.id);
  return ids;
};

describe('editing the supply tree', () => {
  it('adds below, and puts in before', () => {
    const added = addBelow(home(), 'board', { id: 'f', kind: 'feeder' });
    expect(way(added, 'f')).toEqual(['f', 'board', 'isolator', 'meter', 'cut-out', 'service']);
    const inserted = insertAbove(added, 'meter', { id: 'sf', kind: 'switch-fuse' });
    expect(way(inserted, 'board')).toEqual(['board', 'isolator', 'meter', 'sf', 'cut-out', 'service']);
  });

  it('puts a node before the first, which then hangs from it', () => {
    const survey = insertAbove(home(), 'service', { id: 'net', kind: 'service' });
    expect(way(survey, 'cut-out')).toEqual(['cut-out', 'service', 'net']);
    expect(supplyTree(survey).root?.node.id).toBe('net');
  });

  it('splits the tails into two boards', () => {
    const survey = splitInto(home(), 'board', { id: 'block', kind: 'split-block' }, { id: 'board-2', kind: 'board' });
    expect(way(survey, 'board')).toEqual(['board', 'block', 'isolator', 'meter', 'cut-out', 'service']);
    expect(way(survey, 'board-2').slice(0, 2)).toEqual(['board-2', 'block']);
  });

  it('moves a branch, but never under itself', () => {
    const survey = addBelow(home(), 'board', { id: 'f', kind: 'feeder' });
    expect(way(moveTo(survey, 'f', 'isolator'), 'f')).toEqual(['f', 'isolator', 'meter', 'cut-out', 'service']);
    expect(placesFor(survey, 'isolator').map(({ id }) => id)).toEqual(['service', 'cut-out']);
    expect(moveTo(survey, 'isolator', 'f')).toBe(survey);
  });

  it('removes a node and hangs what it carried from what fed it', () => {
    const survey = removeNode(home(), 'board');
    expect(survey.proposals[0]?.nodeId).toBe('isolator');
    expect(survey.readings[0]?.nodeId).toBe('isolator');
    expect(survey.loads.filter(({ nodeId }) => nodeId === 'isolator')).not.toHaveLength(0);
    expect(removeNode(home(), 'meter').proposals[0]?.limiter.clampNodeId).toBeUndefined();
    expect(supplyTree(removeNode(home(), 'service')).root?.node.id).toBe('cut-out');
  });

  it('does not leave two nodes nearest the street', () => {
    const survey = addBelow(home(), 'service', { id: 'other', kind: 'cut-out' });
    expect(canRemove(survey, 'service')).toBe(false);
    expect(removeNode(survey, 'service')).toBe(survey);
  });

  it('gives a valid survey whatever is done in whatever order', () => {
    const step = fc.record({
      what: fc.constantFrom('add', 'insert', 'split', 'move', 'remove', 'shape'),
      at: fc.nat(40),
      to: fc.nat(40),
      kind: fc.constantFrom(...NODE_KINDS),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 15 }), (steps) => {
        let survey = home();
        steps.forEach(({ what, at, to, kind }, index) => {
          const { nodes } = survey.supply;
          const id = nodes[at % nodes.length]?.id ?? '';
          const fresh = { id: `n${index}`, kind };
          const shape = STARTING_SHAPES[at % STARTING_SHAPES.length];
          if (what === 'add') survey = addBelow(survey, id, fresh);
          else if (what === 'insert') survey = insertAbove(survey, id, fresh);
          else if (what === 'split') survey = splitInto(survey, id, fresh, { id: `m${index}`, kind: 'board' });
          else if (what === 'move') survey = moveTo(survey, id, nodes[to % nodes.length]?.id ?? '');
          else if (what === 'remove') survey = removeNode(survey, id);
          else if (shape) survey = onShape(survey, shape.nodes, shape.phases);
          expect(readSurvey(plainSurvey(survey))).toHaveProperty('survey');
        });
        expect(() => assess(survey, gbDefault)).not.toThrow();
      }),
      { numRuns: lawRuns(60) },
    );
  });

  it('never changes what the whole supply takes by moving a branch about below its fuse', () => {
    const survey = { ...home(), ...addBelow(home(), 'board', { id: 'f', kind: 'feeder' }) };
    survey.loads = survey.loads.map((load, at) => (at < 4 ? { ...load, nodeId: 'f' } : load));
    const total = (of: Survey): number | null | undefined => assess(of, gbDefault).demand.before.L1?.value;
    for (const { id } of placesFor(survey, 'f').filter((place) => place.id !== 'service'))
      expect(total(moveTo(survey, 'f', id))).toBeCloseTo(total(survey) ?? NaN, 9);
  });
});

describe('starting shapes', () => {
  it.each(STARTING_SHAPES.map((shape) => [shape.name, shape] as const))('%s is a valid supply', (_name, shape) => {
    const survey = onShape(blankSurvey(), shape.nodes, shape.phases);
    expect(readSurvey(survey)).toHaveProperty('survey');
    expect(supplyTree(survey).device).not.toBeNull();
  });

  it('keep what was recorded of nodes that stay', () => {
    const survey = home();
    Object.assign(survey.supply.nodes[1] ?? {}, { ratingA: 80, evidence: 'label' });
    const flats = STARTING_SHAPES.find(({ id }) => id === 'landlord-and-flats');
    const next = onShape(survey, flats?.nodes ?? [], flats?.phases);
    expect(next.supply.nodes.find(({ id }) => id === 'cut-out')).toMatchObject({ ratingA: 80, evidence: 'label' });
    expect(next.supply.phases).toBe(3);
    const flat = onShape(survey, STARTING_SHAPES.find(({ id }) => id === 'flat-switch-fuse')?.nodes ?? []);
    // The head is now a solid link: the switch-fuse limits, whatever was read off the head before.
    expect(assess(flat, gbDefault).supply).toMatchObject({ deviceId: 'switch-fuse', ratingEstablished: null });
  });
});

describe('going from shape to shape', () => {
  it('leaves behind the names and the solid link a shape brought, and keeps a name somebody gave', () => {
    const shape = (id: string) => STARTING_SHAPES.find((each) => each.id === id)?.nodes ?? [];
    const flat = onShape(blankSurvey(), shape('flat-switch-fuse'));
    const named = {
      ...flat,
      supply: {
        ...flat.supply,
        nodes: flat.supply.nodes.map((node) =>
          node.kind === 'meter' ? { ...node, label: 'Meter by the door' } : node,
        ),
      },
    };
    const home = onShape(named, shape('one-board')).supply.nodes;
    expect(home.find(({ id }) => id === 'cut-out')).toEqual({ id: 'cut-out', kind: 'cut-out', fedFrom: 'service' });
    expect(home.find(({ id }) => id === 'meter')?.label).toBe('Meter by the door');
  });
});

describe('a switch-fuse behind a solid link', () => {
  it('is the one that feeds the new equipment, and only what hangs from it counts', () => {
    const survey = blankSurvey();
    survey.supply.nodes = [
      { id: 'head', kind: 'cut-out', head: 'solid-link' },
      { id: 'a', kind: 'switch-fuse', fedFrom: 'head', ratingA: 60, evidence: 'label' },
      { id: 'a-board', kind: 'board', fedFrom: 'a' },
      { id: 'b', kind: 'switch-fuse', fedFrom: 'head', ratingA: 80, evidence: 'label' },
      { id: 'b-board', kind: 'board', fedFrom: 'b' },
    ];
    survey.loads = [
      { id: 'x', class: 'motor', currentA: 10, nodeId: 'a-board' },
      { id: 'y', class: 'motor', currentA: 7, nodeId: 'b-board' },
      { id: 'z', class: 'motor', currentA: 2 },
    ];
    survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, nodeId: 'b-board', limiter: {} }];
    const made = assess(survey, gbDefault);
    expect(made.supply).toMatchObject({ deviceId: 'b', rating: { value: 80 } });
    // 7 A on b, and 2 A nobody has placed, which hangs from b's own board.
    expect(made.demand.before.L1?.value).toBe(9);
    expect(made.demand.headroom.L1?.value).toBe(80 - 9 - 32);
    expect(made.nodes.find(({ id }) => id === 'head')?.before.L1?.value).toBe(19);
  });
});

describe('a line of a three-phase supply', () => {
  it('is that of the board a load hangs from, unless the load says otherwise', () => {
    const survey = blankSurvey();
    survey.supply.phases = 3;
    survey.supply.nodes = survey.supply.nodes.map((node) => (node.id === 'board' ? { ...node, phase: 'L2' } : node));
    survey.loads = [
      { id: 'x', class: 'motor', currentA: 10, nodeId: 'board' },
      { id: 'y', class: 'motor', currentA: 7, nodeId: 'board', phase: 'L3' },
    ];
    const made = assess(survey, gbDefault);
    expect([made.demand.before.L1?.value, made.demand.before.L2?.value, made.demand.before.L3?.value]).toEqual([
      0, 10, 7,
    ]);
    expect(made.findings.filter(({ id }) => id === 'phase-not-known')).toEqual([]);
  });
});
