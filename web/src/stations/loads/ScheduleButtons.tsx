import { readSchedule, scheduleRows, type ReadSchedule } from '@keen-gauge/core/demand/schedule';
import { FileDown, FileUp } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { jobNumber } from '../../api/jobs';
import { Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';

const MOST_BYTES = 2_000_000;

/** The board schedule as a CSV file, out and in. */
export function ScheduleButtons() {
  const { survey, store, job } = useSurvey();
  const [problem, setProblem] = useState<string>();
  const [refused, setRefused] = useState<ReadSchedule['refused']>([]);

  const write = async (): Promise<void> => {
    const { default: Papa } = await import('papaparse');
    const url = URL.createObjectURL(new Blob([`\uFEFF${Papa.unparse(scheduleRows(survey))}`], { type: 'text/csv' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = `${jobNumber(job.number)}-board-schedule.csv`;
    link.click();
    URL.revokeObjectURL(url);
  };
  const read = async (file: File): Promise<void> => {
    setProblem(undefined);
    setRefused([]);
    if (file.size > MOST_BYTES) {
      setProblem('The file is larger than a board schedule ever is. Nothing was taken.');
      return;
    }
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''));
    const made = readSchedule(survey, data);
    if (!made) {
      setProblem(
        'Its first row does not name the columns “Load or circuit” and “Class”. Export one to see how it is written.',
      );
      return;
    }
    setRefused(made.refused);
    const loads = made.loads.map((load) => ({ ...load, id: freshId('load') }));
    if (loads.length > 0) store.edit({ ...survey, loads: [...survey.loads, ...loads] });
  };
  return (
    <>
      <Button onPress={() => void write()} isDisabled={survey.loads.length === 0}>
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
          The other rows were taken.
        </Notice>
      ))}
    </>
  );
}
