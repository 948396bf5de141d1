import { useEffect, useState } from 'preact/hooks';
import { isAnswered, type AskedStep, type Says } from './asked';
import { Drawing } from './drawings';
import type { Entry } from './outbox';
import { shrunk, type SmallPicture } from './picture';

const MOST_PICTURES = 4;

/** One step: the instruction, what a good answer looks like, and the answer. */
export function StepPage({
  step,
  entry,
  firm,
  telephone,
  onDraft,
  onSend,
  onSkip,
}: {
  readonly step: AskedStep;
  readonly entry: Entry | undefined;
  readonly firm: string;
  readonly telephone: string;
  readonly onDraft: (says: Says, pictures: readonly SmallPicture[]) => void;
  readonly onSend: (says: Says, pictures: readonly SmallPicture[]) => void;
  readonly onSkip: () => void;
}) {
  const [says, setSays] = useState<Says>(entry ? entry.says : {});
  const [pictures, setPictures] = useState<readonly SmallPicture[]>(entry ? entry.pictures : []);
  const [problem, setProblem] = useState('');
  const change = (next: Says, shown: readonly SmallPicture[] = pictures): void => {
    setSays(next);
    setPictures(shown);
    onDraft(next, shown);
  };
  const has = (part: AskedStep['parts'][number]): boolean => step.parts.indexOf(part) >= 0;
  const refused = entry && entry.standing.is === 'refused' ? entry.standing.says : '';
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (isAnswered(step, says, pictures.length)) onSend(says, pictures);
        else setProblem(WANTED[step.parts[0] || 'words']);
      }}
    >
      <h1 tabIndex={-1} class="step">
        {step.ask}
      </h1>
      {step.again && (
        <p class="again">
          <strong>Asked again:</strong> {step.again}
        </p>
      )}
      <Drawing step={step.id} />
      <p>{step.how}</p>
      {has('choice') && (
        <fieldset>
          <legend class="unseen">{step.ask}</legend>
          {(step.choices || []).map(({ value, label }) => (
            <label key={value} class="choice">
              <input
                type="radio"
                name={step.id}
                checked={says.choice === value}
                onChange={() => {
                  setProblem('');
                  change({ ...says, choice: value });
                }}
              />
              {label}
            </label>
          ))}
        </fieldset>
      )}
      {step.id === 'danger' && says.choice !== undefined && says.choice !== 'no' && (
        <Danger firm={firm} telephone={telephone} />
      )}
      {has('meter-point') && (
        <label>
          The number
          <input
            type="text"
            inputMode="numeric"
            autoComplete="off"
            maxLength={40}
            value={says.number || ''}
            onInput={(event) => {
              change({ ...says, number: event.currentTarget.value });
            }}
          />
        </label>
      )}
      {has('picture') && (
        <Pictures
          pictures={pictures}
          onChange={(shown) => {
            setProblem('');
            change(says, shown);
          }}
          onProblem={setProblem}
        />
      )}
      {has('words') && (
        <label>
          {step.parts[0] === 'words' ? 'Your answer' : 'Anything to add?'}
          <textarea
            rows={step.parts[0] === 'words' ? 3 : 2}
            maxLength={500}
            value={says.words || ''}
            onInput={(event) => {
              change({ ...says, words: event.currentTarget.value });
            }}
          />
        </label>
      )}
      {(problem || refused) && (
        <p class="problem" role="alert">
          {problem || refused}
        </p>
      )}
      <div class="foot">
        <button type="submit" class="main">
          Send and go on
        </button>
        <button type="button" onClick={onSkip}>
          I cannot do this
        </button>
      </div>
    </form>
  );
}

const WANTED: Readonly<Record<AskedStep['parts'][number], string>> = {
  choice: 'Choose one of the answers.',
  picture: 'Take a photo, or write why you cannot.',
  words: 'Write a few words.',
  'meter-point': 'Type the number, or take a photo of the page.',
};

/** What to do where something is hot, buzzing or smells of burning. */
export function Danger({ firm, telephone }: { readonly firm: string; readonly telephone: string }) {
  return (
    <div class="danger" role="alert">
      <strong>Keep away from it. Do not touch it, and do not go back to look.</strong>
      <p>
        Ring <a href="tel:105">105</a> now: the number for electricity emergencies. If there is smoke or fire, get
        everybody out and ring <a href="tel:999">999</a>.
      </p>
      <p>
        Then tell {firm}
        {telephone === '' ? '.' : ': '}
        {telephone !== '' && <a href={`tel:${telephone.replace(/\s/g, '')}`}>{telephone}</a>}
      </p>
    </div>
  );
}

function Pictures({
  pictures,
  onChange,
  onProblem,
}: {
  readonly pictures: readonly SmallPicture[];
  readonly onChange: (pictures: readonly SmallPicture[]) => void;
  readonly onProblem: (says: string) => void;
}) {
  const [isBusy, setBusy] = useState(false);
  const add = async (files: FileList | null): Promise<void> => {
    setBusy(true);
    let shown = pictures;
    for (const file of Array.from(files || []).slice(0, MOST_PICTURES - pictures.length)) {
      const small = await shrunk(file);
      if (small) shown = shown.concat(small);
      else onProblem('That file is not a photo that can be sent. Take it again, or choose another.');
    }
    setBusy(false);
    if (shown !== pictures) onChange(shown);
  };
  const input = (label: string, camera: boolean) => (
    <label class="button">
      {label}
      <input
        type="file"
        class="unseen"
        accept="image/*"
        multiple={!camera}
        {...(camera ? { capture: 'environment' } : {})}
        onChange={(event) => {
          const field = event.currentTarget;
          void add(field.files).then(() => {
            field.value = '';
          });
        }}
      />
    </label>
  );
  return (
    <div>
      <div class="pictures">
        {pictures.map((picture, at) => (
          <Shown
            key={picture.id}
            picture={picture}
            number={at + 1}
            onRemove={() => {
              onChange(pictures.filter(({ id }) => id !== picture.id));
            }}
          />
        ))}
      </div>
      {isBusy && <p role="status">Making the photo smaller …</p>}
      {pictures.length < MOST_PICTURES && !isBusy && (
        <div class="row">
          {input(pictures.length === 0 ? 'Take a photo' : 'Take another', true)}
          {input('Choose from the phone', false)}
        </div>
      )}
    </div>
  );
}

function Shown({
  picture,
  number,
  onRemove,
}: {
  readonly picture: SmallPicture;
  readonly number: number;
  readonly onRemove: () => void;
}) {
  const [url, setUrl] = useState('');
  useEffect(() => {
    const made = URL.createObjectURL(new Blob([picture.bytes], { type: picture.type }));
    setUrl(made);
    return () => {
      URL.revokeObjectURL(made);
    };
  }, [picture]);
  return (
    <figure>
      {url !== '' && <img src={url} alt={`Photo ${number}`} />}
      <button type="button" onClick={onRemove} aria-label={`Remove photo ${number}`}>
        Remove
      </button>
    </figure>
  );
}
