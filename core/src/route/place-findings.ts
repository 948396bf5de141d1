import type { Finding } from '../finding';
import type { Survey } from '../survey/survey';
import { meterPoint } from './meter-point';

/** What is still to be asked about the place, its meter point and its customer. */
export function placeFindings(survey: Survey): Finding[] {
  const { place, supply } = survey;
  const findings: Finding[] = [];
  const ask = (
    id: string,
    title: string,
    remedy: string,
    askOf: Finding['askOf'],
    field: string,
    station: Finding['station'] = 'place',
  ): void => {
    findings.push({ id, grade: 'ask', station, title, remedy, field, ...(askOf ? { askOf } : {}) });
  };
  if (!place.addressLine1)
    ask('address-missing', 'The address is not recorded.', 'Enter it.', 'customer', 'place.addressLine1');
  const number = meterPoint(place.meterPointNumber);
  if (number.state === 'missing')
    ask(
      'meter-point-missing',
      'The meter point number is not known.',
      'It is on the electricity bill, under a large S.',
      'customer',
      'place.meterPointNumber',
    );
  if (number.state === 'faulty')
    ask(
      'meter-point-faulty',
      `Meter point number: ${number.says}`,
      'Read it again from the bill.',
      'surveyor',
      'place.meterPointNumber',
    );
  if (place.premises === undefined)
    ask(
      'premises-not-said',
      'The kind of premises is not said; household allowances are used.',
      'Choose household, small shop or office, or guest house.',
      'surveyor',
      'place.premises',
    );
  if (supply.phases === undefined)
    ask(
      'phases-not-said',
      'Single-phase is taken; nobody has said so.',
      'Count the fuses at the cut-out.',
      'surveyor',
      'supply.phases',
      'cut-out',
    );
  return findings;
}
