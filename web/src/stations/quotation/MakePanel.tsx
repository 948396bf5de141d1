import { pounds } from '@keen-gauge/core/money/pence';
import { fits, type Fit } from '@keen-gauge/core/options/fits';
import { AS_RECORDED } from '@keen-gauge/core/quote/compose';
import type { StageSum } from '@keen-gauge/core/stages/sums';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSubmit } from '../../api/use-submit';
import { makeQuotation, type Quotations } from '../../api/quotations';
import { MainButton } from '../../kit/Button';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { TickRow, Ticks } from '../../kit/TickRow';
import { TextInput } from '../../kit/TextInput';
import { StateMark } from '../../kit/StateMark';
import type { Priced } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { useStored } from '../../survey/use-field';
import { useWhatIfWith } from '../../what-if/use-what-if';

interface Offered {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly fits: boolean | null;
  readonly sum: string;
}

interface RecordedSum {
  readonly words: string;
  readonly isComplete: boolean;
  /** Something has no price; false too while it is still being worked out. */
  readonly isOpen: boolean;
  /** Whether it fits, of steps every one; null while something that decides it is not known. */
  readonly fits: boolean | null;
  readonly why: string;
}

/** What the survey as recorded comes to: the sum of its steps where it is done in several. */
function recordedSum({ estimate }: Priced, fit: Fit, stages: number, steps: readonly StageSum[] | null): RecordedSum {
  if (stages === 0) {
    const { isComplete, total, unpriced } = estimate;
    return {
      isComplete,
      isOpen: !isComplete,
      words: isComplete ? pounds(total.pence) : `${unpriced.length} not priced`,
      fits: fit.answer,
      why: fit.why,
    };
  }
  if (steps?.length !== stages)
    return {
      isComplete: false,
      isOpen: false,
      words: 'being worked out …',
      fits: null,
      why: 'Its steps are being worked out.',
    };
  const open = steps.filter(({ isComplete, gap }) => !isComplete || gap !== null).length;
  const decides = steps.find((each) => each.fits === false) ?? steps.find((each) => each.fits === null);
  return {
    isComplete: open === 0,
    isOpen: open > 0,
    words: open === 0 ? pounds(steps.reduce((sum, { totalPence }) => sum + totalPence, 0)) : `${open} steps not priced`,
    fits: decides ? decides.fits : true,
    why: decides ? `${decides.name}: ${decides.why}` : '',
  };
}

/** Nothing where it fits: what a customer is offered is expected to. */
function FitMark({ fits: answer }: { readonly fits: boolean | null }) {
  if (answer === true) return null;
  return answer === false ? (
    <StateMark state="fails" words="Does not fit" />
  ) : (
    <StateMark state="not-known" words="Not known yet" />
  );
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
  const { job, survey, assessment } = useSurvey();
  const isSaved = useStored(({ saveState }) => saveState === 'saved');
  const revisionId = useStored(({ head }) => head.revisionId);
  const { answer: sums } = useWhatIfWith('optionSums', priced.atDay);
  const { answer: steps } = useWhatIfWith('stageSums', priced.atDay);
  const [offered, setOffered] = useState<readonly string[]>([AS_RECORDED]);
  const [about, setAbout] = useState(job.wanted);
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const { isBusy, problem, submit } = useSubmit();
  const asRecorded = recordedSum(priced, fits(assessment), survey.stages?.length ?? 0, steps);
  const own: Offered = {
    id: AS_RECORDED,
    title: survey.proposals.map(equipmentName).join(' and ') || 'As recorded',
    note:
      (survey.stages?.length ?? 0) > 0
        ? `In ${survey.stages?.length ?? 0} steps, as planned`
        : 'As the survey is recorded',
    fits: asRecorded.fits,
    sum: asRecorded.words,
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
  const make = (revises?: number): void =>
    void submit(async () => {
      await act(() =>
        makeQuotation(job.id, {
          id: crypto.randomUUID(),
          revisionId,
          offered,
          about: about.trim(),
          pictures,
          ...(revises === undefined ? {} : { revises }),
        }),
      );
    });
  const blocked =
    offered.length === 0 || isBusy || !isSaved || (offered.includes(AS_RECORDED) && !asRecorded.isComplete);
  return (
    <Panel aria-label="Make a quotation">
      <h2>Make a quotation</h2>
      {asRecorded.isOpen && offered.includes(AS_RECORDED) && (
        <Notice kind="ask" title="Lines without a price stand in the way.">
          <Link to={`/jobs/${job.id}/materials`}>Price or strike them at Materials and price</Link>
        </Notice>
      )}
      <More label="What the customer chooses from" note={`${offered.length} of ${choices.length}`}>
        <Ticks>
          {choices.map((choice) => (
            <TickRow
              key={choice.id}
              isSelected={offered.includes(choice.id)}
              onChange={(isOn) => {
                setOffered(
                  choices.map(({ id }) => id).filter((id) => (id === choice.id ? isOn : offered.includes(id))),
                );
              }}
              end={<span style={{ fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>{choice.sum}</span>}
            >
              <strong>{choice.title}</strong>
              <FitMark fits={choice.fits} />
              <span className="quiet" style={{ display: 'block', fontSize: '0.88rem' }}>
                {choice.note}
              </span>
            </TickRow>
          ))}
        </Ticks>
      </More>
      <p>
        <strong>{own.title}</strong>: {own.sum}
        {offered.length > 1 && `, and ${offered.length - 1} more to choose from`} <FitMark fits={own.fits} />
      </p>
      {own.fits !== true && offered.includes(AS_RECORDED) && <p className="quiet">{asRecorded.why}</p>}
      <More label="Words and pictures" note={pictures.length > 0 ? `${pictures.length} pictures` : ''}>
        <TextInput label="What it is about" value={about} onChange={setAbout} maxLength={2000} lines />
        {survey.photos.length === 0 ? (
          <p className="quiet">There is no photograph in the survey.</p>
        ) : (
          <Ticks>
            {survey.photos.slice(0, 40).map(({ id, caption }, at) => (
              <TickRow
                key={id}
                isSelected={pictures.includes(id)}
                isDisabled={!pictures.includes(id) && pictures.length >= 12}
                onChange={(isOn) => {
                  setPictures(isOn ? [...pictures, id] : pictures.filter((each) => each !== id));
                }}
              >
                {caption ?? `Photograph ${at + 1}`}
              </TickRow>
            ))}
          </Ticks>
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
