import { gbDefault } from '../../rules/gb-default';
import { blankSurvey } from '../../survey/blank';
import { plainSurvey } from '../../survey/opening/read';
import type { Survey } from '../../survey/survey';
import type { SupplyNode } from '../../survey/supply';
import type { Check, Look } from '../../survey/words/words';
import { supplyTree } from '../../tree/supply-tree';
import { fuseRating } from '../fuse-rating';
import { CHECK_RULES, checkFindings, checkOutcomes, checkQuestion, openChecks } from './findings';

/** What is recorded of a node; undefined takes away what the usual chain has. */
type Recorded = { readonly [K in keyof SupplyNode]?: SupplyNode[K] | undefined };
type Nodes = Readonly<Record<string, Recorded>>;

/** The usual chain behind an 80 A fuse read off a label, with what differs put over it; more nodes at the end. */
function chain(over: Nodes, more: readonly SupplyNode[] = []): Survey {
  const survey = blankSurvey();
  const known: Nodes = {
    'cut-out': { ratingA: 80, evidence: 'label' },
    meter: { ratingA: 100 },
    isolator: { ratingA: 100, cable: { lengthM: 0.3 } },
    board: {
      ratingA: 100,
      cable: { sizeMm2: 25, lengthM: 0.5, laid: 'clipped' },
      enclosure: 'metal',
      place: 'indoors',
      spareWays: 1,
      acceptsNewDevice: 'yes',
    },
  };
  const nodes = survey.supply.nodes.map((node) => ({ ...node, ...known[node.id], ...over[node.id] }));
  survey.supply.nodes = [...nodes, ...more] as SupplyNode[];
  survey.place.premises = 'household';
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', limiter: {} }];
  return plainSurvey(survey);
}

function found(survey: Survey): string[] {
  const tree = supplyTree(survey);
  const fuse = fuseRating(tree.device?.node, gbDefault);
  const facts = { survey, rules: gbDefault, tree, fuse };
  return [
    ...checkFindings(checkOutcomes(facts)).map(
      ({ check, grade, subjectId }) => `${check ?? ''} ${grade} ${subjectId ?? ''}`,
    ),
    ...openChecks(facts, checkOutcomes(facts)).map(({ rule, nodeId }) => `${rule.id} ask ${nodeId}`),
  ];
}

const answered = (id: Check, answer: Look): Partial<SupplyNode> => ({ checks: [{ id, answer }] });

describe('checks of the chain', () => {
  it.each<[string, Nodes, readonly SupplyNode[], string[]]>([
    ['everything recorded and large enough', {}, [], []],
    ['80 A meter behind an 80 A fuse holds', { meter: { ratingA: 80 } }, [], []],
    ['60 A meter behind an 80 A fuse', { meter: { ratingA: 60 } }, [], ['meter-rating act meter']],
    ['meter not read', { meter: { ratingA: undefined } }, [], ['meter-rating ask meter']],
    [
      '80 A meter, fuse only assumed: it may be 100 A',
      { meter: { ratingA: 80 }, 'cut-out': { evidence: 'assumed' } },
      [],
      ['meter-rating ask meter'],
    ],
    [
      '80 A meter, fuse not established but the holder takes 60 A at most',
      { meter: { ratingA: 80 }, 'cut-out': { evidence: 'moulding', holderMaximumA: 60 } },
      [],
      [],
    ],
    ['60 A isolator behind 80 A', { isolator: { ratingA: 60 } }, [], ['isolator-rating act isolator']],
    [
      '16 mm² behind 80 A: 25 is expected',
      { board: { cable: { sizeMm2: 16, lengthM: 1 } } },
      [],
      ['tails-size note board'],
    ],
    [
      '16 mm² behind 100 A: 80 A at most',
      { 'cut-out': { ratingA: 100 }, board: { cable: { sizeMm2: 16, lengthM: 1 } } },
      [],
      ['tails-size act board'],
    ],
    ['16 mm² behind 60 A holds', { 'cut-out': { ratingA: 60 }, board: { cable: { sizeMm2: 16, lengthM: 1 } } }, [], []],
    ['10 mm² is out of the table', { board: { cable: { sizeMm2: 10, lengthM: 1 } } }, [], ['tails-size act board']],
    [
      '25 mm² not clipped direct',
      { board: { cable: { sizeMm2: 25, lengthM: 1, laid: 'enclosed' } } },
      [],
      ['tails-size note board'],
    ],
    [
      'tails 0.3 + 2.8 = 3.1 m, 3 m at most',
      { board: { cable: { sizeMm2: 25, lengthM: 2.8 } } },
      [],
      ['tails-length act board'],
    ],
    ['tails 0.3 + 2.7 = 3.0 m holds', { board: { cable: { sizeMm2: 25, lengthM: 2.7 } } }, [], []],
    ['one length not known', { isolator: { cable: undefined } }, [], ['tails-length ask board']],
    [
      '63 A main switch behind 80 A, devices 32 + 40 = 72 A: rests on diversity',
      { board: { ratingA: 63 } },
      [
        { id: 'd1', kind: 'device', fedFrom: 'board', ratingA: 32 },
        { id: 'd2', kind: 'device', fedFrom: 'board', ratingA: 40 },
      ],
      ['main-switch-rating note board'],
    ],
    [
      '63 A RCD behind 80 A, devices 32 + 32 = 64 A',
      {},
      [
        { id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 63 },
        { id: 'd1', kind: 'device', fedFrom: 'rcd', ratingA: 32 },
        { id: 'd2', kind: 'device', fedFrom: 'rcd', ratingA: 32 },
      ],
      ['rcd-rating act rcd'],
    ],
    [
      '63 A RCD behind 80 A, devices 32 + 16 + 6 = 54 A',
      {},
      [
        { id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 63 },
        { id: 'd1', kind: 'device', fedFrom: 'rcd', ratingA: 32 },
        { id: 'd2', kind: 'device', fedFrom: 'rcd', ratingA: 16 },
        { id: 'd3', kind: 'device', fedFrom: 'rcd', ratingA: 6 },
      ],
      [],
    ],
    [
      '63 A RCD, one device below it not read',
      {},
      [
        { id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 63 },
        { id: 'd1', kind: 'device', fedFrom: 'rcd' },
      ],
      ['rcd-rating ask rcd'],
    ],
    [
      '80 A RCD behind an 80 A fuse holds whatever is below',
      {},
      [{ id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 80 }],
      [],
    ],
    [
      'a feeder of 20 A protects a 40 A board at its end',
      {},
      [
        { id: 'f', kind: 'feeder', fedFrom: 'board', ratingA: 20, cable: { sizeMm2: 2.5, lengthM: 40 } },
        { id: 'shed', kind: 'board', fedFrom: 'f', ratingA: 40, enclosure: 'metal', place: 'indoors' },
      ],
      [],
    ],
    ['no spare way', { board: { ...chainBoard(), spareWays: 0 } }, [], ['spare-way act board']],
    [
      'the maker does not allow it',
      { board: { ...chainBoard(), acceptsNewDevice: 'no' } },
      [],
      ['accepts-new-device act board'],
    ],
    ['plastic in a dwelling', { board: { ...chainBoard(), enclosure: 'plastic' } }, [], ['enclosure note board']],
    ['a board outdoors', { board: { ...chainBoard(), place: 'outdoors' } }, [], ['board-place note board']],
  ])('%s', (_what, over, more, expected) => {
    expect(found(chain(over, more))).toEqual(expected);
  });

  it('sees an RCD the new equipment would share', () => {
    const survey = chain({}, [{ id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 80 }]);
    survey.proposals = [{ id: 'car', kind: 'vehicle-charger', limiter: {}, nodeId: 'rcd' }];
    expect(found(survey)).toEqual([]);
    survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 32, nodeId: 'rcd' }];
    expect(found(survey)).toEqual(['rcd-shared act rcd']);
  });

  it('asks for an isolator, and takes its absence as something to do', () => {
    const bare = (answer?: Look): Survey => {
      const survey = chain({ meter: { ratingA: 100, ...(answer ? answered('isolator', answer) : {}) } });
      survey.supply.nodes = survey.supply.nodes
        .filter(({ id }) => id !== 'isolator')
        .map((node) => (node.fedFrom === 'isolator' ? { ...node, fedFrom: 'meter' } : node));
      return survey;
    };
    expect(found(bare())).toEqual(['isolator ask meter']);
    expect(found(bare('fine'))).toEqual([]);
    expect(found(bare('not-there'))).toEqual(['isolator act meter']);
  });

  it.each<[string, Recorded, string[]]>([
    [
      'looked, fine settles no rating that is not recorded',
      answered('meter-rating', 'fine'),
      ['meter-rating ask meter'],
    ],
    ['nor does not there', answered('meter-rating', 'not-there'), ['meter-rating ask meter']],
    ['could not see stays a question', answered('meter-rating', 'could-not-see'), ['meter-rating ask meter']],
    ['looked, not fine is something to do', answered('meter-rating', 'not-fine'), ['meter-rating act meter']],
    [
      'looked, fine does not outweigh what the record shows',
      { ratingA: 60, ...answered('meter-rating', 'fine') },
      ['meter-rating act meter'],
    ],
    [
      'looked, not fine stands although the record holds',
      { ratingA: 100, ...answered('meter-rating', 'not-fine') },
      ['meter-rating act meter'],
    ],
  ])('answers: %s', (_what, meter, expected) => {
    expect(found(chain({ meter: { ratingA: undefined, ...meter } }))).toEqual(expected);
  });

  it.each<[string, Recorded, string[]]>([
    [
      'whether its maker allows the device',
      { acceptsNewDevice: undefined, ...answered('accepts-new-device', 'fine') },
      [],
    ],
    ['where it is', { place: undefined, ...answered('board-place', 'fine') }, []],
    ['but no size of tails', { cable: { lengthM: 0.5 }, ...answered('tails-size', 'fine') }, ['tails-size ask board']],
    ['and no length', { cable: { sizeMm2: 25 }, ...answered('tails-length', 'fine') }, ['tails-length ask board']],
    [
      'and no main switch',
      { ratingA: undefined, ...answered('main-switch-rating', 'fine') },
      ['main-switch-rating ask board'],
    ],
  ])('a look at the board settles %s', (_what, board, expected) => {
    expect(found(chain({ board: { ...chainBoard(), ...board } }))).toEqual(expected);
  });

  it('counts the new circuit’s own device below an RCD: 40 + 32 = 72 A on a 63 A RCD behind 80 A', () => {
    const rcd = (deviceRatingA?: number): string[] => {
      const survey = chain({}, [
        { id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 63 },
        { id: 'd1', kind: 'device', fedFrom: 'rcd', ratingA: 32 },
      ]);
      survey.proposals = [
        {
          id: 'car',
          kind: 'vehicle-charger',
          limiter: {},
          nodeId: 'rcd',
          ...(deviceRatingA ? { circuit: { deviceRatingA } } : {}),
        },
      ];
      return found(survey).filter((each) => each.startsWith('rcd-rating'));
    };
    expect(rcd(40)).toEqual(['rcd-rating act rcd']);
    expect(rcd(20)).toEqual([]);
    expect(rcd()).toEqual(['rcd-rating ask rcd']);
  });

  it('a small board of its own needs no way in the board that is there', () => {
    const survey = chain({ board: { ...chainBoard(), spareWays: 0, acceptsNewDevice: 'no' } });
    expect(found(survey)).toEqual(['spare-way act board', 'accepts-new-device act board']);
    survey.proposals = [{ id: 'car', kind: 'vehicle-charger', limiter: {}, way: { plan: 'small-board' } }];
    expect(found(survey)).toEqual([]);
  });

  it('asks nothing about a neighbour’s part of the building, and still tells what the record shows of it', () => {
    const flat = (more: Partial<SupplyNode> = {}): readonly SupplyNode[] => [
      { id: 'sf', kind: 'switch-fuse', fedFrom: 'isolator', ratingA: 63, cable: { sizeMm2: 25, lengthM: 1 } },
      { id: 'flat-meter', kind: 'meter', fedFrom: 'sf', ...more },
    ];
    expect(found(chain({}, flat()))).toEqual([]);
    expect(found(chain({}, flat({ ratingA: 40 })))).toEqual(['meter-rating act flat-meter']);
    const own = chain({}, flat());
    own.proposals = [{ id: 'car', kind: 'vehicle-charger', limiter: {}, nodeId: 'flat-meter' }];
    expect(found(own)).toEqual(['meter-rating ask flat-meter', 'isolator ask flat-meter']);
  });

  it('does not take a device before it that nobody has read for a small one', () => {
    const more: SupplyNode[] = [
      { id: 'sf', kind: 'switch-fuse', fedFrom: 'board', cable: { sizeMm2: 25, lengthM: 1 } },
      { id: 'm2', kind: 'check-meter', fedFrom: 'sf', ratingA: 100 },
    ];
    const survey = chain({}, more);
    survey.proposals = [{ id: 'car', kind: 'vehicle-charger', limiter: {}, nodeId: 'm2' }];
    expect(found(survey)).toContain('meter-rating ask m2');
  });

  it('gives every check a question, and working to every failure with arithmetic in it', () => {
    for (const { id } of CHECK_RULES) expect(checkQuestion(id)).toMatch(/\?$/);
    const survey = chain({ meter: { ratingA: 60 } });
    const tree = supplyTree(survey);
    const [finding] = checkFindings(
      checkOutcomes({ survey, rules: gbDefault, tree, fuse: fuseRating(tree.device?.node, gbDefault) }),
    );
    expect(finding?.working?.[0]?.substituted).toBe('60 A < 80 A');
    expect(finding?.source).not.toBe('');
  });
});

function chainBoard(): Partial<SupplyNode> {
  return chain({}).supply.nodes.find(({ id }) => id === 'board') ?? {};
}
