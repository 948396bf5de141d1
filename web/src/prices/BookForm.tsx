import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { ServerProblem } from '../api/client';
import { putPrices, usePrices, type ShownBook } from '../api/prices';
import { Waiting } from '../app/Waiting';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { Saving } from '../firm/terms-form';
import { useDraft } from '../firm/use-draft';

/** A book being changed: the version it was taken from goes with it, so that nobody writes over somebody else’s. */
interface Draft {
  readonly book: PriceBook;
  readonly version: number;
}

export interface BookFormProps {
  readonly book: PriceBook;
  readonly change: (book: PriceBook) => void;
}

/** A form over the firm’s price book: what is typed is kept in this tab until it is saved, for all the forms over it together. */
export function BookForm({
  title,
  lead,
  children,
}: {
  readonly title: string;
  readonly lead?: string;
  readonly children: (form: BookFormProps) => React.ReactNode;
}) {
  const { data, error, mutate } = usePrices();
  return (
    <Panel aria-label={title}>
      <h2>{title}</h2>
      {lead !== undefined && <p className="quiet">{lead}</p>}
      {error && !data && <Notice kind="act" title="The price list could not be loaded." />}
      {!data && !error && <Waiting />}
      {data?.hidden === true && <Notice kind="note" title="Your firm keeps prices from your role." />}
      {data?.hidden === false && (
        <Form shown={data} onSaved={(next) => void mutate(next, false)} onBehind={() => mutate()}>
          {children}
        </Form>
      )}
    </Panel>
  );
}

function Form({
  shown,
  onSaved,
  onBehind,
  children,
}: {
  readonly shown: ShownBook;
  readonly onSaved: (next: ShownBook) => void;
  readonly onBehind: () => Promise<unknown>;
  readonly children: (form: BookFormProps) => React.ReactNode;
}) {
  const stored: Draft = { book: shown.book, version: shown.version };
  const { draft, isChanged, change, settle } = useDraft<Draft>('prices', stored);
  const isBehind = isChanged && draft.version !== shown.version;
  return (
    <>
      {isBehind && (
        <Notice kind="ask" title="Somebody else has saved prices since you began.">
          <Row>
            <Button
              onPress={() => {
                settle(stored);
                window.location.reload();
              }}
            >
              Give up mine, and show theirs
            </Button>
            <Button
              onPress={() => {
                change({ ...draft, version: shown.version });
              }}
            >
              Keep mine, to save over theirs
            </Button>
          </Row>
        </Notice>
      )}
      {children({
        book: draft.book,
        change: (book) => {
          change({ ...draft, book });
        },
      })}
      <Saving
        isChanged={isChanged}
        done="Saved. Every price is worked out by it now; quotations made before stay as they are."
        save={async () => {
          const { starter: _starter, ...terms } = draft.book.terms;
          try {
            const next = await putPrices({ ...draft.book, terms }, draft.version);
            onSaved(next);
            settle({ book: next.book, version: next.version });
          } catch (failed) {
            // Theirs is fetched at once, so that there is something to choose between.
            if (failed instanceof ServerProblem && failed.status === 409) await onBehind();
            if (failed instanceof ServerProblem && failed.faults.length > 0) {
              const [fault] = failed.faults;
              throw new Error(
                `${fault?.path.replace('$.', '') ?? ''} ${fault?.wrong ?? ''}. Expected: ${fault?.expected ?? ''}.`,
                {
                  cause: failed,
                },
              );
            }
            throw failed;
          }
        }}
      />
    </>
  );
}
