import { pounds } from '@keen-gauge/core/money/pence';
import { AS_RECORDED } from '@keen-gauge/core/quote/compose';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import { useState } from 'react';
import { CheckboxButton, CheckboxField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useSubmit } from '../../api/use-submit';
import { makeQuotation, type Quotations } from '../../api/quotations';
import { MainButton } from '../../kit/Button';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { StateMark } from '../../kit/StateMark';
import type { Priced } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { useWhatIfWith } from '../../what-if/use-what-if';

const Offer = styled(CheckboxButton)`
  display: grid;
  grid-template-columns: 1.5rem minmax(0, 1fr) auto;
  gap: 0.2rem 0.6rem;
  align-items: center;
  min-height: 52px;
  padding: 0.4rem 0;
  border-top: 1px solid var(--line);
  cursor: pointer;
  &[data-focus-visible] {
    outline: 3px solid var(--focus);
  }
`;

const Box = styled.span`
  width: 1.3rem;
  height: 1.3rem;
  border: 2px solid var(--strong-line);
  border-radius: 4px;
  display: grid;
  place-items: center;
  [data-selected] > & {
    background: var(--ink);
    border-color: var(--ink);
  }
`;

interface Offered {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly fits: boolean | null;
  readonly sum: string;
}

/** What is offered, and making a quotation of it. */
export function MakePanel({
  priced,
  from,
  act,
}: {
  readonly priced: Priced;
  readonly from: Quotations | undefined;
  readonly act: (work: () => Promise<Quotations>) => Promise<Quotations>;
}) {
  const { job, survey, state } = useSurvey();
  const { answer: sums } = useWhatIfWith('optionSums', priced.atDay);
  const [offered, setOffered] = useState<readonly string[]>([AS_RECORDED]);
  const [about, setAbout] = useState(job.wanted);
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const { isBusy, problem, submit } = useSubmit();
  const { estimate } = priced;
  const own: Offered = {
    id: AS_RECORDED,
    title: survey.proposals.map(equipmentName).join(' and ') || 'As recorded',
    note:
      (survey.stages?.length ?? 0) > 0
        ? `In ${survey.stages?.length ?? 0} steps, as planned`
        : 'As the survey is recorded',
    fits: true,
    sum: estimate.isComplete ? pounds(estimate.total.pence) : `${estimate.unpriced.length} not priced`,
  };
  const choices: readonly Offered[] = [
    own,
    ...(sums ?? []).map((option): Offered => ({
      id: option.optionId,
      title: option.title,
      note: option.why,
      fits: option.holds,
      sum: option.isComplete ? pounds(option.totalPence) : `${option.open.length} not priced`,
    })),
  ];
  const open = from?.quotations.find(({ state: at }) => at === 'made' || at === 'sent');
  const isSaved = state.saveState === 'saved';
  const make = (revises?: number): void =>
    void submit(async () => {
      await act(() =>
        makeQuotation(job.id, {
          id: crypto.randomUUID(),
          revisionId: state.head.revisionId,
          offered,
          about: about.trim(),
          pictures,
          ...(revises === undefined ? {} : { revises }),
        }),
      );
    });
  const blocked = offered.length === 0 || isBusy || !isSaved || (offered.includes(AS_RECORDED) && !estimate.isComplete);
  return (
    <Panel aria-label="Make a quotation">
      <h2>Make a quotation</h2>
      {!estimate.isComplete && offered.includes(AS_RECORDED) && (
        <Notice kind="ask" title="Lines without a price stand in the way.">
          <Link to={`/jobs/${job.id}/materials`}>Price or strike them at Materials and price</Link>
        </Notice>
      )}
      <More label="What the customer chooses from" note={`${offered.length} of ${choices.length}`}>
        <div>
          {choices.map((choice) => (
            <CheckboxField
              key={choice.id}
              isSelected={offered.includes(choice.id)}
              onChange={(isOn) => {
                setOffered(
                  choices.map(({ id }) => id).filter((id) => (id === choice.id ? isOn : offered.includes(id))),
                );
              }}
            >
              <Offer>
                <Box aria-hidden>
                  <svg width={14} height={14} viewBox="0 0 14 14">
                    <path d="M2 7.500l3.500 3.500L12 3.500" fill="none" stroke="var(--surface)" strokeWidth={2.4} />
                  </svg>
                </Box>
                <span>
                  <strong>{choice.title}</strong>
                  {choice.fits === false && <StateMark state="fails" words="Does not fit" />}
                  <span className="quiet" style={{ display: 'block', fontSize: '0.88rem' }}>
                    {choice.note}
                  </span>
                </span>
                <span style={{ fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>{choice.sum}</span>
              </Offer>
            </CheckboxField>
          ))}
        </div>
      </More>
      <p>
        <strong>{own.title}</strong>: {own.sum}
        {offered.length > 1 && `, and ${offered.length - 1} more to choose from`}
      </p>
      <More label="Words and pictures" note={pictures.length > 0 ? `${pictures.length} pictures` : ''}>
        <TextInput label="What it is about" value={about} onChange={setAbout} maxLength={2000} lines />
        {survey.photos.length === 0 ? (
          <p className="quiet">There is no photograph in the survey.</p>
        ) : (
          <div>
            {survey.photos.slice(0, 40).map(({ id, caption }, at) => (
              <CheckboxField
                key={id}
                isSelected={pictures.includes(id)}
                isDisabled={!pictures.includes(id) && pictures.length >= 12}
                onChange={(isOn) => {
                  setPictures(isOn ? [...pictures, id] : pictures.filter((each) => each !== id));
                }}
              >
                <Offer>
                  <Box aria-hidden>
                    <svg width={14} height={14} viewBox="0 0 14 14">
                      <path d="M2 7.500l3.500 3.500L12 3.500" fill="none" stroke="var(--surface)" strokeWidth={2.4} />
                    </svg>
                  </Box>
                  {caption ?? `Photograph ${at + 1}`}
                </Offer>
              </CheckboxField>
            ))}
          </div>
        )}
      </More>
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      {!isSaved && (
        <p className="quiet">Waiting until the survey is saved: a quotation is made of what the server has.</p>
      )}
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: '0.6rem' }}>
        <MainButton
          isDisabled={blocked}
          onPress={() => {
            make(open?.number);
          }}
        >
          {open ? `Make revision ${open.revision + 1} of ${open.quote.number}` : 'Make the quotation'}
        </MainButton>
      </div>
    </Panel>
  );
}
