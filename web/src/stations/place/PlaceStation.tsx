import { areaName } from '@keen-gauge/core/rules/areas';
import { groupedMeterPoint, meterPoint } from '@keen-gauge/core/route/meter-point';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { ReadMeterPoint } from '../../ocr/ReadMeterPoint';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { Field } from '../../fields/Field';

/** Where it is, whose it is, and the number on the bill. */
export default function PlaceStation() {
  const { survey } = useSurvey();
  const set = useSet();
  const number = meterPoint(survey.place.meterPointNumber);
  return (
    <StationFrame station="place" lead="Where the supply is, whose it is, and which meter point.">
      <Panel aria-label="Meter point">
        <FieldGrid>
          <Field
            path={['place', 'meterPointNumber']}
            fault={number.state === 'faulty' ? number.says : undefined}
            help={
              number.state === 'good'
                ? `Good: ${groupedMeterPoint(number.core)}, distributor ${number.distributor}. Area: ${areaName(number.distributor)}.`
                : '13 digits, or all 21 from the bill under the large S.'
            }
          />
          <Field path={['place', 'operatorName']} />
        </FieldGrid>
        {number.state !== 'good' && (
          <ReadMeterPoint
            onChoose={(core) => {
              set(['place', 'meterPointNumber'], core);
            }}
          />
        )}
        <Field path={['place', 'premises']} />
      </Panel>
      <Panel aria-label="Customer and address">
        <FieldGrid>
          <Field path={['place', 'customerName']} />
          <Field path={['place', 'customerPhone']} />
          <Field path={['place', 'customerEmail']} />
          <Field path={['place', 'addressLine1']} />
          <Field path={['place', 'addressLine2']} />
          <Field path={['place', 'town']} />
          <Field path={['place', 'postcode']} />
        </FieldGrid>
        <Field path={['place', 'nation']} />
        <Field path={['notes']} />
      </Panel>
    </StationFrame>
  );
}
