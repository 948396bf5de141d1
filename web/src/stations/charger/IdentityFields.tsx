import { isLoad } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundCode, BoundNumber, BoundSelect } from '../bound';
import { placesToHang } from '../places';
import { Field } from '../../fields/Field';

/** What any new equipment is: its name, plate, size, lines and where it hangs. */
export function IdentityFields({ proposal }: { readonly proposal: Proposal }) {
  const { survey } = useSurvey();
  const path = ['proposals', proposal.id] as const;
  const places = placesToHang(survey);
  return (
    <>
      <FieldGrid>
        <Field path={[...path, 'label']} />
        <Field path={[...path, 'makeAndModel']} />
        <BoundNumber
          path={[...path, 'ratedA']}
          label={isLoad(proposal) ? 'Rated current, each phase' : 'Rated output, each phase'}
          usual={[16, 32]}
        />
        {places.length > 1 && <BoundSelect path={[...path, 'nodeId']} label="Fed from" options={places} />}
      </FieldGrid>
      <BoundCode
        path={[...path, 'phases']}
        label="Phases"
        codes={[
          { value: 1, label: 'Single-phase' },
          { value: 3, label: 'Three-phase' },
        ]}
      />
      {survey.supply.phases === 3 && proposal.phases !== 3 && (
        <BoundChoice
          path={[...path, 'phase']}
          label="On which phase?"
          tile="5rem"
          options={[
            { value: 'L1', label: 'L1' },
            { value: 'L2', label: 'L2' },
            { value: 'L3', label: 'L3' },
          ]}
        />
      )}
    </>
  );
}
