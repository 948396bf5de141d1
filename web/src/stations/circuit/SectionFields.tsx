import type { Insulation } from '@keen-gauge/core/rules/circuit-rules';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { Field } from '../../fields/Field';

/** One way of laying: how long, how, beside what, how warm, in how much insulation. Only tabulated values are offered. */
export function SectionFields({
  path,
  insulation = 'thermoplastic-70',
  buried,
  length = true,
}: {
  /** A node's cable, or one section of the way of new equipment. */
  readonly path:
    readonly ['supply', 'nodes', string, 'cable'] | readonly ['proposals', string, 'circuit', 'segments', string];
  readonly insulation?: Insulation | undefined;
  readonly buried: boolean;
  /** Whether length and laying are asked here too. */
  readonly length?: boolean;
}) {
  const { circuit } = useSurvey().rules;
  const ambient = (buried ? circuit.ambientInGround : circuit.ambientInAir).value[insulation];
  const tabulated = (of: Readonly<Record<number, number>>): number[] => Object.keys(of).map(Number);
  return (
    <FieldGrid>
      {length && (
        <>
          <BoundNumber path={[...path, 'lengthM']} label="Length" />
          <Field path={[...path, 'laid']} />
        </>
      )}
      <BoundNumber path={[...path, 'circuitsTogether']} label="Circuits together, this one counted" usual={[1, 2, 3]} />
      <BoundNumber
        path={[...path, 'ambientC']}
        label={buried ? 'Ground' : 'Air'}
        usual={tabulated(ambient).slice(1, 5)}
        help="Tabulated values only; never interpolated."
      />
      <BoundNumber
        path={[...path, 'insulationMm']}
        label="Length surrounded by insulation"
        usual={tabulated(circuit.surrounded.value)}
        help="Longer than the last counts as wholly surrounded."
      />
    </FieldGrid>
  );
}
