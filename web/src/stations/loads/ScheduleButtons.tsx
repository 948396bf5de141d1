import {
  answered,
  readSchedule,
  scheduleRows,
  type ReadSchedule,
  type ScheduleAsk,
  type UnsureRow,
} from '@keen-gauge/core/demand/schedule';
import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { FileDown, FileUp } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { jobNumber } from '../../api/jobs';
import { Button } from '../../kit/Button';
import { readCsv, saveCsv } from '../../kit/csv';
import { Notice } from '../../kit/Notice';
import { Row } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';

const MOST_BYTES = 2_000_000;

/** The board schedule as a CSV file, out and in. */
export function ScheduleButtons() {
  const { survey, store, job } = useSurvey();
  const [problem, setProblem] = useState<string>();
  const [refused, setRefused] = useState<ReadSchedule['refused']>([]);
  const [unsure, setUnsure] = useState<readonly UnsureRow[]>([]);

  const read = async (file: File): Promise<void> => {
    setProblem(undefined);
    setRefused([]);
    setUnsure([]);
    if (file.size > MOST_BYTES) {
      setProblem('The file is larger than a board schedule ever is. Nothing was taken.');
      return;
    }
    const made = readSchedule(survey, await readCsv(file));
    if (!made) {
      setProblem(
        'Its first row does not name the columns “Load or circuit” and “Class”. Export one to see how it is written.',
      );
      return;
    }
    setRefused(made.refused);
    setUnsure(made.unsure);
    const loads = made.loads.map((load) => ({ ...load, id: freshId('load') }));
    if (loads.length > 0) store.edit({ ...survey, loads: [...survey.loads, ...loads] });
  };
  return (
    <>
      <Button
        onPress={() => void saveCsv(`${jobNumber(job.number)}-board-schedule.csv`, scheduleRows(survey))}
        isDisabled={survey.loads.length === 0}
      >
        <FileDown size={18} aria-hidden /> Board schedule, CSV
      </Button>
      <FileTrigger
        acceptedFileTypes={['.csv', 'text/csv']}
        onSelect={(files) => {
          const file = files?.[0];
          if (file) void read(file);
        }}
      >
        <Button>
          <FileUp size={18} aria-hidden /> Read a schedule
        </Button>
      </FileTrigger>
      {problem !== undefined && <Notice kind="act" title={problem} />}
      {refused.map(({ row, says }) => (
        <Notice key={row} kind="act" title={`Row ${row}: ${says}`}>
          It was not taken.
        </Notice>
      ))}
      {unsure.map((row) => (
        <Unsure
          key={row.row}
          row={row}
          onTake={(load) => {
            store.edit({ ...survey, loads: [...survey.loads, { ...load, id: freshId('load') }] });
            setUnsure((rows) => rows.filter((each) => each !== row));
          }}
          onLeave={() => {
            setUnsure((rows) => rows.filter((each) => each !== row));
          }}
        />
      ))}
    </>
  );
}

const NOT_SAID = '';

/** A row that names a board, a line or a season that is not known here: asked, then taken. */
function Unsure({
  row,
  onTake,
  onLeave,
}: {
  readonly row: UnsureRow;
  readonly onTake: (load: ReturnType<typeof answered>) => void;
  readonly onLeave: () => void;
}) {
  const [answers, setAnswers] = useState<Partial<Record<ScheduleAsk['field'], string>>>({});
  const { label, class: kind } = row.load;
  return (
    <Notice
      kind="ask"
      title={`Row ${row.row}, ${label ?? CLASS_NAMES[kind]}: ${row.asks.map(({ says }) => says).join('; ')}.`}
    >
      <Row style={{ alignItems: 'end' }}>
        {row.asks.map(({ field, choices }) => (
          <span key={field} style={{ minWidth: 'min(12rem, 100%)' }}>
            <Select
              label={ASKED[field]}
              value={answers[field] ?? NOT_SAID}
              options={[{ value: NOT_SAID, label: 'Not known yet' }, ...choices]}
              onChange={(value) => {
                setAnswers(({ [field]: _before, ...others }) =>
                  value === NOT_SAID ? others : { ...others, [field]: value },
                );
              }}
            />
          </span>
        ))}
        <Button
          onPress={() => {
            onTake(answered(row, answers));
          }}
        >
          Take this row
        </Button>
        <Button onPress={onLeave}>Leave it out</Button>
      </Row>
    </Notice>
  );
}

const ASKED: Readonly<Record<ScheduleAsk['field'], string>> = {
  nodeId: 'Hangs from',
  phase: 'Line',
  season: 'Season',
};
