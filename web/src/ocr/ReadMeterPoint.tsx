import { groupedMeterPoint } from '@keen-gauge/core/route/meter-point';
import { ScanText } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { BareButton, Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { PICTURE_KINDS } from '../photos/AddPhotos';
import { readPicture } from './read-picture';

type Reading =
  | { readonly is: 'nothing' }
  | { readonly is: 'reading'; readonly share: number }
  | { readonly is: 'read'; readonly found: readonly string[] }
  | { readonly is: 'failed' };

/**
 * Reads a meter point number off a photograph of a bill or a meter, on this device. What is read is offered and never filled in by itself.
 */
export function ReadMeterPoint({
  picture,
  onChoose,
  read = readPicture,
}: {
  /** Where the picture is; left out, one is chosen. */
  readonly picture?: () => Promise<Blob>;
  readonly onChoose: (core: string) => void;
  readonly read?: typeof readPicture;
}) {
  const [reading, setReading] = useState<Reading>({ is: 'nothing' });
  const turn = useRef(0);
  useEffect(
    () => () => {
      turn.current += 1;
    },
    [],
  );
  const begin = async (blob: Promise<Blob>): Promise<void> => {
    const mine = (turn.current += 1);
    const isOver = (): boolean => turn.current !== mine;
    const show = (next: Reading): void => {
      if (!isOver()) setReading(next);
    };
    show({ is: 'reading', share: 0 });
    try {
      const found = await read(
        await blob,
        (share) => {
          show({ is: 'reading', share });
        },
        isOver,
      );
      show({ is: 'read', found });
    } catch {
      show({ is: 'failed' });
    }
  };
  const label = (
    <>
      <ScanText size={18} aria-hidden /> Read it off a photograph
    </>
  );
  return (
    <Stack style={{ '--gap': '0.4rem' }}>
      {reading.is === 'reading' ? (
        <Row>
          <span role="status">Reading the photograph on this device, {Math.round(reading.share * 100)} %</span>
          <BareButton
            onPress={() => {
              turn.current += 1;
              setReading({ is: 'nothing' });
            }}
          >
            Stop
          </BareButton>
        </Row>
      ) : picture ? (
        <div>
          <Button onPress={() => void begin(picture())}>{label}</Button>
        </div>
      ) : (
        <div>
          <FileTrigger
            acceptedFileTypes={PICTURE_KINDS}
            onSelect={(files) => {
              const [file] = files ?? [];
              if (file) void begin(Promise.resolve(file));
            }}
          >
            <Button>{label}</Button>
          </FileTrigger>
        </div>
      )}
      {reading.is === 'read' && reading.found.length > 0 && (
        <div role="status">
          <p>Read, and its check digit fits. Compare it with the photograph:</p>
          <Row>
            {reading.found.map((core) => (
              <Button
                key={core}
                onPress={() => {
                  onChoose(core);
                  setReading({ is: 'nothing' });
                }}
              >
                Use <span className="figures">{groupedMeterPoint(core)}</span>
              </Button>
            ))}
          </Row>
        </div>
      )}
      {reading.is === 'read' && reading.found.length === 0 && (
        <div role="status">
          <Notice kind="note" title="No number could be read for certain.">
            Type it, or take the photograph from nearer, straight on and without glare.
          </Notice>
        </div>
      )}
      {reading.is === 'failed' && (
        <div role="status">
          <Notice kind="act" title="The photograph could not be read here.">
            What reads is fetched the first time, which needs a connection. Type the number meanwhile.
          </Notice>
        </div>
      )}
    </Stack>
  );
}
