import { meterPoint } from '../route/meter-point';
import { isUpgradeOnly } from '../survey/proposal';
import { PREMISES, PREMISES_NAMES } from '../survey/words/words';
import type { QuestionEntry } from './question';

const about = { station: 'place', stop: 'desk' } as const;

/** What has to be asked about the place, its customer, its meter point and what is asked of the operator. */
export const PLACE_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...about,
    id: 'address-missing',
    field: 'place.addressLine1',
    askOf: 'customer',
    on: 'form',
    why: 'The operator finds the supply by it.',
    open: ({ survey: { place } }) =>
      place.addressLine1 ? [] : [{ title: 'What is the address?', remedy: 'As the operator knows it.' }],
  },
  {
    ...about,
    id: 'meter-point-missing',
    field: 'place.meterPointNumber',
    askOf: 'customer',
    on: 'form',
    why: 'It names the supply, and the operator of its area.',
    photo: 'The page of the bill with the large S',
    open: ({ survey: { place } }) =>
      meterPoint(place.meterPointNumber).state === 'missing'
        ? [
            {
              title: 'What is the meter point number?',
              remedy: 'It is on the electricity bill, under a large S.',
            },
          ]
        : [],
  },
  {
    ...about,
    id: 'meter-point-faulty',
    field: 'place.meterPointNumber',
    askOf: 'surveyor',
    on: 'form',
    why: 'An application with a wrong number is sent back.',
    photo: 'The page of the bill with the large S',
    open: ({ survey: { place } }) => {
      const number = meterPoint(place.meterPointNumber);
      return number.state === 'faulty'
        ? [{ title: `Meter point number: ${number.says}`, remedy: 'Read it again from the bill.' }]
        : [];
    },
  },
  {
    ...about,
    id: 'premises-not-said',
    field: 'place.premises',
    askOf: 'surveyor',
    on: 'demand',
    why: 'It decides which allowances the maximum demand is worked out with.',
    open: ({ survey: { place } }) =>
      place.premises === undefined
        ? [
            {
              title: 'What kind of premises is it?',
              remedy: 'Choose household, small shop or office, or guest house.',
              answers: PREMISES.map((premises) => ({
                says: PREMISES_NAMES[premises],
                change: (s) => ({ ...s, place: { ...s.place, premises } }),
              })),
            },
          ]
        : [],
  },
  {
    station: 'cut-out',
    stop: 'part',
    id: 'phases-not-said',
    field: 'supply.phases',
    askOf: 'surveyor',
    on: 'demand',
    why: 'Every figure is per phase.',
    photo: 'The cut-out, all of its fuse carriers in view',
    open: ({ survey: { supply } }) =>
      supply.phases === undefined
        ? [
            {
              title: 'Single-phase or three-phase?',
              remedy: 'Count the fuses at the cut-out.',
              answers: ([1, 3] as const).map((phases) => ({
                says: phases === 1 ? 'Single-phase' : 'Three-phase',
                change: (s) => ({ ...s, supply: { ...s.supply, phases } }),
              })),
            },
          ]
        : [],
  },
  {
    ...about,
    id: 'customer-name',
    field: 'place.customerName',
    askOf: 'customer',
    on: 'form',
    why: 'The form asks for it.',
    open: ({ survey: { place } }) =>
      place.customerName ? [] : [{ title: 'What is the customer’s name?', remedy: 'As it is on the bill.' }],
  },
  {
    ...about,
    id: 'customer-contact',
    field: 'place.customerPhone',
    askOf: 'customer',
    on: 'form',
    why: 'The operator makes its visits with the customer.',
    open: ({ survey: { place } }) =>
      place.customerPhone || place.customerEmail
        ? []
        : [{ title: 'How can the customer be reached?', remedy: 'A telephone number or an e-mail address.' }],
  },
  {
    ...about,
    id: 'postcode',
    field: 'place.postcode',
    askOf: 'customer',
    on: 'form',
    why: 'The form asks for it.',
    open: ({ survey: { place } }) =>
      place.postcode ? [] : [{ title: 'What is the postcode?', remedy: 'The operator finds the supply by it.' }],
  },
  {
    ...about,
    id: 'operator-name',
    field: 'place.operatorName',
    askOf: 'surveyor',
    on: 'form',
    why: 'It is who the pack goes to.',
    open: ({ survey: { place } }) =>
      place.operatorName
        ? []
        : [{ title: 'Which network operator is it?', remedy: 'It is on the bill, or follows from the meter point.' }],
  },
  {
    station: 'route',
    stop: 'desk',
    id: 'which-upgrade',
    field: 'request.fuseUpgrade',
    askOf: 'surveyor',
    on: 'form',
    why: 'A request for the supply alone has to say what is asked for.',
    open: ({ survey }) =>
      isUpgradeOnly(survey) && !survey.request.fuseUpgrade && !survey.request.newPhases
        ? [{ title: 'Which change of supply is asked for?', remedy: 'A larger fuse, or more phases.' }]
        : [],
  },
  {
    station: 'route',
    stop: 'desk',
    id: 'wanted-fuse',
    field: 'request.wantedFuseA',
    askOf: 'surveyor',
    on: 'form',
    why: 'The operator decides on a size.',
    open: ({ survey: { request } }) =>
      request.fuseUpgrade === true && request.wantedFuseA === undefined
        ? [{ title: 'Which fuse is asked for?', remedy: 'Its rating, in amperes.' }]
        : [],
  },
];
