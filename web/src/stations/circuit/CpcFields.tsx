import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import type { Cable } from '@keen-gauge/core/survey/supply';
import { FieldGrid } from '../../kit/fields';
import { BoundChoice, BoundNumber } from '../bound';

/** What serves as protective conductor of a run. */
export function CpcFields({
  path,
  cable,
}: {
  readonly path: Place<Pick<Cable, 'cpc' | 'cpcMm2' | 'cpcMOhmPerM'>>;
  readonly cable: Cable;
}) {
  return (
    <>
      <BoundChoice
        path={[...path, 'cpc']}
        label="Protective conductor"
        tile="11rem"
        options={[
          {
            value: 'core',
            label: 'A core of it',
            note: cable.type === 'armoured' ? 'As large as the others' : 'As it is made',
          },
          ...(cable.type === 'armoured'
            ? [{ value: 'armour' as const, label: 'Its armour', note: 'By its maker’s figure' }]
            : []),
          { value: 'separate', label: 'A separate one' },
        ]}
      />
      {(cable.cpc === 'separate' || cable.cpc === 'armour') && (
        <FieldGrid>
          <BoundNumber
            path={[...path, 'cpcMm2']}
            label={cable.cpc === 'armour' ? 'Section of the armour' : 'Its size, copper'}
          />
          {cable.cpc === 'armour' && (
            <BoundNumber
              path={[...path, 'cpcMOhmPerM']}
              label="Resistance of the armour at 20 °C"
              help="From its maker’s data: no table here holds it."
            />
          )}
        </FieldGrid>
      )}
    </>
  );
}
