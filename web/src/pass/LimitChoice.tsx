import type { OptionKind } from '@keen-gauge/core/survey/words/option-words';
import { ROUTE_WORDS } from '@keen-gauge/core/route/ways';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import styled from 'styled-components';
import { Field } from '../fields/Field';
import { Stack } from '../kit/Panel';
import { stateOf, StateMark } from '../kit/StateMark';
import { useSurvey } from '../survey/SurveyContext';
import { fitWords, withOption } from '../what-if/option-words';
import { useWhatIf } from '../what-if/use-what-if';
import { BigAnswers } from './BigAnswers';

const WAYS: readonly OptionKind[] = ['full-rate', 'fixed-limit', 'managed'];

const Way = styled.span`
  display: grid;
  justify-items: start;
  gap: 0.1rem;
  & > .quiet {
    font-weight: 400;
    font-size: 0.9rem;
  }
`;

/** How new equipment is kept inside the supply: each way with whether it fits by what is known now, taken over with its settings. */
export function LimitChoice({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store, me } = useSurvey();
  const { answer, isCurrent, hasFailed } = useWhatIf('options');
  const found = (answer ?? []).filter(({ kind, also }) => also === undefined && WAYS.includes(kind));
  // Without a rated current nothing can be compared: it can still be recorded.
  if (hasFailed || (answer !== null && found.length === 0))
    return <Field path={['proposals', proposal.id, 'limiter', 'kind']} hideLabel />;
  return (
    <Stack style={{ '--gap': '0.45rem' }} aria-busy={!isCurrent}>
      <p className="unseen" role="status">
        {isCurrent ? '' : 'Working it out …'}
      </p>
      <BigAnswers
        least="100%"
        isDisabled={!isCurrent}
        answers={found.map((option) => ({
          id: option.id,
          says: (
            <Way>
              {option.title}
              <StateMark state={stateOf(option.holds)} words={fitWords(option)} />
              <span className="quiet">{ROUTE_WORDS[option.route]}</span>
            </Way>
          ),
          take: () => {
            store.edit(withOption(survey, option, me.name));
          },
        }))}
      />
    </Stack>
  );
}
