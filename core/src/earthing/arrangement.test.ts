import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Earthing } from '../survey/earthing';
import type { Proposal } from '../survey/proposal';
import { earthingFindings } from './arrangement';

function ids(earthing: Earthing, proposals: readonly Partial<Proposal>[] = []): string[] {
  const survey = blankSurvey();
  survey.earthing = earthing;
  survey.proposals = proposals.map((each, at) => ({ id: `c${at}`, kind: 'vehicle-charger', limiter: {}, ...each }));
  return earthingFindings(survey, gbDefault).map(({ id }) => id);
}

describe('earthing findings', () => {
  it.each<[string, Earthing, readonly string[]]>([
    ['not said', {}, ['earthing-not-known']],
    ['not known', { arrangement: 'unknown', zeOhm: 9 }, ['earthing-not-known']],
    ['nobody said how it was recognised', { arrangement: 'tn-s' }, ['earthing-recognition-missing']],
    ['TN-C-S at 0.35 Ω', { arrangement: 'tn-c-s', recognisedBy: 'seen', zeOhm: 0.35 }, []],
    ['TN-C-S at 0.36 Ω', { arrangement: 'tn-c-s', recognisedBy: 'seen', zeOhm: 0.36 }, ['ze-above-declared']],
    ['TN-S at 0.8 Ω', { arrangement: 'tn-s', recognisedBy: 'seen', zeOhm: 0.8 }, []],
    ['TN-S at 0.81 Ω', { arrangement: 'tn-s', recognisedBy: 'seen', zeOhm: 0.81 }, ['ze-above-declared']],
    ['TT at 200 Ω', { arrangement: 'tt', recognisedBy: 'rod', electrodeOhm: 200 }, []],
    ['TT at 201 Ω', { arrangement: 'tt', recognisedBy: 'rod', electrodeOhm: 201 }, ['electrode-unstable']],
    ['TT, a Ze reading judges nothing', { arrangement: 'tt', recognisedBy: 'rod', zeOhm: 50 }, []],
  ])('%s', (_name, earthing, expected) => {
    expect(ids(earthing)).toEqual(expected);
  });

  it('ask for protection against an open PEN on TN-C-S only, outdoors or not said, until one is chosen', () => {
    const pme: Earthing = { arrangement: 'tn-c-s', recognisedBy: 'seen' };
    expect(ids(pme, [{}, { parking: 'outdoors' }])).toEqual(['open-pen-undecided', 'open-pen-undecided']);
    expect(ids(pme, [{ parking: 'indoors-only' }, { openPen: 'tt-island' }])).toEqual([]);
    expect(ids({ arrangement: 'tn-s', recognisedBy: 'seen' }, [{ parking: 'outdoors' }])).toEqual([]);
  });
});
