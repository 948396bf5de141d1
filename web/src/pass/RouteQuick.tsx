import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { Laid } from '@keen-gauge/core/survey/words/words';
import { LAID_OPTIONS } from '../fields/cable-words';
import { MenuButton } from '../kit/MenuButton';
import { Stack } from '../kit/Panel';
import { freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';
import { routePlaces } from './card-places';
import { OneByOne } from './OneByOne';

/** The way the cable goes, in as few taps as it has sections: how each is laid, and how long it is. */
export function RouteQuick({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store } = useSurvey();
  const segments = proposal.circuit?.segments ?? [];
  const add = (laid: Laid): void => {
    // What it runs beside and through is asked next, and not taken for granted.
    const section = { id: freshId('section'), laid };
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) =>
        each.id === proposal.id ? { ...each, circuit: { ...each.circuit, segments: [...segments, section] } } : each,
      ),
    });
  };
  const last = segments.at(-1);
  if (!last)
    return (
      <BigAnswers
        answers={LAID_OPTIONS.map(({ value, label }) => ({
          id: value,
          says: label,
          take: () => {
            add(value);
          },
        }))}
      />
    );
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      <OneByOne key={segments.length} places={routePlaces(proposal)} />
      {last.lengthM !== undefined && <MenuButton label="Add a section" options={LAID_OPTIONS} onChoose={add} />}
    </Stack>
  );
}
