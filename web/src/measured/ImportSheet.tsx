import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import { measurementOf } from '@keen-gauge/core/demand/measured/summary';
import { measuredDemand, measuredFindings } from '@keen-gauge/core/demand/measured/verdict';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import type { Measurement } from '@keen-gauge/core/survey/measurement';
import { useEffect, useRef, useState } from 'react';
import { FileTrigger, ProgressBar } from 'react-aria-components';
import { fetchLog, knownMapping, rememberMapping } from '../api/logs';
import { sendOrKeepLog } from './send-kept-logs';
import { Waiting } from '../app/Waiting';
import { lazyPart } from '../kit/lazy-part';
import { Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { WideSheet } from '../kit/Sheet';
import { useSurvey } from '../survey/SurveyContext';
import { FaultList } from './FaultList';
import { LogSession } from './log-session';
import type { LogReport, Preview } from './log-worker';
import { Readings } from './Readings';
import { MappingForm } from './MappingForm';

const LogCharts = lazyPart(() => import('./LogCharts'));

type Step =
  | { readonly kind: 'choose' }
  | { readonly kind: 'opening' }
  | {
      readonly kind: 'mapping';
      readonly file: Blob;
      readonly name: string;
      readonly preview: Preview;
      readonly known: boolean;
    }
  | { readonly kind: 'analysing'; readonly done: number }
  | {
      readonly kind: 'result';
      readonly file: Blob;
      readonly name: string;
      readonly preview: Preview;
      readonly report: LogReport;
    };

/** A log from the file to the survey: chosen, guessed and shown, corrected, analysed off the page's thread, kept. */
export function ImportSheet({
  isOpen,
  kept,
  onClose,
}: {
  readonly isOpen: boolean;
  /** A log of the survey to be looked at again, instead of a new one. */
  readonly kept: Measurement | null;
  readonly onClose: () => void;
}) {
  return (
    <WideSheet title={kept ? `Log: ${kept.fileName ?? ''}` : 'Import a log'} isOpen={isOpen} onClose={onClose}>
      {isOpen && <ImportSteps kept={kept} onClose={onClose} />}
    </WideSheet>
  );
}

function ImportSteps({ kept, onClose }: { readonly kept: Measurement | null; readonly onClose: () => void }) {
  const { survey, store, rules, job, me } = useSurvey();
  const [step, setStep] = useState<Step>({ kind: kept ? 'opening' : 'choose' });
  const [mapping, setMapping] = useState<LogMapping | null>(null);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const session = useRef<LogSession | null>(null);

  const fresh = (): LogSession => {
    session.current?.close();
    session.current = new LogSession();
    return session.current;
  };
  useEffect(
    () => () => {
      session.current?.close();
    },
    [],
  );

  const take = async (file: Blob, name: string, sheet?: string): Promise<void> => {
    setProblem(undefined);
    setStep({ kind: 'opening' });
    try {
      const preview = await fresh().open(file, sheet);
      const known = await knownMapping(preview.shape).catch(() => ({ mapping: null }));
      // A file of this shape was read from another of its sheets before.
      const kept = known.mapping?.sheet;
      if (sheet === undefined && kept !== undefined && kept !== preview.sheet && preview.sheets?.includes(kept)) {
        await take(file, name, kept);
        return;
      }
      const guessed = known.mapping ?? preview.mapping ?? (preview.sheets ? NO_MAPPING : null);
      if (!guessed)
        throw new Error('No column of times stands beside a column of numbers in the first rows of this file.');
      setMapping(guessed);
      setStep({ kind: 'mapping', file, name, preview, known: known.mapping !== null });
    } catch (error) {
      setProblem(words(error));
      setStep({ kind: 'choose' });
    }
  };

  useEffect(() => {
    if (!kept?.fileId) return;
    let gone = false;
    fetchLog(job.id, kept.fileId)
      .then((file) => (gone ? undefined : take(file, kept.fileName ?? 'log')))
      .catch((error: unknown) => {
        setProblem(words(error));
      });
    return () => {
      gone = true;
    };
    // oxlint-disable-next-line react/exhaustive-deps -- opened once, for the log it was opened with
  }, []);

  const analyse = async (from: Extract<Step, { kind: 'mapping' }>): Promise<void> => {
    if (!mapping || !session.current) return;
    setProblem(undefined);
    setStep({ kind: 'analysing', done: 0 });
    try {
      const report = await session.current.analyse(mapping, rules, (done) => {
        setStep((now) => (now.kind === 'analysing' ? { kind: 'analysing', done } : now));
      });
      setStep({ kind: 'result', file: from.file, name: from.name, preview: from.preview, report });
    } catch (error) {
      setProblem(words(error));
      setStep(from);
    }
  };

  const keep = async (from: Extract<Step, { kind: 'result' }>): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const id = await sendOrKeepLog(me.id, job.id, from.file, from.name);
      const { shape, usualShape = shape, sheet } = from.preview;
      if (mapping) await rememberMapping(shape, mapping).catch(() => undefined);
      if (mapping && usualShape !== shape && sheet !== undefined)
        await rememberMapping(usualShape, { ...mapping, sheet }).catch(() => undefined);
      const measurement: Measurement = {
        ...measurementOf(from.report.analysis, `log-${id.slice(0, 8)}`, from.report.openDoubts),
        fileId: id,
        fileName: from.name.slice(0, 200),
        takenBy: me.name,
      };
      store.edit({ ...survey, measurements: [...survey.measurements, measurement] });
      onClose();
    } catch (error) {
      setProblem(words(error));
      setBusy(false);
    }
  };

  return (
    <Stack>
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem}>
            Nothing is lost: the file is as it was, and so is the survey.
          </Notice>
        </div>
      )}
      {step.kind === 'choose' && (
        <>
          <p>
            A CSV, TSV or XLSX file from any logger, or a half-hourly export. It is guessed how the file is to be read;
            you see the guess on its first rows and correct it.
          </p>
          <Row>
            <FileTrigger
              onSelect={(files) => {
                const file = files?.[0];
                if (file) void take(file, file.name);
              }}
            >
              <MainButton>Choose a file</MainButton>
            </FileTrigger>
          </Row>
        </>
      )}
      {step.kind === 'opening' && <Waiting what="Opening the file …" />}
      {step.kind === 'mapping' && mapping && (
        <>
          <p>
            <strong>{step.name}</strong>{' '}
            {step.known
              ? 'is of a shape the firm has read before: it is read the same way.'
              : 'is read like this, as guessed.'}
          </p>
          {step.preview.sheets && step.preview.sheets.length > 1 && (
            <span style={{ maxWidth: '20rem' }}>
              <Select
                label="Sheet"
                value={step.preview.sheet ?? ''}
                options={step.preview.sheets.map((each) => ({ value: each, label: each }))}
                onChange={(sheet) => {
                  void take(step.file, step.name, sheet);
                }}
              />
            </span>
          )}
          {!step.known && step.preview.doubts.map((doubt) => <Notice key={doubt} kind="ask" title={doubt} />)}
          <MappingForm rows={step.preview.rows} mapping={mapping} onChange={setMapping} />
          <Row>
            <MainButton onPress={() => void analyse(step)}>Read it like this</MainButton>
          </Row>
        </>
      )}
      {step.kind === 'analysing' && (
        <Row>
          <ProgressBar aria-label="Analysing the log" value={step.done * 100} style={{ flex: 1 }}>
            <div style={{ height: 12, border: '1px solid var(--strong-line)', borderRadius: 6, overflow: 'hidden' }}>
              <div style={{ height: '100%', width: `${step.done * 100}%`, background: 'var(--now)' }} />
            </div>
          </ProgressBar>
          <Button
            onPress={() => {
              session.current?.close();
              setStep({ kind: 'choose' });
            }}
          >
            Stop
          </Button>
        </Row>
      )}
      {step.kind === 'result' && (
        <>
          <Readings report={step.report} />
          <Verdict report={step.report} />
          <FaultList faults={step.report.analysis.faults} />
          <LogCharts analysis={step.report.analysis} session={session} />
          {!kept && (
            <Row>
              <MainButton isDisabled={busy} onPress={() => void keep(step)}>
                {busy ? 'Keeping it …' : 'Keep it in the survey'}
              </MainButton>
              <Button
                onPress={() => {
                  setStep({ kind: 'mapping', file: step.file, name: step.name, preview: step.preview, known: false });
                }}
              >
                Read it another way
              </Button>
            </Row>
          )}
        </>
      )}
    </Stack>
  );
}

/** Whether this log may be declared from, and what there is to say of it, before it is kept. */
function Verdict({ report: { analysis, openDoubts } }: { readonly report: LogReport }) {
  const { survey, assessment, rules } = useSurvey();
  const withIt = { ...survey, measurements: [measurementOf(analysis, 'this-log', openDoubts)] };
  const measured = measuredDemand(withIt, supplyTree(withIt), assessment.supply.phases, rules);
  const nought = Object.values(analysis.phases).every(({ peakA }) => peakA === 0);
  return (
    <>
      {nought && (
        <Notice kind="act" title="Every reading is nought.">
          The clamp was not on, or it is another column.
        </Notice>
      )}
      {measured.gap === undefined ? (
        <Notice
          kind="note"
          title={`${analysis.days} whole days, ${(analysis.coverage * 100).toFixed(1)} % covered: enough to declare from.`}
        />
      ) : (
        <Notice kind="act" title={`Not enough to declare from: ${measured.gap}`}>
          It still bounds the demand from below.
        </Notice>
      )}
      {measuredFindings(withIt, measured, rules)
        .filter(({ id }) => id.startsWith('log-') || id.startsWith('half-hourly'))
        .map(({ id, grade, title, remedy }) => (
          <Notice key={id} kind={grade} title={title}>
            {remedy}
          </Notice>
        ))}
    </>
  );
}

/** Shown for a sheet on which nothing was found, to be corrected by hand or left for another sheet. */
const NO_MAPPING: LogMapping = {
  layout: 'long',
  skipRows: 0,
  timeColumns: [0],
  timeFormat: 'year-first',
  zone: 'uk-local',
  values: [{ column: 1, phase: 'L1' }],
  unit: 'A',
  accumulating: false,
  decimal: '.',
};

function words(error: unknown): string {
  return error instanceof Error ? error.message : 'That did not work.';
}
