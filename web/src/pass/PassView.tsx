import { quickPass } from '@keen-gauge/core/quick-pass';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Button, MainButton } from '../kit/Button';
import { Panel, Row, Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { asksMore } from './card-places';
import { cardAfter, cardsOf, type Standing } from './course';
import { PassCard } from './PassCard';
import { WaitingList } from './WaitingList';

/** Long enough to see what was chosen, short enough not to wait. */
const SEEN_MS = 350;

/** One question at a time over all that is open, in the order that saves steps on site. */
export default function PassView() {
  const { survey, assessment, job } = useSurvey();
  const pass = useMemo(() => quickPass(survey, assessment), [survey, assessment]);
  const cards = useMemo(() => cardsOf(pass), [pass]);
  const [at, setAt] = useState<Standing | null>(() => cardAfter(pass, null, new Set()));
  const [trail, setTrail] = useState<readonly Standing[]>([]);
  const [passed, setPassed] = useState<ReadonlySet<string>>(new Set());
  const [tapped, setTapped] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  const live = at && cards.find(({ key }) => key === at.key);
  const shown = live ?? at;
  const answered = at !== null && !live;
  const complete = answered && !asksMore(at.question, survey);

  const goTo = (next: Standing | null): void => {
    setTapped(false);
    setAt(next);
    window.scrollTo({ top: 0 });
  };
  const goOn = (): void => {
    if (shown === null) return;
    const over = new Set(passed).add(shown.key);
    setPassed(over);
    setTrail([...trail, shown]);
    goTo(cardAfter(pass, shown, over));
  };
  const goBack = (): void => {
    const before = trail.at(-1);
    if (!before) return;
    setTrail(trail.slice(0, -1));
    // It may be answered otherwise, or passed by again.
    setPassed(new Set([...passed].filter((key) => key !== before.key)));
    goTo(before);
  };

  // One tap answers and goes on; what is typed waits until it is said to be complete.
  const onward = useEffectEvent(goOn);
  const standing = at?.key;
  useEffect(() => {
    if (!complete || !tapped) return undefined;
    const timer = setTimeout(onward, SEEN_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [complete, tapped, standing]);

  // Readers of the screen and keys start at the next question, once it stands.
  const from = useRef(standing);
  useEffect(() => {
    if (from.current === standing) return;
    from.current = standing;
    heading.current?.focus({ preventScroll: true });
  }, [standing]);

  if (shown === null)
    return (
      <Stack>
        <h1 id="station-name" tabIndex={-1} ref={heading}>
          Next question
        </h1>
        <Panel aria-label="End of the pass">
          {cards.length === 0 ? (
            <>
              <p>Nothing is left to answer here.</p>
              <Row>
                <Link to={`/jobs/${job.id}/route`}>See the route</Link>
                <Link to={`/jobs/${job.id}/pack`}>Check and sign the pack</Link>
              </Row>
            </>
          ) : (
            <>
              <p>
                That was everything once. {cards.length} {cards.length === 1 ? 'question is' : 'questions are'} still
                open.
              </p>
              <Row>
                <MainButton
                  onPress={() => {
                    setPassed(new Set());
                    goTo(cardAfter(pass, null, new Set()));
                  }}
                >
                  Go through {cards.length === 1 ? 'it' : 'them'} again
                </MainButton>
                <Link to={`/jobs/${job.id}/pack`}>Check and sign the pack</Link>
              </Row>
            </>
          )}
          {trail.length > 0 && (
            <div>
              <Button onPress={goBack}>Back</Button>
            </div>
          )}
        </Panel>
        <WaitingList stops={pass.waiting} />
      </Stack>
    );
  return (
    <PassCard
      standing={shown}
      answered={answered}
      leftHere={cards.filter(({ stop }) => stop === shown.stop).length}
      left={cards.length}
      waiting={pass.waiting}
      heading={heading}
      onTap={setTapped}
      onNext={goOn}
      onBack={trail.length > 0 ? goBack : undefined}
    />
  );
}
