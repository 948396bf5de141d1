import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import { ServerProblem } from '../api/client';
import { putInstrument, useInstruments, type Instrument } from '../api/instruments';
import { Waiting } from '../app/Waiting';
import { BareButton, Button, MainButton } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import DayInput from '../kit/DayInput';
import { TextInput } from '../kit/TextInput';

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

/** The firm's instruments: what a reading can be taken with, and until when each one's calibration holds. */
export default function InstrumentsPage() {
  useTitle('Instruments');
  const { data, error, mutate } = useInstruments();
  const [adding, setAdding] = useState(false);
  const today = new Date().toISOString().slice(0, 10);
  const put = async (instrument: Instrument): Promise<void> => {
    await mutate(await putInstrument(instrument), false);
  };
  return (
    <Page id="main">
      <Stack>
        <div>
          <Link to="/">Jobs</Link>
          <h1>Instruments</h1>
          <p className="quiet">
            A reading names the instrument it was taken with. One past its date is told with every reading taken since.
          </p>
        </div>
        {error && !data && <Notice kind="act" title="The instruments could not be loaded." />}
        {!data && !error && <Waiting />}
        {data?.instruments.length === 0 && <p>None yet. Add the testers the firm uses.</p>}
        {data?.instruments.map((instrument) => (
          <InstrumentPanel key={instrument.id} instrument={instrument} today={today} onPut={put} />
        ))}
        {adding ? (
          <InstrumentPanel
            instrument={{ id: crypto.randomUUID(), name: '', serial: '', calibrationDue: null, retired: false }}
            today={today}
            startOpen
            onPut={async (instrument) => {
              await put(instrument);
              setAdding(false);
            }}
          />
        ) : (
          <div>
            <Button
              onPress={() => {
                setAdding(true);
              }}
            >
              <Plus size={18} aria-hidden /> Add an instrument
            </Button>
          </div>
        )}
      </Stack>
    </Page>
  );
}

function InstrumentPanel({
  instrument,
  today,
  startOpen = false,
  onPut,
}: {
  readonly instrument: Instrument;
  readonly today: string;
  readonly startOpen?: boolean;
  readonly onPut: (instrument: Instrument) => Promise<void>;
}) {
  const [open, setOpen] = useState(startOpen);
  const [name, setName] = useState(instrument.name);
  const [serial, setSerial] = useState(instrument.serial);
  const [due, setDue] = useState(instrument.calibrationDue ?? '');
  const [problem, setProblem] = useState<string>();
  const overdue = instrument.calibrationDue !== null && instrument.calibrationDue < today && !instrument.retired;
  const put = async (change: Partial<Instrument>): Promise<void> => {
    setProblem(undefined);
    try {
      await onPut({ ...instrument, ...change });
      setOpen(false);
    } catch (error) {
      setProblem(error instanceof ServerProblem ? error.detail : 'The server did not answer. Nothing typed is lost.');
    }
  };
  if (!open)
    return (
      <Panel aria-label={instrument.name} style={{ gap: '0.3rem' }}>
        <Row>
          <strong style={{ marginRight: 'auto' }}>
            {instrument.name} <span className="figures">{instrument.serial}</span>
          </strong>
          <BareButton
            aria-label={`Change ${instrument.name} ${instrument.serial}`}
            onPress={() => {
              setOpen(true);
            }}
          >
            Change
          </BareButton>
          <BareButton
            aria-label={`${instrument.retired ? 'Put back in use' : 'Take out of use'}: ${instrument.name} ${instrument.serial}`}
            onPress={() => void put({ retired: !instrument.retired })}
          >
            {instrument.retired ? 'Put back in use' : 'Take out of use'}
          </BareButton>
        </Row>
        {overdue ? (
          <Notice kind="act" title={`Calibration was due on ${instrument.calibrationDue}.`}>
            Readings taken with it since say so.
          </Notice>
        ) : (
          <span className="quiet">
            {instrument.retired ? 'Out of use. ' : ''}
            {instrument.calibrationDue ? `Calibration holds to ${instrument.calibrationDue}.` : 'No calibration date.'}
          </span>
        )}
        {problem !== undefined && <Notice kind="act" title={problem} />}
      </Panel>
    );
  return (
    <Panel aria-label={instrument.name || 'New instrument'}>
      <FieldGrid>
        <TextInput label="What it is" value={name} onChange={setName} maxLength={60} />
        <TextInput label="Serial number" value={serial} onChange={setSerial} maxLength={30} />
        <DayInput label="Calibration holds to" value={due} onChange={setDue} />
      </FieldGrid>
      {problem !== undefined && <Notice kind="act" title={problem} />}
      <Row>
        <MainButton
          isDisabled={name.trim() === ''}
          onPress={() =>
            void put({ name: name.trim(), serial: serial.trim(), calibrationDue: due === '' ? null : due })
          }
        >
          Save
        </MainButton>
        {!startOpen && (
          <BareButton
            onPress={() => {
              setOpen(false);
            }}
          >
            Leave it
          </BareButton>
        )}
      </Row>
    </Panel>
  );
}
