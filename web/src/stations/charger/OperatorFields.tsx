import { HARMONICS, HARMONICS_NAMES, isGeneration, type Harmonics } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { BoundSelect } from '../bound';
import { Field } from '../../fields/Field';

const LIMITS: readonly { readonly value: Harmonics; readonly label: string }[] = HARMONICS.map((value) => ({
  value,
  label: value === 'unknown' ? 'Not known' : HARMONICS_NAMES[value],
}));

/** What operators ask about new equipment, each kind its own. */
export function OperatorFields({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id] as const;
  const { kind } = proposal;
  const motor = kind === 'heat-pump';
  const heats = motor || kind === 'electric-heating';
  return (
    <>
      <Field path={[...path, 'typeTested']} />
      <FieldGrid>
        {proposal.typeTested === 'yes' && <Field path={[...path, 'registerReference']} />}
        {motor && <Field path={[...path, 'startingA']} />}
        {heats && (
          <BoundSelect path={[...path, 'harmonics']} label="Harmonics and flicker, declared to" options={LIMITS} />
        )}
        {isGeneration(proposal) && <Field path={[...path, 'exportA']} />}
      </FieldGrid>
      {kind === 'vehicle-charger' && <Field path={[...path, 'canExport']} />}
    </>
  );
}
