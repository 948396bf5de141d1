import { logDoubts } from '@keen-gauge/core/demand/measured/seen';
import type { Measurement } from '@keen-gauge/core/survey/measurement';
import type { MeasurementKind } from '@keen-gauge/core/survey/words/words';
import { Activity, Eye, Plus, Trash2, Zap } from 'lucide-react';
import { useState } from 'react';
import { logUrl } from '../api/logs';
import { BareButton, Button, ButtonLink } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { takenWords } from '../photos/taken-words';
import { BoundNumber, BoundText, freshId } from '../stations/bound';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { LOG_DOUBT_WORDS } from '@keen-gauge/core/questions/loads';
import { ImportSheet } from './ImportSheet';

const NAMES: Readonly<Record<MeasurementKind, string>> = {
  spot: 'Spot reading',
  'full-load-test': 'Full-load test',
  logger: 'Log',
  'half-hourly': 'Half-hourly consumption',
};

/** What was measured of the demand: logs, readings at a glance, the test with everything on. */
export function MeasurementsPanel() {
  const { survey, store, assessment, me } = useSurvey();
  const [importing, setImporting] = useState<{ kept: Measurement | null } | null>(null);
  const add = (kind: 'spot' | 'full-load-test'): void => {
    const measurement: Measurement = {
      id: freshId(kind),
      kind,
      phases: assessment.supply.phases.map((id) => ({ id })),
      takenBy: me.name,
      takenAt: new Date().toISOString(),
    };
    store.edit({ ...survey, measurements: [...survey.measurements, measurement] });
  };
  return (
    <Panel aria-label="Measured demand">
      <h2>Measured demand</h2>
      {survey.measurements.length === 0 && (
        <p className="quiet">
          Nothing yet. A log of a week or more may be declared; a glance with a clamp shows what the demand is at least.
        </p>
      )}
      {survey.measurements.map((measurement) => (
        <OneMeasurement
          key={measurement.id}
          measurement={measurement}
          onLook={() => {
            setImporting({ kept: measurement });
          }}
        />
      ))}
      <Row style={{ '--gap': '0.4rem' }}>
        <Button
          onPress={() => {
            setImporting({ kept: null });
          }}
        >
          <Activity size={18} aria-hidden /> Import a log
        </Button>
        <Button
          onPress={() => {
            add('spot');
          }}
        >
          <Plus size={18} aria-hidden /> Spot reading
        </Button>
        <Button
          onPress={() => {
            add('full-load-test');
          }}
        >
          <Zap size={18} aria-hidden /> Full-load test
        </Button>
      </Row>
      <ImportSheet
        isOpen={importing !== null}
        kept={importing?.kept ?? null}
        onClose={() => {
          setImporting(null);
        }}
      />
    </Panel>
  );
}

function OneMeasurement({ measurement, onLook }: { readonly measurement: Measurement; readonly onLook: () => void }) {
  const { job, rules } = useSurvey();
  const doubts = logDoubts(measurement, rules);
  const set = useSet();
  const { kind, phases } = measurement;
  const path = ['measurements', measurement.id] as const;
  const isLog = kind === 'logger' || kind === 'half-hourly';
  const on = (id: string): string => (phases.length > 1 ? `, ${id}` : '');
  return (
    <Stack
      role="group"
      aria-label={NAMES[kind]}
      style={{ '--gap': '0.4rem', borderLeft: '4px solid var(--line)', paddingLeft: '0.8rem' }}
    >
      <strong>{NAMES[kind]}</strong>
      {isLog ? (
        <>
          <span className="quiet">
            {measurement.fileName}; {measurement.days ?? 0} whole days, {(measurement.coveragePercent ?? 0).toFixed(1)}{' '}
            % covered
            {measurement.unusable ? `, ${measurement.unusable} readings left out` : ''}
          </span>
          {doubts.length > 0 && (
            <Notice
              kind="ask"
              title={`No figure until this is settled: ${doubts.map((doubt) => LOG_DOUBT_WORDS[doubt]).join(' ')}`}
            />
          )}
          {(doubts.length > 0 || measurement.doubtsSettled !== undefined) && (
            <BoundText
              path={[...path, 'doubtsSettled']}
              label="How was that settled?"
              help="For example: compared with the clamp at the meter, 7.2 A on both."
            />
          )}
          {phases.map(({ id, mean1A, mean10A, mean30A, onceAYearA, peakA }) => (
            <span key={id} className="figures">
              {id}: highest half hour {mean30A?.toFixed(1) ?? '?'} A, one day in a year {onceAYearA?.toFixed(1) ?? '?'}{' '}
              A, highest 10 min {mean10A?.toFixed(1) ?? '?'} A, 1 min {mean1A?.toFixed(1) ?? '?'} A, peak{' '}
              {peakA?.toFixed(1) ?? '?'} A
            </span>
          ))}
        </>
      ) : (
        <>
          <FieldGrid>
            {phases.map(({ id }) => (
              <BoundNumber key={id} path={[...path, 'phases', id, 'peakA']} label={`${NAMES[kind]}${on(id)}`} />
            ))}
            <BoundText path={[...path, 'note']} label={kind === 'spot' ? 'What was running' : 'Which loads were on'} />
          </FieldGrid>
          <span className="quiet">
            {[measurement.takenBy, takenWords(measurement.takenAt)].filter(Boolean).join(', ')}
          </span>
        </>
      )}
      <Row style={{ '--gap': '0.4rem' }}>
        {isLog && measurement.fileId !== undefined && (
          <>
            <Button onPress={onLook}>
              <Eye size={18} aria-hidden /> Look at it
            </Button>
            <ButtonLink href={logUrl(job.id, measurement.fileId)} download>
              The file
            </ButtonLink>
          </>
        )}
        <BareButton
          aria-label={`Remove the ${NAMES[kind].toLowerCase()}`}
          onPress={() => {
            set(path, undefined);
          }}
        >
          <Trash2 size={18} aria-hidden /> Remove
        </BareButton>
      </Row>
    </Stack>
  );
}
