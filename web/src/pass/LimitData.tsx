import { CLAMP_LINKS, type ClampLink } from '@keen-gauge/core/survey/words/circuit-words';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

const LINK_WORDS: Readonly<Record<ClampLink, string>> = {
  wired: 'It takes a wired clamp',
  wireless: 'It takes a wireless clamp',
};

/** What the maker’s data has to say for the limit that is proposed, a tap for each thing read there. */
export function LimitData({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store } = useSurvey();
  const { limiter, stepsA, clampLinks, failSafesA, ratedA } = proposal;
  const { kind, fixedA, failSafeA } = limiter;
  const record = (data: Partial<Proposal>): void => {
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) => (each.id === proposal.id ? { ...each, ...data } : each)),
    });
  };
  const settings = [
    ...new Set([
      ...(stepsA ?? []),
      ...(fixedA === undefined ? [] : [fixedA]),
      ...(ratedA === undefined ? [] : [ratedA]),
    ]),
  ];
  return (
    <Stack>
      <BigAnswers
        answers={[
          ...(kind !== 'none' && fixedA !== undefined && !stepsA?.length
            ? [
                {
                  id: 'setting',
                  says: `It can be set to ${fixedA} A`,
                  take: () => {
                    record({ stepsA: settings.sort((a, b) => a - b) });
                  },
                },
              ]
            : []),
          ...(kind === 'clamp' && clampLinks === undefined
            ? CLAMP_LINKS.map((link) => ({
                id: link,
                says: LINK_WORDS[link],
                take: () => {
                  record({ clampLinks: [link] });
                },
              }))
            : []),
          ...(kind === 'clamp' && failSafesA === undefined && failSafeA !== undefined
            ? [
                {
                  id: 'fail-safe',
                  says:
                    failSafeA === 0
                      ? 'It stops when the clamp is lost'
                      : `It falls back to ${failSafeA} A when the clamp is lost`,
                  take: () => {
                    record({ failSafesA: [failSafeA] });
                  },
                },
              ]
            : []),
        ]}
      />
      <p className="quiet">
        Record only what its data says. Where it says otherwise, choose another limit or other equipment.
      </p>
    </Stack>
  );
}
