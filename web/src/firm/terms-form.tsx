import type { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import { useState } from 'react';
import { putFirmTerms, useFirmTerms } from '../api/firm';
import { useMe } from '../api/me';
import { Waiting } from '../app/Waiting';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';

/** A form over the firm’s terms once they are there; each saves its own part of them. */
export function TermsOf({
  title,
  children,
}: {
  readonly title: string;
  readonly children: (terms: FirmTerms, save: (terms: FirmTerms) => Promise<void>) => React.ReactNode;
}) {
  const { data, error, mutate } = useFirmTerms();
  const { refresh } = useMe();
  return (
    <Panel aria-label={title}>
      <h2>{title}</h2>
      {error && !data && <Notice kind="act" title="The firm’s terms could not be loaded." />}
      {!data && !error && <Waiting />}
      {data &&
        children(data.terms, async (terms) => {
          await mutate(await putFirmTerms(terms), false);
          refresh();
        })}
    </Panel>
  );
}

export interface TermsFormProps {
  readonly terms: FirmTerms;
  readonly onSave: (terms: FirmTerms) => Promise<void>;
}

type Said = { readonly kind: 'note' | 'act'; readonly title: string } | null;

/** Saves, and says so; or says why not, with everything still typed. */
export function Saving({
  isChanged,
  save,
  done,
}: {
  readonly isChanged: boolean;
  readonly save: () => Promise<void>;
  readonly done: string;
}) {
  const [said, setSaid] = useState<Said>(null);
  const press = async (): Promise<void> => {
    try {
      await save();
      setSaid({ kind: 'note', title: done });
    } catch (failed) {
      setSaid({ kind: 'act', title: failed instanceof Error ? failed.message : 'It could not be saved.' });
    }
  };
  return (
    <>
      <Row>
        <MainButton onPress={() => void press()}>Save</MainButton>
        {isChanged && <span className="quiet">Not saved yet; kept in this tab.</span>}
      </Row>
      {said && !isChanged && <Notice kind={said.kind} title={said.title} />}
      {said?.kind === 'act' && isChanged && <Notice kind="act" title={said.title} />}
    </>
  );
}
