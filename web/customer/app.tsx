import { useEffect, useState } from 'preact/hooks';
import type { Asked } from './asked';
import { browserKeep, type Keep } from './kept';
import { Outbox } from './outbox';
import { openSurvey, Refused, sendAnswer, sendDone, sendPicture } from './server';
import { SurveyPage } from './survey-page';

type Opened =
  | { readonly is: 'opening' | 'no-answer' }
  | { readonly is: 'closed'; readonly says: string }
  | { readonly is: 'open'; readonly asked: Asked; readonly outbox: Outbox };

/** The customer’s page: opens the link, and goes on from where it was left. */
export function App({ token, keep }: { readonly token: string; readonly keep?: Keep }) {
  const [opened, setOpened] = useState<Opened>({ is: 'opening' });
  const [tries, setTries] = useState(0);
  const [, setDrawn] = useState(0);
  useEffect(() => {
    let isOver = false;
    const open = async (): Promise<void> => {
      try {
        const asked = await openSurvey(token);
        const kept = keep || (await browserKeep());
        const links = {
          keep: kept,
          sendPicture,
          sendAnswer,
          later: (milliseconds: number, work: () => void) => void setTimeout(work, milliseconds),
        };
        const outbox = new Outbox(token, links, () => {
          setDrawn((now) => now + 1);
        });
        await outbox.open();
        if (!isOver) setOpened({ is: 'open', asked, outbox });
      } catch (failed) {
        if (isOver) return;
        setOpened(failed instanceof Refused ? { is: 'closed', says: failed.says } : { is: 'no-answer' });
      }
    };
    void open();
    return () => {
      isOver = true;
    };
  }, [token, keep, tries]);
  useEffect(() => {
    if (opened.is !== 'open') return undefined;
    const again = (): void => {
      opened.outbox.go();
    };
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('online', again);
    };
  }, [opened]);

  switch (opened.is) {
    case 'open':
      return (
        <SurveyPage
          asked={opened.asked}
          outbox={opened.outbox}
          onDone={async () => {
            await sendDone(token);
          }}
        />
      );
    case 'closed':
      return (
        <main>
          <h1>This link is closed</h1>
          <p>{opened.says}</p>
        </main>
      );
    case 'no-answer':
      return (
        <main>
          <h1>There is no connection</h1>
          <p>Nothing is lost. Try again where there is a signal.</p>
          <button
            type="button"
            class="main"
            onClick={() => {
              setOpened({ is: 'opening' });
              setTries(tries + 1);
            }}
          >
            Try again
          </button>
        </main>
      );
    default:
      return (
        <main>
          <p role="status">Opening …</p>
        </main>
      );
  }
}
