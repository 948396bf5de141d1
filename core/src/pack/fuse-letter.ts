import { groupedMeterPoint, meterPoint } from '../route/meter-point';
import { KIND_NAMES } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import type { Assessment } from '../assessment';
import type { SignedBy } from './compose';

export interface Letter {
  readonly subject: string;
  readonly body: string;
}

/**
 * The question to the operator what fuse is in the cut-out, ready to send: site, meter point, what was seen and which
 * photographs show it. It asks; it claims nothing.
 */
export function fuseRatingLetter(
  survey: Survey,
  { supply }: Assessment,
  from: Pick<SignedBy, 'firm' | 'name' | 'registration'>,
  jobNumber: string,
): Letter {
  const { place } = survey;
  const device = survey.supply.nodes.find(({ id }) => id === supply.deviceId);
  const number = meterPoint(place.meterPointNumber);
  const address = [place.addressLine1, place.addressLine2, place.town, place.postcode].filter(Boolean).join(', ');
  const seen = [
    device?.holderMaximumA === undefined ? '' : `The carrier is moulded ${device.holderMaximumA} A at most.`,
    device?.ratingA === undefined || supply.ratingEstablished ? '' : `${device.ratingA} A was stated, and not seen.`,
    device?.evidenceNote ?? '',
    'We broke no seal and opened nothing of yours.',
  ].filter((line) => line !== '');
  const photos = survey.photos
    .map((photo, at) => ({ photo, number: at + 1 }))
    .filter(({ photo }) => photo.subject === 'node' && photo.subjectId === device?.id)
    .map(({ photo, number: at }) => `Photograph ${at}: ${photo.caption ?? 'the cut-out'}`);
  const wanted = survey.proposals.map(({ label, kind, ratedA }) =>
    [label ?? KIND_NAMES[kind].toLowerCase(), ratedA === undefined ? '' : `${ratedA} A`].filter(Boolean).join(', '),
  );
  return {
    subject: `Cut-out fuse rating, ${address || 'site below'}${number.state === 'good' ? `, MPAN ${number.core}` : ''}`,
    body: [
      `To ${place.operatorName ?? 'the network operator'}`,
      '',
      'Please tell us the rating of the fuse in the cut-out at this supply, and whether the service is its own or shared.',
      '',
      `Site: ${address || 'not recorded yet'}`,
      `Meter point number (MPAN): ${numberWords(place.meterPointNumber)}`,
      `Customer: ${place.customerName ?? 'not recorded yet'}`,
      ...(wanted.length > 0 ? [`To be connected: ${wanted.join('; ')}`] : []),
      '',
      'What was seen:',
      ...seen.map((line) => `- ${line}`),
      ...(photos.length > 0 ? ['', 'Photographs with this message:', ...photos.map((line) => `- ${line}`)] : []),
      '',
      `Until you reply we work with ${supply.rating.value ?? 'no'} A and connect nothing that rests on more.`,
      '',
      [from.name, from.firm, from.registration].filter(Boolean).join(', '),
      `Our reference: ${jobNumber}`,
      '',
    ].join('\n'),
  };
}

function numberWords(typed: string | undefined): string {
  const number = meterPoint(typed);
  if (number.state === 'good') return groupedMeterPoint(number.core);
  return number.state === 'faulty' ? `${typed ?? ''} (as read; it does not check)` : 'not recorded yet';
}
