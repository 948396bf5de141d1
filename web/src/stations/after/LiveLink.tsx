import { Cable, Unplug } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { holdTo, linkChargePoint, unlinkChargePoint, writeSettings, type LinkDetails } from '../../api/charge-points';
import { BareButton, Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Row } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { LinkState, Live } from './live-link';

const Face = styled.section`
  display: grid;
  gap: 0.6rem;
  padding: 0.8rem 1rem;
  border: 2px solid var(--ink);
  border-radius: var(--corner);
  background: var(--raised);
`;

const Readings = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(9rem, 100%), 1fr));
  gap: 0.4rem 1rem;
  & dt {
    color: var(--quiet);
    font-size: 0.9rem;
  }
  & dd {
    margin: 0;
    font-size: 1.7rem;
    font-weight: 700;
    line-height: 1.15;
  }
`;

const Typed = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0.2rem 0.8rem;
  & dd {
    margin: 0;
    overflow-wrap: anywhere;
  }
`;

/** The charge point’s own link: making it, what it shows now, writing the settings, ending it. */
export function LiveLink({ proposal, link }: { readonly proposal: Proposal; readonly link: LinkState }) {
  const { job } = useSurvey();
  const [details, setDetails] = useState<LinkDetails | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const { live, refresh } = link;
  const attempt = async (work: () => Promise<string | null>): Promise<void> => {
    setWrong(null);
    try {
      setWrong(await work());
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'It did not work.');
    }
    refresh();
  };
  const make = (): void =>
    void attempt(async () => {
      setDetails(await linkChargePoint(job.id, proposal.id));
      return null;
    });
  if (live === undefined)
    return link.error ? <p className="quiet">No link: {link.error.message} Figures can be typed.</p> : null;
  if (live === null)
    return (
      <Row>
        <Button onPress={make}>
          <Cable size={18} aria-hidden /> Link the charge point
        </Button>
        <span className="quiet">
          Where it speaks OCPP 1.6-J its readings come in by themselves; or type them below.
        </span>
        {wrong !== null && <Notice kind="act" title={wrong} />}
      </Row>
    );
  const { point } = live;
  return (
    <Face aria-label="Link to the charge point">
      <Row style={{ justifyContent: 'space-between' }}>
        <StateMark
          state={point.connected && !live.view.silent ? 'holds' : 'not-known'}
          words={
            !point.connected ? 'Waiting for it to call in' : live.view.silent ? 'Connected, tells nothing' : 'Live'
          }
        />
        <BareButton
          onPress={() =>
            void attempt(async () => {
              await unlinkChargePoint(job.id, point.id);
              setDetails(null);
              return null;
            })
          }
        >
          <Unplug size={18} aria-hidden /> End the link
        </BareButton>
      </Row>
      {details?.id === point.id && !point.connected && <Details details={details} />}
      {details?.id !== point.id && !point.connected && (
        <p className="quiet">
          It is called {point.name}. Its key was shown when the link was made; if it is lost, end the link and make
          another.
        </p>
      )}
      {point.connected && <Shown live={live} />}
      {point.connected && (
        <WriteSettings
          proposal={proposal}
          onWrite={(settings) =>
            void attempt(async () =>
              (await writeSettings(job.id, point.id, settings)).accepted
                ? null
                : 'The charge point did not take all of them: set them in the equipment, then read them.',
            )
          }
        />
      )}
      {point.connected && proposal.ratedA !== undefined && (
        <HoldStill
          ratedA={proposal.ratedA}
          onHold={(limitA) =>
            void attempt(async () =>
              (await holdTo(job.id, point.id, limitA)).accepted ? null : 'The charge point took no such limit.',
            )
          }
        />
      )}
      {wrong !== null && <Notice kind="act" title={wrong} />}
    </Face>
  );
}

function Details({ details }: { readonly details: LinkDetails }) {
  const address = `${window.location.protocol === 'https:' ? 'wss' : 'ws'}://${window.location.host}/ocpp`;
  return (
    <>
      <p>Type this into the charge point, as its maker says. The key is shown this once.</p>
      <Typed>
        <dt>Address</dt>
        <dd className="figures">{address}</dd>
        <dt>Name</dt>
        <dd className="figures">{details.name}</dd>
        <dt>Key</dt>
        <dd className="figures">{details.key}</dd>
      </Typed>
    </>
  );
}

function Shown({ live: { view, point } }: { readonly live: Live }) {
  const amperes = (value: number | null): string => (value === null ? 'none' : `${value.toFixed(1)} A`);
  return (
    <>
      <Readings>
        <div>
          <dt>Clamp reads</dt>
          <dd className="figures">{amperes(view.inletA)}</dd>
        </div>
        <div>
          <dt>Charger draws</dt>
          <dd className="figures">{amperes(view.outletA)}</dd>
        </div>
        <div>
          <dt>Readings</dt>
          <dd>{view.silent ? 'old' : view.steady ? 'steady' : 'moving'}</dd>
        </div>
      </Readings>
      {point.status && (
        <p className="quiet">
          It says: {point.status.status}
          {point.status.info === '' ? '' : `, ${point.status.info}`}
        </p>
      )}
    </>
  );
}

/** Held at its least, the charger stands still while a known load is put on. */
function HoldStill({ ratedA, onHold }: { readonly ratedA: number; readonly onHold: (limitA: number) => void }) {
  const { rules } = useSurvey();
  return (
    <Row>
      {[rules.leastChargingA.value, ratedA].map((limitA, at) => (
        <Button
          key={limitA}
          onPress={() => {
            onHold(limitA);
          }}
        >
          {at === 0 ? 'Hold it at' : 'Let it go to'} {limitA} A
        </Button>
      ))}
    </Row>
  );
}

function WriteSettings({
  proposal: { limiter },
  onWrite,
}: {
  readonly proposal: Proposal;
  readonly onWrite: (settings: { setPointA: number; failSafeA: number }) => void;
}) {
  const { setPointA, failSafeA } = limiter;
  if (setPointA === undefined || failSafeA === undefined) return null;
  return (
    <div>
      <Button
        onPress={() => {
          onWrite({ setPointA, failSafeA });
        }}
      >
        Send it {setPointA} A and fail-safe {failSafeA} A
      </Button>
    </div>
  );
}
