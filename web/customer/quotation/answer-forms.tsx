import { useState } from 'preact/hooks';
import { Refused } from '../server';
import { accept, ask, decline, type Shown } from './server';
import { newId } from '../picture';
import { pounds } from './words';

type Doing = 'accept' | 'ask' | 'decline';

/** Accepting by typing a name, asking something, declining with a reason. What is sent twice, since the line broke, counts once. */
export function AnswerForms({
  token,
  shown,
  chosen,
  isAnswerable,
  onShown,
}: {
  readonly token: string;
  readonly shown: Shown;
  readonly chosen: string;
  readonly isAnswerable: boolean;
  readonly onShown: (shown: Shown) => void;
}) {
  const [doing, setDoing] = useState<Doing | ''>('');
  const [name, setName] = useState(shown.quote.to.name);
  const [words, setWords] = useState('');
  const [isBusy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const [isAsked, setAsked] = useState(false);
  // Of one answer, however often it is sent.
  const [id, setId] = useState(newId);
  const choice = shown.quote.choices.filter((each) => each.id === chosen)[0];

  const send = async (): Promise<void> => {
    setBusy(true);
    setTrouble('');
    const by = { id, name: name.trim() };
    try {
      const next =
        doing === 'accept'
          ? await accept(token, { ...by, choice: chosen, fingerprint: shown.fingerprint })
          : doing === 'ask'
            ? await ask(token, { ...by, words: words.trim() })
            : await decline(token, words.trim() === '' ? by : { ...by, words: words.trim() });
      setId(newId());
      setAsked(doing === 'ask');
      setWords('');
      setDoing('');
      onShown(next);
    } catch (failed) {
      setTrouble(
        failed instanceof Refused
          ? failed.says
          : 'It could not be sent. Nothing is lost: press again where there is a signal.',
      );
    }
    setBusy(false);
  };

  if (doing === '')
    return (
      <>
        {isAsked && (
          <div class="told" role="status">
            <p>Your question has been sent.</p>
          </div>
        )}
        <div class="foot">
          {isAnswerable && (
            <button
              type="button"
              class="main"
              disabled={!choice}
              onClick={() => {
                setDoing('accept');
              }}
            >
              {choice ? `Accept for ${pounds(choice.totalPence)} …` : 'Choose one above to accept it'}
            </button>
          )}
          <button
            type="button"
            onClick={() => {
              setDoing('ask');
            }}
          >
            Ask something
          </button>
          {shown.state === 'sent' && (
            <button
              type="button"
              onClick={() => {
                setDoing('decline');
              }}
            >
              Decline it
            </button>
          )}
        </div>
      </>
    );
  const isReady = name.trim() !== '' && (doing !== 'ask' || words.trim() !== '');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (isReady && !isBusy) void send();
      }}
    >
      <h2>
        {doing === 'accept' ? 'Accept this quotation' : doing === 'ask' ? 'Ask something' : 'Decline this quotation'}
      </h2>
      {doing === 'accept' && choice && (
        <p>
          “{choice.title}” for <strong>{pounds(choice.totalPence)}</strong>, tax included. By typing your name and
          pressing the button you order it as it is written here.
        </p>
      )}
      <label>
        Your name
        <input
          type="text"
          value={name}
          maxLength={100}
          autocomplete="name"
          onInput={(event) => {
            setName(event.currentTarget.value);
          }}
        />
      </label>
      {doing !== 'accept' && (
        <label>
          {doing === 'ask' ? 'Your question' : 'Why, if you want to say'}
          <textarea
            rows={4}
            maxLength={2000}
            value={words}
            onInput={(event) => {
              setWords(event.currentTarget.value);
            }}
          />
        </label>
      )}
      {trouble !== '' && (
        <p role="alert" class="told">
          {trouble}
        </p>
      )}
      <div class="foot">
        <button type="submit" class="main" disabled={!isReady || isBusy}>
          {isBusy
            ? 'Sending …'
            : doing === 'accept'
              ? 'Accept and order'
              : doing === 'ask'
                ? 'Send the question'
                : 'Decline it'}
        </button>
        <button
          type="button"
          disabled={isBusy}
          onClick={() => {
            setDoing('');
            setTrouble('');
          }}
        >
          Back
        </button>
      </div>
    </form>
  );
}
