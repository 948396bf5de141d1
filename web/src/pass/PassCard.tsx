import { puttingOff } from '@keen-gauge/core/questions/put-off';
import type { Question } from '@keen-gauge/core/questions/question';
import type { LookStop } from '@keen-gauge/core/look-list';
import { settlingPath } from '@keen-gauge/core/settling-path';
import type { PutOffTo } from '@keen-gauge/core/survey/put-off';
import { ArrowLeft, ArrowRight, CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { Button as Trigger, Disclosure, DisclosurePanel } from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { BareButton, MainButton } from '../kit/Button';
import { MenuButton } from '../kit/MenuButton';
import { isOnPad } from '../kit/pressed';
import { CameraButton } from '../photos/AddPhotos';
import { fieldUrl } from '../stations/arrival';
import { freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { CardControl } from './CardControl';
import type { Standing } from './course';
import { photoSubject } from './photo-subject';

const Frame = styled.section`
  display: grid;
  gap: 0.7rem;
  max-width: 44rem;
  margin: 0 auto;
  background: var(--surface);
  border: 1px solid var(--line);
  border-top: 4px solid var(--ink);
  border-radius: calc(var(--corner) + 2px);
  padding: 0.7rem 0.9rem 0.9rem;
  & h1 {
    font-size: 1.2rem;
  }
  @media (max-width: 60rem) {
    gap: 0.5rem;
    padding: 0.45rem 0.7rem 0.6rem;
    margin-bottom: 3.5rem;
  }
`;

const Progress = styled.p`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 1rem;
  font-size: 0.9rem;
  color: var(--quiet);
`;

const Why = styled.p`
  font-size: 0.88rem;
  line-height: 1.3;
  color: var(--quiet);
`;

const TitleRow = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
`;

const Opener = styled(Trigger)`
  display: grid;
  place-items: center;
  min-height: 44px;
  min-width: 44px;
  padding: 0;
  border: 0;
  background: transparent;
  color: var(--ink);
  cursor: pointer;
`;

/** What one does with a card; on a phone always under the thumb, whatever is above it. */
const Foot = styled.div`
  display: flex;
  gap: 0.4rem;
  align-items: stretch;
  & > :last-child {
    flex: 1;
  }
  @media (max-width: 60rem) {
    position: fixed;
    inset: auto 0 calc(56px + env(safe-area-inset-bottom)) 0;
    z-index: 5;
    padding: 0.35rem 0.5rem;
    background: var(--surface);
    border-top: 1px solid var(--line);
  }
  @media (max-width: 30rem) {
    & button {
      padding-inline: 0.55rem;
    }
  }
`;

const SKIPS: readonly { readonly value: PutOffTo | 'station'; readonly label: string }[] = [
  { value: 'customer', label: 'Ask the customer' },
  { value: 'operator', label: 'Ask the operator' },
  { value: 'not-seen', label: 'Could not see it' },
  { value: 'station', label: 'Open its station' },
];

const WAITS: Readonly<Record<string, string>> = {
  'wait customer': 'for the customer',
  'wait operator': 'for the operator',
  'wait not-seen': 'not seen',
};

export interface PassCardProps {
  readonly standing: Standing;
  readonly answered: boolean;
  readonly leftHere: number;
  readonly left: number;
  readonly waiting: readonly LookStop[];
  readonly heading: React.Ref<HTMLHeadingElement>;
  /** Whether what was done last on the card was one tap that answers, rather than typing. */
  readonly onTap: (tapped: boolean) => void;
  readonly onNext: () => void;
  readonly onBack: (() => void) | undefined;
}

/** One open question: what is asked, its big answers or keys, the photograph that proves it, and why it matters. */
export function PassCard({
  standing: { key, question, stopName },
  answered,
  leftHere,
  left,
  waiting,
  heading,
  onTap,
  onNext,
  onBack,
}: PassCardProps) {
  const { survey, store, job, me } = useSurvey();
  const navigate = useNavigate();
  const choose = (to: PutOffTo | 'station'): void => {
    if (to === 'station') {
      void navigate(fieldUrl(job.id, question.station, settlingPath(question)));
      return;
    }
    const entry = { id: freshId('put-off'), to, by: me.name, at: new Date().toISOString() };
    store.edit({ ...survey, putOff: puttingOff(survey, question, entry) });
    onNext();
  };
  const about = photoSubject(question);
  return (
    <Frame aria-label="Next question">
      <Progress role="status">
        <strong style={{ color: 'var(--ink)' }}>{stopName}</strong>
        <span>
          {leftHere} left here, {left} in all
          {waiting.map(({ id, questions }) => `, ${questions.length} ${WAITS[id] ?? ''}`).join('')}
        </span>
      </Progress>
      <Asked key={key} question={question} heading={heading} onTap={onTap} />
      <Foot>
        <BareButton aria-label="Question before" isDisabled={!onBack} onPress={() => onBack?.()}>
          <ArrowLeft size={20} aria-hidden />
        </BareButton>
        {about && question.photo !== undefined && <CameraButton {...about} of={question.photo} />}
        <MenuButton label="Skip" options={SKIPS} onChoose={choose} />
        <MainButton onPress={onNext}>
          {answered ? 'Next' : 'Leave open'} <ArrowRight size={18} aria-hidden />
        </MainButton>
      </Foot>
    </Frame>
  );
}

/** The question and what answers it, made anew for every card. */
function Asked({
  question,
  heading,
  onTap,
}: { readonly question: Question } & Pick<PassCardProps, 'heading' | 'onTap'>) {
  // Worded as it was when the card came: a title that is reworded while its answer is keyed would move the keys.
  const [asked] = useState({ title: question.title, why: question.why });
  return (
    <>
      <Disclosure>
        <TitleRow>
          <h1 id="station-name" tabIndex={-1} ref={heading}>
            {asked.title}
          </h1>
          <Opener slot="trigger" aria-label="How to find out">
            <CircleHelp size={20} aria-hidden />
          </Opener>
        </TitleRow>
        <Why>{asked.why}</Why>
        <DisclosurePanel>
          <p>
            {question.remedy}
            {question.photo !== undefined && ` Photograph: ${question.photo.toLowerCase()}.`}
          </p>
        </DisclosurePanel>
      </Disclosure>
      <div
        // A radio or a button that answers is one tap; keys and text are not.
        onClickCapture={(event) => {
          onTap(isTap(event.target));
        }}
        onInput={(event) => {
          if (!isRadio(event.target)) onTap(false);
        }}
      >
        <CardControl question={question} />
      </div>
    </>
  );
}

function isTap(target: EventTarget): boolean {
  if (!(target instanceof Element) || isOnPad(target)) return false;
  return isRadio(target) || target.closest('button, label, [role="radio"]') !== null;
}

function isRadio(target: EventTarget): boolean {
  return target instanceof HTMLInputElement && target.type === 'radio';
}
