import { HARMONICS, HARMONICS_NAMES, isGeneration, type Harmonics } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { BoundAnswer, BoundNumber, BoundSelect, BoundText } from '../bound';

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
      <BoundAnswer path={[...path, 'typeTested']} label="On the type-tested register?" />
      <FieldGrid>
        {proposal.typeTested === 'yes' && (
          <BoundText path={[...path, 'registerReference']} label="Register reference" />
        )}
        {motor && (
          <BoundNumber
            path={[...path, 'startingA']}
            label="Starting current, each phase"
            help="With its soft start, where it has one."
          />
        )}
        {heats && (
          <BoundSelect path={[...path, 'harmonics']} label="Harmonics and flicker, declared to" options={LIMITS} />
        )}
        {isGeneration(proposal) && (
          <BoundNumber
            path={[...path, 'exportA']}
            label="Sends back at most, each phase"
            help="As it is set; left out, its rating."
          />
        )}
      </FieldGrid>
      {kind === 'vehicle-charger' && (
        <BoundAnswer path={[...path, 'canExport']} label="Can it send power back to the supply?" />
      )}
    </>
  );
}
