import { CircleCheck, CircleX, Download, HardDriveDownload, Hourglass, Upload, WifiOff, X } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton, Button } from '../kit/Button';
import { saveFile } from '../kit/save-file';
import { useSurvey } from '../survey/SurveyContext';
import type { UploadItem, UploadState } from './upload-queue';

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.35rem;
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: 1.5rem minmax(0, 1fr) auto;
  gap: 0.2rem 0.5rem;
  align-items: center;
  padding: 0.2rem 0.2rem 0.2rem 0.6rem;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
`;

const Track = styled.div`
  height: 8px;
  border-radius: 4px;
  border: 1px solid var(--strong-line);
  overflow: hidden;
  & > div {
    height: 100%;
    background: var(--now);
  }
`;

const WORDS: Readonly<Record<UploadState, string>> = {
  keeping: 'Being kept on this device',
  waiting: 'Waiting',
  sending: 'Sending',
  filing: 'Being made ready',
  stopped: 'Stopped',
  refused: 'Not taken',
  known: 'Already here',
};
const SHAPES = {
  keeping: HardDriveDownload,
  waiting: Hourglass,
  sending: Upload,
  filing: Hourglass,
  stopped: WifiOff,
  refused: CircleX,
  known: CircleCheck,
} as const;

/** Nothing is wrong with these, and they are not done. */
const UNDER_WAY: ReadonlySet<UploadState> = new Set(['keeping', 'waiting', 'sending', 'filing']);

/** Pictures on their way in: how far each has come, what became of it, and a way to stop it. */
export function UploadList() {
  const { uploads } = useSurvey();
  const items = useSyncExternalStore(uploads.subscribe, uploads.get);
  if (items.length === 0) return null;
  const stopped = items.some(({ state }) => state === 'stopped');
  return (
    <section aria-label="Pictures on their way in">
      <List>
        {items.map((item) => (
          <OneUpload key={item.id} item={item} />
        ))}
      </List>
      {stopped && (
        <Button
          style={{ marginTop: '0.4rem' }}
          onPress={() => {
            uploads.retry();
          }}
        >
          Try again now
        </Button>
      )}
    </section>
  );
}

function OneUpload({ item }: { readonly item: UploadItem }) {
  const { uploads } = useSurvey();
  const Shape = SHAPES[item.state];
  const percent = item.bytes === 0 ? 0 : (100 * item.sent) / item.bytes;
  const under = UNDER_WAY.has(item.state);
  return (
    <Line>
      <Shape size={18} aria-hidden style={item.state === 'refused' ? { color: 'var(--hold)' } : undefined} />
      <div>
        <div>
          <strong>{WORDS[item.state]}</strong> {item.name}
          <span className="quiet figures"> {(item.bytes / 1_000_000).toFixed(1)} MB</span>
        </div>
        {item.says !== undefined && <div className="quiet">{item.says}</div>}
        {item.notKept && <div>Not kept on this device: leave this page open until it has gone.</div>}
        {item.state === 'refused' && item.bytes > 0 && (
          <BareButton
            onPress={() => {
              const file = uploads.fileOf(item.id);
              if (file) saveFile(item.name === '' ? 'photograph.jpg' : item.name, file);
            }}
          >
            <Download size={17} aria-hidden /> Save it on this device
          </BareButton>
        )}
        {under && (
          <ProgressBar aria-label={`${item.name}: ${WORDS[item.state]}`} value={percent}>
            <Track>
              <div style={{ width: `${percent}%` }} />
            </Track>
          </ProgressBar>
        )}
      </div>
      <BareButton
        aria-label={
          under || item.state === 'stopped'
            ? `Stop and forget ${item.name}`
            : `${item.state === 'refused' ? 'Remove' : 'Put away'} ${item.name}`
        }
        onPress={() => {
          uploads.cancel(item.id);
        }}
      >
        <X size={18} aria-hidden />
      </BareButton>
    </Line>
  );
}
