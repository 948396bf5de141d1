import { OPEN_PEN_NAMES, type OpenPenAssessment, type PenWay } from '@keen-gauge/core/earthing/open-pen';
import type { OpenPenMethod } from '@keen-gauge/core/survey/words/words';
import { useState } from 'react';
import { lazyPart } from '../../kit/lazy-part';
import { Choice } from '../../kit/Choice';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useSet } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { BoundAnswer, BoundChoice, BoundNumber, BoundText } from '../bound';
import { PenSteps } from './PenSteps';

const TouchChart = lazyPart(() => import('./TouchChart'));

const STATES = { suits: 'holds', 'does-not': 'fails', 'not-known': 'not-known' } as const;
const WORDS = { suits: 'OK', 'does-not': 'Does not fit', 'not-known': 'Needs evidence' } as const;

/** The four ways of protecting a vehicle outdoors, compared for this site; one is chosen, with its reason. */
export function OpenPenPanel({ way }: { readonly way: OpenPenAssessment }) {
  // A chart takes as long to draw as all the rest: not before somebody looks at it.
  const [wasOpened, setOpen] = useState(false);
  if (way.need !== 'needed')
    return (
      <Panel aria-label={`Open PEN: ${way.label}`}>
        <h2>{way.label}: open PEN conductor</h2>
        <p>
          {way.need === 'not-needed' ? (
            <StateMark state="holds" words="Nothing is needed." />
          ) : (
            <StateMark state="not-known" />
          )}{' '}
          {way.why}
        </p>
      </Panel>
    );
  return (
    <Panel aria-label={`Open PEN: ${way.label}`}>
      <h2>{way.label}: protection against an open PEN conductor</h2>
      <p className="quiet">{way.why} One of four ways is needed.</p>
      <OpenPenFields way={way} />
      <More
        label="What happens when the conductor breaks"
        note="in three pictures"
        onToggle={() => {
          setOpen(true);
        }}
      >
        <PenSteps way={way} />
        {wasOpened && <TouchChart way={way} />}
      </More>
    </Panel>
  );
}

/** Which of the four ways, and what has to be known of it. */
export function OpenPenFields({ way, brief = false }: { readonly way: OpenPenAssessment; readonly brief?: boolean }) {
  const set = useSet();
  const pen = ['proposals', way.proposalId, 'pen'] as const;
  const chosen = way.ways.find(({ method }) => method === way.chosen);
  const detects = way.chosen === 'built-in' || way.chosen === 'separate-device';
  const electrode = way.chosen === 'tt-island' || way.chosen === 'low-electrode';
  return (
    <>
      <AsLine
        field={`proposals.${way.proposalId}.openPen`}
        label="Open-PEN method"
        says={chosen && `${OPEN_PEN_NAMES[chosen.method]}: ${WORDS[chosen.state]}`}
      >
        <Choice
          label="Open-PEN method"
          tile="13rem"
          value={way.chosen ?? undefined}
          options={way.ways.map((each) => ({
            value: each.method,
            label: OPEN_PEN_NAMES[each.method],
            // Once one is chosen, what the others need is read where it is asked for.
            picture: <WayVerdict way={each} brief={brief || (chosen !== undefined && each !== chosen)} />,
          }))}
          onChange={(next: OpenPenMethod) => {
            set(['proposals', way.proposalId, 'openPen'], next);
          }}
        />
        {!brief && chosen !== undefined && (
          <More label="What the others need">
            {way.ways
              .filter((each) => each !== chosen)
              .map((each) => (
                <p key={each.method}>
                  <strong>{OPEN_PEN_NAMES[each.method]}:</strong> {each.reasons.join(' ')}
                </p>
              ))}
          </More>
        )}
      </AsLine>
      {way.chosen !== null && (
        <BoundText path={[...pen, 'reason']} label="Why this one" help="A line will do; it goes into the pack." />
      )}
      {detects && (
        <>
          <BoundChoice
            path={[...pen, 'detection']}
            label="How it notices the break"
            tile="13rem"
            options={[
              { value: 'voltage-window', label: 'Voltage window', note: 'Sees one line leave its limits' },
              { value: 'measuring-electrode', label: 'Measuring electrode', note: 'Sees the earth itself rise' },
            ]}
          />
          <BoundAnswer
            path={[...pen, 'declared']}
            label="Does its maker declare that line, neutral and protective conductor are disconnected?"
          />
        </>
      )}
      {electrode && (
        <FieldGrid>
          <BoundNumber path={[...pen, 'electrodeOhm']} label="Its electrode" />
          {way.chosen === 'tt-island' && (
            <BoundNumber
              path={[...pen, 'islandDistanceM']}
              label="To the nearest metal earthed through the supply"
              help="Lamp posts, railings, taps, a neighbour’s charger."
            />
          )}
        </FieldGrid>
      )}
      {way.chosen === 'tt-island' && (
        <BoundAnswer
          path={[...pen, 'islandClear']}
          label="Are its buried parts clear of buried metal bonded to the supply’s earth?"
        />
      )}
      {way.chosen !== null && way.chosen !== 'low-electrode' && (
        <BoundAnswer
          path={[...pen, 'secondEarthPath']}
          label="Is the charger’s frame joined to the installation’s earth by a second path?"
          help="An armour gland at the charger, or a metal fixing that is bonded indoors. It would defeat the disconnection."
        />
      )}
    </>
  );
}

function WayVerdict({ way, brief }: { readonly way: PenWay; readonly brief: boolean }) {
  return (
    <span style={{ display: 'block', marginTop: '0.2rem', fontSize: '0.92rem' }}>
      <StateMark state={STATES[way.state]} words={WORDS[way.state]} />
      {(brief ? [] : way.reasons).map((reason) => (
        <span key={reason} className="quiet" style={{ display: 'block' }}>
          {reason}
        </span>
      ))}
    </span>
  );
}
