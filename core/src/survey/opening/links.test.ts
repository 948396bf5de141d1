import { WELL_PUT_ON, settledSurvey } from '../../testing/settled-survey';
import { jsonPath, valueAt, type Value } from '../../record/changes';
import type { Survey } from '../survey';
import { linkFaults } from './links';

/** A survey with a member in lists of every depth. */
const rich = (): Survey =>
  settledSurvey((survey) => {
    const [proposal] = survey.proposals;
    if (!proposal) throw new Error('no equipment');
    Object.assign(proposal.limiter, {
      kind: 'clamp',
      clampNodeId: 'board',
      fit: { ...WELL_PUT_ON },
      moreClamps: [{ id: 'second', nodeId: 'board' }],
      test: { places: [{ id: 'second', knownLoadA: 10 }], overLink: [{ id: 'reading', valueA: 9 }] },
    });
    survey.generation = [{ id: 'roof', kind: 'pv', nodeId: 'board' }];
    survey.readings.push({ id: 'r', kind: 'loop-impedance-external', value: 0.3, nodeId: 'board' });
  });

/** The survey with the first member of a list in it twice. */
function doubled(list: readonly string[]): { survey: Survey; path: string } {
  const survey = rich();
  const members = valueAt(survey as unknown as Value, list) as unknown as { id: string }[];
  const [first] = members;
  if (!first) throw new Error(`${list.join('.')} is empty`);
  members.push({ ...first });
  return { survey, path: `${jsonPath(survey as unknown as Value, list)}[${members.length - 1}].id` };
}

describe('links between the parts of a survey', () => {
  it('are whole in a survey with members in lists of every depth', () => {
    expect(linkFaults(rich())).toEqual([]);
  });

  it.each([
    [['supply', 'nodes']],
    [['loads']],
    [['proposals']],
    [['generation']],
    [['readings']],
    [['proposals', 'car', 'limiter', 'moreClamps']],
    [['proposals', 'car', 'limiter', 'test', 'places']],
    [['proposals', 'car', 'limiter', 'test', 'overLink']],
    [['proposals', 'car', 'circuit', 'segments']],
  ])('an id twice in %j is told where it is', (list) => {
    const { survey, path } = doubled(list);
    expect(linkFaults(survey)).toContainEqual(expect.objectContaining({ path, expected: 'an id of its own' }));
  });

  it.each<[string, (survey: Survey) => void]>([
    ['$.loads[0].nodeId', ({ loads }) => Object.assign(loads[0] ?? {}, { nodeId: 'gone' })],
    ['$.generation[0].nodeId', ({ generation }) => Object.assign(generation?.[0] ?? {}, { nodeId: 'gone' })],
    ['$.proposals[0].nodeId', ({ proposals }) => Object.assign(proposals[0] ?? {}, { nodeId: 'gone' })],
    [
      '$.proposals[0].limiter.clampNodeId',
      ({ proposals }) => Object.assign(proposals[0]?.limiter ?? {}, { clampNodeId: 'gone' }),
    ],
    [
      '$.proposals[0].limiter.moreClamps[0].nodeId',
      ({ proposals }) => Object.assign(proposals[0]?.limiter.moreClamps?.[0] ?? {}, { nodeId: 'gone' }),
    ],
  ])('%s names a node that is not there', (path, spoil) => {
    const survey = rich();
    spoil(survey);
    expect(linkFaults(survey)).toEqual([
      { path, wrong: '"gone" is not a node of the supply', expected: 'the id of a node in $.supply.nodes' },
    ]);
  });

  it('a feeder that is not there is told once', () => {
    const survey = rich();
    Object.assign(survey.supply.nodes.at(-1) ?? {}, { fedFrom: 'gone' });
    expect(linkFaults(survey).filter(({ wrong }) => wrong.includes('gone'))).toHaveLength(1);
  });

  it('a reading of equipment that has gone stays', () => {
    const survey = rich();
    Object.assign(survey.readings.at(-1) ?? {}, { proposalId: 'gone' });
    expect(linkFaults(survey)).toEqual([]);
  });
});
