import type { OpenPenAssessment } from '@keen-gauge/core/earthing/open-pen';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { Row } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';

const Frame = styled.figure`
  margin: 0;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem;
  display: grid;
  gap: 0.5rem;
  & figcaption {
    font-size: 0.95rem;
    min-height: 4.3em;
  }
`;

/** What happens when the combined conductor breaks, in three pictures; the voltages are this site's own. */
export function PenSteps({ way }: { readonly way: OpenPenAssessment }) {
  const { rules } = useSurvey();
  const [step, setStep] = useState(0);
  const { highestV, touchV } = rules.earthing.pen.value;
  const nominalV = rules.nominalVoltageV.value;
  const withElectrode =
    way.touchV !== null && way.electrodeOhm !== null
      ? ` With the electrode of ${way.electrodeOhm} Ω and ${way.loadA?.toFixed(1) ?? '?'} A of load it would stand at about ${way.touchV.toFixed(0)} V.`
      : '';
  const words = [
    'As it should be. Load current goes back along the combined conductor, which also earths the vehicle’s body: it stays within a few volts of the ground.',
    `The combined conductor breaks in the street. The current has no way back but through earthed metal: with nothing else earthed that metal rises towards ${nominalV} V, ${highestV} V at the most. RCDs see nothing wrong: what goes out comes back.${withElectrode}`,
    `Protection opens line, neutral and protective conductor together, so that the vehicle is joined to nothing. What it holds the touch voltage under, or acts at, is ${touchV} V. A second path to the installation’s earth would leave it live.`,
  ];
  return (
    <Frame aria-label="What happens when the conductor breaks">
      <Picture step={step} />
      <figcaption aria-live="polite">
        <strong>{step + 1} of 3.</strong> {words[step]}
      </figcaption>
      <Row>
        <Button
          isDisabled={step === 0}
          onPress={() => {
            setStep(step - 1);
          }}
        >
          Back
        </Button>
        <Button
          isDisabled={step === 2}
          onPress={() => {
            setStep(step + 1);
          }}
        >
          {step === 0 ? 'Break the conductor' : 'Let protection act'}
        </Button>
      </Row>
    </Frame>
  );
}

function Picture({ step }: { readonly step: number }) {
  const broken = step > 0;
  const open = step === 2;
  const live = step === 1;
  return (
    <svg
      style={{ maxWidth: '36rem' }}
      viewBox="0 0 460 150"
      width="100%"
      aria-hidden
      focusable="false"
      fill="none"
      stroke="var(--ink)"
      strokeWidth={2}
    >
      <path d="M4 128h452" stroke="var(--strong-line)" />
      {/* The street: a transformer, its two conductors, and its electrode. */}
      <rect x={14} y={28} width={44} height={50} rx={4} />
      <path d="M24 40c8 0 8 8 0 8s-8 8 0 8M48 40c-8 0-8 8 0 8s8 8 0 8" />
      <path d="M36 78v50M28 128h16M31 134h10M34 140h4" />
      <path d="M58 38H300" stroke="var(--now)" strokeWidth={3} />
      <path d={broken ? 'M58 70h62' : 'M58 70h88'} strokeWidth={3} />
      <path d="M146 70h154" stroke={live ? 'var(--hold)' : 'var(--ink)'} strokeWidth={3} />
      {broken && <path d="M122 60l10 20M134 60l10 20" stroke="var(--hold)" strokeWidth={3} />}
      {/* The house: its load between line and combined conductor. */}
      <path d="M196 20l34-16 34 16v80h-68z" strokeWidth={1.6} stroke="var(--quiet)" />
      <rect x={222} y={44} width={16} height={20} fill="var(--surface)" />
      <path d="M230 38v6M230 64v6" />
      {/* The charger's three poles, and the vehicle. */}
      <Pole x={300} y={38} open={open} />
      <Pole x={300} y={70} open={open} />
      <path d="M330 38h40" stroke="var(--now)" />
      <path d="M330 70h20v24" stroke={live ? 'var(--hold)' : 'var(--ink)'} />
      <path
        d="M346 112c-10 0-12-16 0-18l10-16h52l16 16c14 2 14 18 2 18z"
        fill={live ? 'color-mix(in srgb, var(--hold) 22%, var(--surface))' : 'var(--surface)'}
        stroke={live ? 'var(--hold)' : 'var(--ink)'}
        strokeWidth={live ? 3 : 2}
      />
      <circle cx={366} cy={116} r={9} fill="var(--surface)" />
      <circle cx={408} cy={116} r={9} fill="var(--surface)" />
      <text x={304} y={20} fontSize={12} fill="var(--ink)" stroke="none">
        {open ? 'open' : ''}
      </text>
      <text x={378} y={70} fontSize={12} fontWeight={700} fill="var(--hold)" stroke="none">
        {live ? 'its body: live' : ''}
      </text>
      <text x={66} y={30} fontSize={12} fill="var(--now)" stroke="none">
        line
      </text>
      <text x={66} y={92} fontSize={12} fill="var(--ink)" stroke="none">
        neutral and earth in one
      </text>
    </svg>
  );
}

function Pole({ x, y, open }: { readonly x: number; readonly y: number; readonly open: boolean }) {
  return (
    <>
      <circle cx={x + 3} cy={y} r={3} fill="var(--ink)" stroke="none" />
      <circle cx={x + 29} cy={y} r={3} fill="var(--ink)" stroke="none" />
      <path d={open ? `M${x + 3} ${y}l22-14` : `M${x + 3} ${y}h26`} />
    </>
  );
}
