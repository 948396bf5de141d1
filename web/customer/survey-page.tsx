import { useEffect, useRef, useState } from 'preact/hooks';
import { stepsToGo, type Asked, type AskedStep } from './asked';
import type { Outbox, Standing } from './outbox';
import { Danger, StepPage } from './step-page';

const STANDING_WORDS: Readonly<Record<Standing['is'], string>> = {
  draft: 'Not sent yet',
  sending: 'Sending …',
  waiting: 'Waits for a connection. It is sent by itself.',
  arrived: 'Arrived',
  refused: 'Needs another look',
};

/** The whole survey: what is kept and why, one step after another, and at the end what of it has arrived. */
export function SurveyPage({
  asked,
  outbox,
  onDone,
}: {
  readonly asked: Asked;
  readonly outbox: Outbox;
  readonly onDone: () => Promise<void>;
}) {
  const danger = outbox.of('danger');
  // Somebody who is not sure whether it burns is not sent back to look either.
  const isDangerous = danger !== undefined && danger.says.choice !== undefined && danger.says.choice !== 'no';
  const [wasDangerous, setDangerous] = useState(false);
  const steps = stepsToGo(asked, isDangerous || wasDangerous);
  const begun = steps.some(({ id }) => outbox.of(id) !== undefined);
  const [at, setAt] = useState(begun ? firstOpen(steps, outbox) : -1);
  const top = useRef<HTMLElement>(null);
  useEffect(() => {
    window.scrollTo(0, 0);
    const heading = top.current && top.current.querySelector<HTMLElement>('h1');
    if (heading && at >= 0) heading.focus();
  }, [at]);
  const step = steps[at];

  return (
    <main ref={top}>
      <header>
        <strong>{asked.firm}</strong>
        {at >= 0 && (
          <>
            <span>{at < steps.length ? `Step ${at + 1} of ${steps.length}` : 'The end'}</span>
            <progress value={Math.min(at, steps.length)} max={steps.length} aria-label="How far you are" />
          </>
        )}
      </header>
      {at < 0 && (
        <Before
          asked={asked}
          count={steps.length}
          onStart={() => {
            setAt(firstOpen(steps, outbox));
          }}
        />
      )}
      {step && (
        <StepPage
          key={step.id}
          step={step}
          entry={outbox.of(step.id)}
          firm={asked.firm}
          telephone={asked.telephone}
          onDraft={(says, pictures) => void outbox.draft(step.id, says, pictures)}
          onSend={(says, pictures) => {
            if (step.id === 'danger' && says.choice !== 'no') setDangerous(true);
            // The next step is shown once this one is kept: what looks done survives a closed page.
            void outbox.send(step.id, says, pictures).then(() => {
              setAt(at + 1);
            });
          }}
          onSkip={() => {
            setAt(at + 1);
          }}
        />
      )}
      {at >= steps.length && (
        <>
          {wasDangerous && <Danger firm={asked.firm} telephone={asked.telephone} />}
          <End steps={steps} outbox={outbox} firm={asked.firm} onGo={setAt} onDone={onDone} />
        </>
      )}
      {at > 0 && at <= steps.length && (
        <button
          type="button"
          onClick={() => {
            setAt(at - 1);
          }}
        >
          Back
        </button>
      )}
    </main>
  );
}

/** The first step that is not on its way; past the end where all are. */
function firstOpen(steps: readonly AskedStep[], outbox: Outbox): number {
  const found = steps.findIndex(({ id }) => {
    const entry = outbox.of(id);
    return !entry || entry.standing.is === 'draft' || entry.standing.is === 'refused';
  });
  return found < 0 ? steps.length : found;
}

function Before({
  asked,
  count,
  onStart,
}: {
  readonly asked: Asked;
  readonly count: number;
  readonly onStart: () => void;
}) {
  const isAgain = asked.steps.some((step) => step.again !== null && !step.isIn);
  if (count === 0)
    return (
      <section>
        <h1>Everything has arrived</h1>
        <p>Thank you. {asked.firm} will be in touch. You can close this page.</p>
      </section>
    );
  return (
    <section>
      <h1>{isAgain ? `${count === 1 ? 'One thing' : `${count} things`} again, please` : 'Your electricity supply'}</h1>
      {isAgain ? (
        <p>The rest has arrived, thank you. {asked.firm} says why at each.</p>
      ) : (
        <p>
          {count} steps, each a photo or an answer: about {Math.max(5, count)} minutes. You can stop at any time and
          open the link again later; nothing is lost.
        </p>
      )}
      <p class="care">
        <strong>Do not open, unscrew, unplug or touch anything,</strong> and do not climb. If something near the meter
        is hot, scorched, buzzing or smells of burning, keep away from it and ring <a href="tel:105">105</a>.
      </p>
      <h2>What happens with it</h2>
      <p>
        {asked.firm} uses what you send to plan your electricity supply, and keeps it{' '}
        {asked.keptMonths === null ? 'as long as your job is open and the law asks' : `for ${asked.keptMonths} months`}.
        Where a photo was taken, and with which phone, is removed from it. What goes into the papers for the network
        operator is kept with them. Ask {asked.firm} to see or erase it
        {asked.telephone === '' && asked.email === ''
          ? '.'
          : `: ${[asked.telephone, asked.email].filter((each) => each !== '').join(', ')}.`}
      </p>
      <button type="button" class="main" onClick={onStart}>
        Start
      </button>
    </section>
  );
}

function End({
  steps,
  outbox,
  firm,
  onGo,
  onDone,
}: {
  readonly steps: readonly AskedStep[];
  readonly outbox: Outbox;
  readonly firm: string;
  readonly onGo: (at: number) => void;
  readonly onDone: () => Promise<void>;
}) {
  const [done, setDone] = useState<'no' | 'yes' | 'failed'>('no');
  const standings = steps.map(({ id }) => {
    const entry = outbox.of(id);
    return entry ? entry.standing : undefined;
  });
  const arrived = standings.filter((each) => each !== undefined && each.is === 'arrived').length;
  const isOnItsWay = standings.some((each) => each !== undefined && (each.is === 'sending' || each.is === 'waiting'));
  if (done === 'yes')
    return (
      <section>
        <h1>Thank you</h1>
        <p>{firm} looks at it and will be in touch. You can close this page.</p>
      </section>
    );
  return (
    <section>
      <h1>
        {arrived} of {steps.length} arrived
      </h1>
      <ol>
        {steps.map((step, at) => {
          const standing = standings[at];
          return (
            <li key={step.id}>
              {step.ask}
              <br />
              <span class={standing && standing.is === 'arrived' ? 'arrived' : 'open'}>
                {standing ? STANDING_WORDS[standing.is] : 'Not answered'}
                {standing && standing.is === 'refused' ? `: ${standing.says}` : ''}
              </span>{' '}
              {!(standing && (standing.is === 'arrived' || standing.is === 'sending')) && (
                <button
                  type="button"
                  onClick={() => {
                    onGo(at);
                  }}
                >
                  {standing ? 'Look at it' : 'Answer it'}
                </button>
              )}
            </li>
          );
        })}
      </ol>
      {isOnItsWay && (
        <p role="status">
          Something is still on its way. Leave this page open where there is a signal.{' '}
          <button
            type="button"
            onClick={() => {
              outbox.go();
            }}
          >
            Try now
          </button>
        </p>
      )}
      {done === 'failed' && (
        <p class="problem" role="alert">
          There is no connection. Try again in a moment.
        </p>
      )}
      {arrived > 0 && (
        <button
          type="button"
          class="main"
          disabled={isOnItsWay}
          onClick={() => {
            onDone().then(
              () => {
                setDone('yes');
              },
              () => {
                setDone('failed');
              },
            );
          }}
        >
          I am finished
        </button>
      )}
    </section>
  );
}
