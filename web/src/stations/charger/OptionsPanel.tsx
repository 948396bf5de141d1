import type { Option } from '@keen-gauge/core/options/option';
import { whyFirst } from '@keen-gauge/core/options/order';
import type { DecidingFact, Outcome } from '@keen-gauge/core/options/what-would-change';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { ROUTE_WORDS } from '@keen-gauge/core/route/ways';
import type { Priority } from '@keen-gauge/core/survey/words/option-words';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { pounds } from '@keen-gauge/core/money/pence';
import { ChevronDown } from 'lucide-react';
import { useMemo } from 'react';
import { Button as Trigger, Disclosure, DisclosurePanel } from 'react-aria-components';
import styled from 'styled-components';
import { usePrices } from '../../api/prices';
import { useMedia } from '../../app/use-media';
import { Grounds } from '../../grounds/Grounds';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import { Meanwhile } from '../../what-if/Meanwhile';
import { fitWords, withOption } from '../../what-if/option-words';
import type { OptionSum } from '../../what-if/reckon';
import { useWhatIf, useWhatIfWith } from '../../what-if/use-what-if';
import { BoundText } from '../bound';
import { Pounds } from '../../price/Pounds';

const Cards = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.7rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 17.5rem), 1fr));
  container-type: inline-size;
`;

const Card = styled.li`
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.4rem;
  align-content: start;
  &[data-first] {
    border: 2.5px solid var(--ink);
  }
  & dl {
    margin: 0;
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0.1rem 0.7rem;
    font-size: 0.93rem;
  }
  & dt {
    color: var(--quiet);
  }
  & dd {
    margin: 0;
  }
  @container (max-width: 15rem) {
    & dl {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0.6rem;
  align-items: start;
  & > div {
    flex: 1 1 9rem;
  }
`;

const Opener = styled(Trigger)`
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 0.2em;
  cursor: pointer;
`;

/** What can be done, compared in one view; the one decided on is recorded with who and why. */
export function OptionsPanel() {
  const { survey, store, me } = useSurvey();
  const { answer: found, ...told } = useWhatIf('options');
  const { choice, driver } = survey;
  const choose = (option: Option): void => {
    store.edit(withOption(survey, option, me.name));
  };
  return (
    <>
      <Panel aria-label="Options">
        <Meanwhile title="Options" isThere={found !== null} {...told}>
          {found !== null && found.length === 0 ? (
            <p className="quiet">The rated current of the equipment is needed to compare them.</p>
          ) : (
            <Compared found={found ?? []} isCurrent={told.isCurrent} priority={driver?.priority} choose={choose} />
          )}
        </Meanwhile>
        {choice?.option !== undefined && (
          <FieldGrid>
            <BoundText path={['choice', 'reason']} label="Why this one was chosen" />
            <span>
              Chosen by <strong>{choice.chosenBy ?? 'nobody named'}</strong>
            </span>
          </FieldGrid>
        )}
      </Panel>
      <WhatWouldChange />
    </>
  );
}

/** The options in their order, each with everything it is compared by. */
function Compared({
  found,
  isCurrent,
  priority,
  choose,
}: {
  readonly found: readonly Option[];
  readonly isCurrent: boolean;
  readonly priority: Priority | undefined;
  readonly choose: (option: Option) => void;
}) {
  const { survey, me } = useSurvey();
  const { choice } = survey;
  const wide = useMedia('(min-width: 44rem)');
  // What is so whatever is done is said once, above them all.
  const everywhere = found.length < 2 ? [] : alreadyInAll(found);
  const sums = useOptionSums();
  const rest = (option: Option): Omit<React.ComponentProps<typeof WhatItComesTo>, 'option'> => ({
    sum: sums?.find(({ optionId }) => optionId === option.id),
    already: option.already.filter((says) => !everywhere.includes(says)),
  });
  return (
    <>
      <p role="status">{whyFirst(found, priority)}</p>
      {everywhere.length > 0 && (
        <p>
          <strong>There already:</strong> {everywhere.join(' ')}
        </p>
      )}
      <p className="quiet">
        Keen Gauge compares; a competent person decides. The operator’s requirements and makers’ instructions come
        first.
      </p>
      <Cards>
        {found.map((option, at) => (
          <Card key={option.id} {...(at === 0 ? { 'data-first': '' } : {})}>
            <Head>
              <div>
                <h3>
                  {at + 1}. {option.title}
                </h3>
                <StateMark state={stateOf(option.holds)} words={fitWords(option)} />
              </div>
              <Button
                aria-label={`Choose: ${option.title}`}
                isDisabled={!isCurrent || isChosen(option, choice) || me.role === 'office'}
                onPress={() => {
                  choose(option);
                }}
              >
                {isChosen(option, choice) ? 'Chosen' : 'Choose'}
              </Button>
            </Head>
            <p className="quiet">{option.why}</p>
            {wide || at === 0 ? (
              <>
                <GroundsOfOption option={option} />
                <WhatItComesTo option={option} {...rest(option)} />
              </>
            ) : (
              <More label="Figures and grounds" note={groundsMet(option)}>
                <WhatItComesTo option={option} {...rest(option)} />
                <Grounds grounds={option.grounds} />
              </More>
            )}
          </Card>
        ))}
      </Cards>
    </>
  );
}

/** Everything an option is compared by, and what it asks of whoever takes it. */
function WhatItComesTo({
  option,
  sum,
  already,
}: {
  readonly option: Option;
  readonly sum: OptionSum | undefined;
  /** What is wrong already and is not said of them all. */
  readonly already: readonly string[];
}) {
  return (
    <>
      <dl>
        {option.weakest && (
          <>
            <dt>Weakest</dt>
            <dd>{option.weakest}</dd>
          </>
        )}
        <dt>Charging</dt>
        <dd>{chargingWords(option)}</dd>
        <dt>Route</dt>
        <dd>{ROUTE_WORDS[option.route]}</dd>
        <dt>Who must agree</dt>
        <dd>{option.whoMustAgree}</dd>
        <dt>Wait</dt>
        <dd>{waitWords(option)}</dd>
        <dt>Cost</dt>
        <dd>
          <OptionCost option={option} sum={sum} />
        </dd>
      </dl>
      {already.map((says) => (
        <p key={says}>
          <strong>There already:</strong> {says}
        </p>
      ))}
      {option.cautions.map((caution) => (
        <p key={caution} className="quiet">
          {caution}
        </p>
      ))}
    </>
  );
}

/** What an option costs: the firm’s price where the price list has everything of it, its words for the cost where it has not; the operator’s charge beside it. */
function OptionCost({ option, sum }: { readonly option: Option; readonly sum: OptionSum | undefined }) {
  if (sum === undefined) return option.costWords;
  const { operatorPence } = sum;
  return (
    <>
      {sum.isComplete ? <Pounds of={sum.totalPence} /> : option.costWords}
      {!sum.isComplete && (
        <span className="quiet"> ({sum.open.length === 1 ? 'one line' : `${sum.open.length} lines`} not priced)</span>
      )}
      {operatorPence === null ? (
        <span className="quiet"> and what the operator charges, not entered yet</span>
      ) : (
        operatorPence > 0 && <span> and {pounds(operatorPence)} to the operator</span>
      )}
    </>
  );
}

/** Each option in money; null where prices have not come, or are kept from this person. */
function useOptionSums(): readonly OptionSum[] | null {
  const { data } = usePrices();
  const day = ukDay(new Date());
  const atDay = useMemo(() => (data && !data.hidden ? { book: data.book, day } : undefined), [data, day]);
  return useWhatIfWith('optionSums', atDay).answer;
}

/** Open questions of which an answer comes to something else than another does. */
function WhatWouldChange() {
  const { answer: deciding, ...told } = useWhatIf('whatWouldChange');
  return (
    <Panel aria-label="What would change the answer">
      <Meanwhile title="What would change the answer" isThere={deciding !== null} {...told}>
        {deciding !== null && deciding.length === 0 ? (
          <p className="quiet">Nothing that is still open would change the route, or whether this fits, by itself.</p>
        ) : (
          deciding?.map((fact) => <Deciding key={fact.id} fact={fact} />)
        )}
      </Meanwhile>
    </Panel>
  );
}

function Deciding({ fact: { question, outcomes } }: { readonly fact: DecidingFact }) {
  return (
    <section aria-label={question}>
      <h3>{question}</h3>
      <ul style={{ margin: '0.2rem 0 0', paddingLeft: '1.2rem' }}>
        {outcomes.map((outcome) => (
          <li key={outcome.answer}>
            <strong>{outcome.answer}</strong>: {outcomeWords(outcome)}
          </li>
        ))}
      </ul>
    </section>
  );
}

const alreadyInAll = (found: readonly Option[]): readonly string[] =>
  (found[0]?.already ?? []).filter((says) => found.every(({ already }) => already.includes(says)));

type Choice = Survey['choice'];

function isChosen({ kind, also }: Option, choice: Choice): boolean {
  return choice?.option === kind && choice.also === also;
}

const groundsMet = ({ grounds }: Option): string =>
  `${grounds.filter(({ state }) => state === 'met').length} of ${grounds.length} met`;

/** Everything an option rests on, shown when it is asked for. */
function GroundsOfOption({ option }: { readonly option: Option }) {
  return (
    <Disclosure>
      <Opener slot="trigger">
        Grounds: {groundsMet(option)} <ChevronDown size={16} aria-hidden />
      </Opener>
      <DisclosurePanel>
        <Grounds grounds={option.grounds} />
      </DisclosurePanel>
    </Disclosure>
  );
}

function chargingWords({ charging }: Option): string {
  if (!charging) return 'not known';
  const { powerKw, leastKw, hours, neededKwh, enough, morningsShort } = charging;
  if (powerKw === 0) return 'none: less than the least charging current';
  const least =
    leastKw < powerKw ? `; ${leastKw === 0 ? 'none' : `${leastKw.toFixed(1)} kW`} with everything else on` : '';
  const time =
    hours === null ? '' : `; the day’s ${neededKwh?.toFixed(1) ?? '?'} kWh in ${hours.toFixed(1)} h at its most`;
  const short = enough === false && morningsShort === undefined ? ', longer than it stands there' : '';
  const played =
    morningsShort === undefined
      ? ''
      : `; by the trial the middle household is short on ${morningsShort} mornings a year`;
  const open =
    enough === null && hours !== null && leastKw < powerKw ? '; play the trial to see whether that is enough' : '';
  return `up to ${powerKw.toFixed(1)} kW${least}${time}${short}${played}${open}`;
}

function waitWords({ waitWeeks: [from, to] }: Option): string {
  if (to === 0) return 'none beyond the route';
  return from === 0 ? `up to ${to} week${to === 1 ? '' : 's'}` : `${from} to ${to} weeks`;
}

function outcomeWords({ route, holds, fullRate }: Outcome): string {
  const state = (value: boolean | null): string => (value === null ? 'not known yet' : value ? 'fits' : 'does not fit');
  return `what is proposed ${state(holds)}, full rate ${state(fullRate)}; ${ROUTE_WORDS[route]}`;
}
