import { areaName } from '@keen-gauge/core/rules/areas';
import { groupedMeterPoint, meterPoint } from '@keen-gauge/core/route/meter-point';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';

/** Where it is, whose it is, and the number on the bill. */
export function PlaceStation() {
  const { survey } = useSurvey();
  const number = meterPoint(survey.place.meterPointNumber);
  return (
    <StationFrame station="place" lead="Where the supply is, whose it is, and which meter point.">
      <Panel aria-label="Meter point">
        <FieldGrid>
          <BoundText
            path={['place', 'meterPointNumber']}
            label="Meter point number (MPAN)"
            inputMode="numeric"
            fault={number.state === 'faulty' ? number.says : undefined}
            help={
              number.state === 'good'
                ? `Good: ${groupedMeterPoint(number.core)}, distributor ${number.distributor}. Area: ${areaName(number.distributor)}.`
                : '13 digits, or all 21 from the bill under the large S.'
            }
          />
          <BoundText path={['place', 'operatorName']} label="Network operator" />
        </FieldGrid>
        <BoundChoice
          path={['place', 'premises']}
          label="Kind of premises"
          help="Decides which diversity allowances are used."
          options={[
            { value: 'household', label: 'Household', note: 'One dwelling' },
            { value: 'small-shop-or-office', label: 'Small shop or office' },
            { value: 'guest-house', label: 'Guest house' },
          ]}
        />
      </Panel>
      <Panel aria-label="Customer and address">
        <FieldGrid>
          <BoundText path={['place', 'customerName']} label="Customer" />
          <BoundText path={['place', 'customerPhone']} label="Telephone" type="tel" />
          <BoundText path={['place', 'customerEmail']} label="E-mail" type="email" />
          <BoundText path={['place', 'addressLine1']} label="Address" />
          <BoundText path={['place', 'addressLine2']} label="Address, second line" />
          <BoundText path={['place', 'town']} label="Town" />
          <BoundText path={['place', 'postcode']} label="Postcode" />
        </FieldGrid>
        <BoundChoice
          path={['place', 'nation']}
          label="Nation"
          tile="8rem"
          options={[
            { value: 'england', label: 'England' },
            { value: 'wales', label: 'Wales' },
            { value: 'scotland', label: 'Scotland' },
            { value: 'northern-ireland', label: 'Northern Ireland' },
          ]}
        />
        <BoundText path={['notes']} label="Notes" lines help="Anything the office or the fitter should know." />
      </Panel>
    </StationFrame>
  );
}
