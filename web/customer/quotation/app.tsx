import { useEffect, useState } from 'preact/hooks';
import { Refused } from '../server';
import { AnswerForms } from './answer-forms';
import { ChoiceCard } from './choice-card';
import { Pictures } from './pictures';
import { fetchDocument, openQuotation, type Shown } from './server';
import { day } from './words';

type Opened =
  | { readonly is: 'opening' | 'no-answer' }
  | { readonly is: 'closed'; readonly says: string }
  | { readonly is: 'open'; readonly shown: Shown };

/** One quotation for whoever has its link: read, choose, ask, accept or decline. */
export function QuotationApp({ token }: { readonly token: string }) {
  const [opened, setOpened] = useState<Opened>({ is: 'opening' });
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let isOver = false;
    openQuotation(token).then(
      (shown) => {
        if (!isOver) setOpened({ is: 'open', shown });
      },
      (failed: unknown) => {
        if (!isOver) setOpened(failed instanceof Refused ? { is: 'closed', says: failed.says } : { is: 'no-answer' });
      },
    );
    return () => {
      isOver = true;
    };
  }, [token, tries]);

  if (opened.is === 'open')
    return (
      <Page
        token={token}
        shown={opened.shown}
        onShown={(shown) => {
          setOpened({ is: 'open', shown });
        }}
      />
    );
  if (opened.is === 'closed')
    return (
      <main>
        <h1>This link is closed</h1>
        <p>{opened.says}</p>
      </main>
    );
  if (opened.is === 'no-answer')
    return (
      <main>
        <h1>There is no connection</h1>
        <p>Try again where there is a signal.</p>
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
  return (
    <main>
      <p role="status">Opening …</p>
    </main>
  );
}

function Page({
  token,
  shown,
  onShown,
}: {
  readonly token: string;
  readonly shown: Shown;
  readonly onShown: (shown: Shown) => void;
}) {
  const { quote, answers } = shown;
  const accepted = answers.filter((answer) => answer.kind === 'accepted')[0];
  const isAnswerable = shown.state === 'sent' && !shown.isExpired;
  const [chosen, setChosen] = useState(quote.choices.length === 1 && quote.choices[0] ? quote.choices[0].id : '');
  return (
    <main>
      <header>
        <strong>{quote.firm.name}</strong>
        <span>
          {quote.number}
          {quote.revision > 1 ? `, revision ${quote.revision}` : ''}
        </span>
      </header>
      <h1>Your quotation</h1>
      <p>
        {[quote.to.name, quote.to.address].filter(Boolean).join(', ')}
        <br />
        <span class="quiet">
          {day(quote.date)}; it stands until {day(quote.validUntil)}
        </span>
      </p>
      {quote.about !== '' && <p>{quote.about}</p>}
      <Standing shown={shown} />
      {quote.choices.length > 1 && isAnswerable && <p>Choose one of these {quote.choices.length}:</p>}
      {quote.choices.map((choice) => (
        <ChoiceCard
          key={choice.id}
          choice={choice}
          isOnly={quote.choices.length === 1}
          isChosen={accepted ? accepted.choice === choice.id : chosen === choice.id}
          {...(isAnswerable
            ? {
                onChoose: () => {
                  setChosen(choice.id);
                },
              }
            : {})}
        />
      ))}
      <Told title="We have assumed" lines={quote.assumes} />
      <Told title="What would change the price" lines={quote.wouldChange} />
      <Told title="Not included" lines={quote.excluded} />
      <Told title="What to expect on the day" lines={quote.disruption} />
      {quote.conditions !== '' && (
        <details>
          <summary>Conditions</summary>
          <p style="white-space: pre-wrap">{quote.conditions}</p>
        </details>
      )}
      <Pictures token={token} pictures={quote.pictures} />
      <Document token={token} number={quote.number} />
      <AnswerForms token={token} shown={shown} chosen={chosen} isAnswerable={isAnswerable} onShown={onShown} />
      <p class="quiet">
        {[quote.firm.name, quote.firm.address].filter(Boolean).join(', ')}
        {quote.firm.telephone !== '' && (
          <>
            <br />
            <a href={`tel:${quote.firm.telephone.replace(/\s/g, '')}`}>{quote.firm.telephone}</a>
          </>
        )}
      </p>
    </main>
  );
}

/** How it stands: answered, replaced, past its day. */
function Standing({ shown }: { readonly shown: Shown }) {
  const ended = shown.answers.filter(({ kind }) => kind !== 'question')[0];
  if (ended)
    return (
      <div class="told" role="status">
        <p>
          <strong>{ended.kind === 'accepted' ? 'You accepted this quotation.' : 'You declined this quotation.'}</strong>
          <br />
          {ended.name}, {day(ended.cameAt)}
        </p>
      </div>
    );
  if (shown.state === 'replaced')
    return (
      <div class="told">
        <p>
          <strong>There is a newer quotation.</strong> Open the link in the newer mail.
        </p>
      </div>
    );
  if (shown.isExpired)
    return (
      <div class="told">
        <p>
          <strong>This quotation is past its last day.</strong> Ask for a new one below.
        </p>
      </div>
    );
  return null;
}

function Told({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <details>
      <summary>{title}</summary>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </details>
  );
}

/** The same as a document to keep. */
function Document({ token, number }: { readonly token: string; readonly number: string }) {
  const [address, setAddress] = useState('');
  const [isBusy, setBusy] = useState(false);
  if (address !== '')
    return (
      <p>
        <a href={address} download={`${number}.pdf`}>
          Keep {number}.pdf
        </a>
      </p>
    );
  return (
    <p>
      <button
        type="button"
        disabled={isBusy}
        onClick={() => {
          setBusy(true);
          fetchDocument(token).then(
            (document) => {
              setAddress(URL.createObjectURL(document));
            },
            () => {
              setBusy(false);
            },
          );
        }}
      >
        {isBusy ? 'Fetching …' : 'Get it as a PDF'}
      </button>
    </p>
  );
}
