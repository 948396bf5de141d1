import {
  commissioningSteps,
  seenAt,
  stepSubject,
  testPlaces,
  type TestPlace,
} from '@keen-gauge/core/management/commissioning';
import type { ClampPlaceTest, LimiterTest, Proposal } from '@keen-gauge/core/survey/proposal';
import type { CommissioningStepId } from '@keen-gauge/core/survey/words/words';
import { useState, type ReactNode } from 'react';
import { readSettings } from '../../api/charge-points';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { NumberInput } from '../../kit/NumberInput';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { setting } from '../../survey/edits';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber, BoundText, useSetMember } from '../bound';
import { LiveLink } from './LiveLink';
import { useLiveLink, type Live } from './live-link';
import { RowPulled } from './RowPulled';

/** The record of commissioning a limiter: what was seen at each step, read over the link or typed, judged at once. */
export function CommissioningPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store, me, job } = useSurvey();
  const link = useLiveLink(proposal.id);
  const [wrong, setWrong] = useState<string | null>(null);
  const path = ['proposals', proposal.id, 'limiter', 'test'] as const;
  const { test } = proposal.limiter;

  /** Enters what was read for a step, as one change, with when and by whom. */
  const take = (step: CommissioningStepId, valueA: number, read: Partial<LimiterTest>): void => {
    const others = (test?.overLink ?? []).filter(({ id }) => id !== step);
    const overLink = [...others, { id: step, valueA, readAt: new Date().toISOString(), readBy: me.name }];
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) =>
        each.id === proposal.id
          ? { ...each, limiter: { ...each.limiter, test: { ...each.limiter.test, ...read, overLink } } }
          : each,
      ),
    });
  };
  const takeSettings = async (live: Live): Promise<void> => {
    setWrong(null);
    try {
      const { settings } = await readSettings(job.id, live.point.id);
      const { setPointA, failSafeA } = settings;
      if (setPointA === null || failSafeA === null)
        setWrong('The charge point tells no set-point or fail-safe: read them in the equipment and type them.');
      else take('settings', setPointA, { setPointSetA: setPointA, failSafeSetA: failSafeA });
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'Its settings could not be read.');
    }
  };
  const live = link.live?.point.connected ? link.live : null;
  const [first, ...others] = testPlaces(proposal, survey);
  // The link tells lines apart and not clamps: it is that of the controller's own.
  const ofFirst = first && live ? onLine(live, first) : null;
  const fields = (step: CommissioningStepId): ReactNode => (
    <OtherPlaces
      proposal={proposal}
      places={step === 'settings' ? others.filter((each) => each.first) : others}
      step={step}
    />
  );

  return (
    <Panel aria-label="Commissioning the limiter">
      <h2>Commissioning the limiter</h2>
      <p className="quiet">
        After fitting, with everything live: for a competent person, as the maker’s instructions say.
      </p>
      <LiveLink proposal={proposal} link={link} />
      <Step
        proposal={proposal}
        step="reading"
        first={others.length > 0 ? first?.label : undefined}
        more={fields('reading')}
        at={1}
      >
        <FieldGrid>
          <BoundNumber path={[...path, 'knownLoadA']} label="Known load switched on" />
          <BoundNumber
            path={[...path, 'readingRoseA']}
            label="The reading rose by"
            help="Negative where it fell. The charger stopped or held still meanwhile."
          />
        </FieldGrid>
        {ofFirst && (
          <TakeRise
            live={ofFirst}
            onTake={(roseA) => {
              take('reading', roseA, { readingRoseA: roseA });
            }}
          />
        )}
      </Step>
      <Step
        proposal={proposal}
        step="gives-way"
        first={others.length > 0 ? first?.label : undefined}
        more={fields('gives-way')}
        at={2}
      >
        <FieldGrid>
          <BoundNumber path={[...path, 'heldAtA']} label="The reading settled at" />
          <BoundNumber path={[...path, 'chargerThenA']} label="The charger had gone down to" />
        </FieldGrid>
        {ofFirst && (
          <TakeHeld
            live={ofFirst}
            onTake={(heldAtA, chargerThenA) => {
              take('gives-way', heldAtA, { heldAtA, chargerThenA });
            }}
          />
        )}
      </Step>
      <Step
        proposal={proposal}
        step="clamp-pulled"
        first={others.length > 0 ? first?.label : undefined}
        more={fields('clamp-pulled')}
        at={3}
      >
        <FieldGrid>
          <BoundNumber path={[...path, 'pulledA']} label="Lead pulled: it went to" />
        </FieldGrid>
        <RowPulled proposal={proposal} />
        {ofFirst && (
          <TakePulled
            live={ofFirst}
            onTake={(pulledA) => {
              take('clamp-pulled', pulledA, { pulledA });
            }}
          />
        )}
      </Step>
      <Step
        proposal={proposal}
        step="settings"
        first={others.length > 0 ? first?.label : undefined}
        more={fields('settings')}
        at={4}
      >
        <FieldGrid>
          <BoundNumber path={[...path, 'setPointSetA']} label="Set-point as set" />
          <BoundNumber path={[...path, 'failSafeSetA']} label="Fail-safe as set" />
        </FieldGrid>
        {live && (
          <div>
            <Button onPress={() => void takeSettings(live)}>Read its settings</Button>
          </div>
        )}
        {wrong !== null && <Notice kind="act" title={wrong} />}
      </Step>
      <FieldGrid>
        <span>
          Commissioned by <strong>{test?.doneBy ?? 'nobody yet'}</strong>
        </span>
        <BoundText path={[...path, 'note']} label="Note" />
      </FieldGrid>
      <Row>
        <Button
          isDisabled={test?.doneAt !== undefined || me.role === 'office'}
          onPress={() => {
            store.setAll(setting([...path, 'doneBy'], me.name), setting([...path, 'doneAt'], new Date().toISOString()));
          }}
        >
          {test?.doneAt === undefined
            ? 'Sign this commissioning now'
            : `Done ${new Date(test.doneAt).toLocaleString('en-GB')}`}
        </Button>
      </Row>
    </Panel>
  );
}

/** One step: its name, what came of it, where the figure is from, and a photograph of it. */
function Step({
  proposal,
  step,
  at,
  first,
  more,
  children,
}: {
  readonly proposal: Proposal;
  readonly step: CommissioningStepId;
  readonly at: number;
  /** What the first clamp and line is called, where there are others. */
  readonly first: string | undefined;
  readonly more: ReactNode;
  readonly children: ReactNode;
}) {
  const { survey, rules } = useSurvey();
  const found = commissioningSteps(proposal, survey, rules).find(({ id }) => id === step);
  if (!found) return null;
  const { title, state, says, overLink } = found;
  return (
    <Stack as="section" aria-label={title} style={{ '--gap': '0.6rem' }}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h3>
          {at}. {title}
        </h3>
        <StateMark state={state} words={{ holds: 'Passed', fails: 'Failed', 'not-known': 'Not done yet' }[state]} />
      </Row>
      {state !== 'not-known' && (
        <p className="quiet">
          {says}; {overLink ? `read over its link by ${overLink.readBy}` : 'typed'}
        </p>
      )}
      {first !== undefined && <h4 style={{ margin: 0 }}>{first}</h4>}
      {children}
      {more}
      <PhotoStrip subject="commissioning" subjectId={stepSubject(step, proposal.id)} of={title} />
    </Stack>
  );
}

/** What is entered of a step at each clamp and on each line. */
const ENTERED: Readonly<
  Record<
    CommissioningStepId,
    readonly { readonly field: Exclude<keyof ClampPlaceTest, 'id'>; readonly label: string }[]
  >
> = {
  reading: [
    { field: 'knownLoadA', label: 'Known load switched on' },
    { field: 'readingRoseA', label: 'The reading rose by' },
  ],
  'gives-way': [
    { field: 'heldAtA', label: 'The reading settled at' },
    { field: 'chargerThenA', label: 'The charger had gone down to' },
  ],
  'clamp-pulled': [{ field: 'pulledA', label: 'Lead pulled: it went to' }],
  settings: [{ field: 'setPointSetA', label: 'Set-point as set' }],
};

/** The same step at every further clamp and line, each by itself. */
function OtherPlaces({
  proposal,
  places,
  step,
}: {
  readonly proposal: Proposal;
  readonly places: readonly TestPlace[];
  readonly step: CommissioningStepId;
}) {
  return places.map((place) => (
    <section key={place.id} aria-label={place.label} style={{ display: 'grid', gap: '0.4rem' }}>
      <h4 style={{ margin: 0 }}>{place.label}</h4>
      <PlaceFields proposal={proposal} place={place} step={step} />
    </section>
  ));
}

function PlaceFields({
  proposal,
  place,
  step,
}: {
  readonly proposal: Proposal;
  readonly place: TestPlace;
  readonly step: CommissioningStepId;
}) {
  const set = useSetMember(['proposals', proposal.id, 'limiter', 'test', 'places'], place.id ?? '');
  const seen = seenAt(place, proposal.limiter.test ?? {});
  return (
    <FieldGrid>
      {ENTERED[step].map(({ field, label }) => (
        <NumberInput
          key={field}
          label={label}
          unit="A"
          least={field === 'readingRoseA' ? -1000 : 0}
          most={field === 'heldAtA' || field === 'setPointSetA' ? 3000 : 1000}
          value={seen[field]}
          onChange={(value) => {
            set(field, value);
          }}
        />
      ))}
    </FieldGrid>
  );
}

/** What the link shows of the line of a place; of all of them where it has none of its own. */
function onLine(live: Live, { phase }: TestPlace): Live {
  if (phase === null) return live;
  const { inlet, outlet } = live.view;
  return { ...live, view: { ...live.view, inletA: inlet[phase] ?? null, outletA: outlet[phase] ?? null } };
}

/** Reading before, known load on, reading after. */
function TakeRise({ live, onTake }: { readonly live: Live; readonly onTake: (roseA: number) => void }) {
  const [before, setBefore] = useState<number | null>(null);
  const { inletA, steady } = live.view;
  const ready = inletA !== null && steady;
  return (
    <Row>
      <Button
        isDisabled={!ready}
        onPress={() => {
          setBefore(inletA);
        }}
      >
        {before === null ? 'Take the reading before' : `Before: ${before.toFixed(1)} A. Take it again`}
      </Button>
      {before !== null && (
        <Button
          isDisabled={!ready}
          onPress={() => {
            if (inletA !== null) onTake(Math.round((inletA - before) * 10) / 10);
          }}
        >
          Load on: take what it rose by
        </Button>
      )}
      <Now live={live} wanted="reading" />
    </Row>
  );
}

function TakeHeld({
  live,
  onTake,
}: {
  readonly live: Live;
  readonly onTake: (heldAtA: number, chargerThenA: number) => void;
}) {
  const { inletA, outletA, steady } = live.view;
  const ready = inletA !== null && inletA >= 0 && outletA !== null && steady;
  return (
    <Row>
      <Button
        isDisabled={!ready}
        onPress={() => {
          if (inletA !== null && outletA !== null) onTake(inletA, outletA);
        }}
      >
        Take what it settled at
      </Button>
      <Now live={live} wanted="reading" />
    </Row>
  );
}

function TakePulled({ live, onTake }: { readonly live: Live; readonly onTake: (pulledA: number) => void }) {
  const { inletA, outletA, steady, silent } = live.view;
  const ready = !silent && inletA === null && outletA !== null && steady;
  return (
    <Row>
      <Button
        isDisabled={!ready}
        onPress={() => {
          if (outletA !== null) onTake(outletA);
        }}
      >
        Lead pulled: take what it went to
      </Button>
      <Now live={live} wanted="none" />
    </Row>
  );
}

/** What the link shows at this moment, beside the button that takes it, and why it cannot be taken yet. */
function Now({ live: { view }, wanted }: { readonly live: Live; readonly wanted: 'reading' | 'none' }) {
  const amperes = (value: number | null): string => (value === null ? 'nothing' : `${value.toFixed(1)} A`);
  const why = view.silent
    ? 'Nothing has come for a while.'
    : wanted === 'reading' && view.inletA === null
      ? 'It has no reading of its clamp.'
      : wanted === 'none' && view.inletA !== null
        ? 'The clamp still reads.'
        : view.steady
          ? ''
          : 'Coming to rest …';
  return (
    <span className="quiet">
      Clamp <strong className="figures">{amperes(view.inletA)}</strong>, charger{' '}
      <strong className="figures">{amperes(view.outletA)}</strong>. {why}
    </span>
  );
}
