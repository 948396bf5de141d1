import type { FindingId } from '../finding-ids';

/** What a customer can be asked, in the order in which somebody walks through their home. Nothing in it has to be opened, moved or touched. */
export const CUSTOMER_STEP_IDS = [
  'danger',
  'meter-position',
  'cut-out',
  'cut-out-label',
  'meter',
  'earth-wire',
  'gas-and-water',
  'board',
  'way',
  'parking',
  'signal',
  'heating',
  'shower',
  'cooking',
  'generation',
  'vehicle',
  'bill',
  'home',
  'tariff',
] as const;
export type CustomerStepId = (typeof CUSTOMER_STEP_IDS)[number];

/** What an answer is made of; the first of a step’s parts is what is needed, the others may be left out. */
export const ANSWER_PARTS = ['choice', 'picture', 'words', 'meter-point'] as const;
export type AnswerPart = (typeof ANSWER_PARTS)[number];

export interface StepChoice {
  readonly value: string;
  readonly label: string;
}

/** One step: one photograph or one answer. */
export interface CustomerStep {
  readonly id: string;
  /** The instruction, as somebody of eleven reads it. */
  readonly ask: string;
  /** How to do it well, and what not to do. */
  readonly how: string;
  readonly parts: readonly AnswerPart[];
  readonly choices?: readonly StepChoice[];
  /** Questions of the survey that it helps to answer; none, and only a surveyor’s wish asks for it. */
  readonly helps: readonly FindingId[];
}

const choices = (...pairs: readonly (readonly [value: string, label: string])[]): readonly StepChoice[] =>
  pairs.map(([value, label]) => ({ value, label }));

/** Every step there is, in plain words. A firm may word them anew, leave some out, and add its own. */
export const CUSTOMER_STEPS: readonly (CustomerStep & { readonly id: CustomerStepId })[] = [
  {
    id: 'danger',
    ask: 'Look at your electricity meter and the boxes near it. Is anything scorched, buzzing, or smelling of burning?',
    how: 'Look and listen from where you stand. Do not touch anything.',
    parts: ['choice', 'words'],
    choices: choices(['no', 'No'], ['yes', 'Yes'], ['unsure', 'I am not sure']),
    helps: ['condition-not-looked', 'fault-not-graded'],
  },
  {
    id: 'meter-position',
    ask: 'Take a photo of the whole place where the electricity meter is.',
    how: 'Step back until everything is in the picture: the meter, the boxes and the wires between them. Open the cupboard door, and nothing else.',
    parts: ['picture', 'words'],
    helps: ['condition-not-looked', 'loop-not-known', 'phases-not-said'],
  },
  {
    id: 'cut-out',
    ask: 'Take a photo of the box where the thick cable from the street ends.',
    how: 'It is often black or grey, below or beside the meter. Show the whole box and every cable that goes into it. Do not touch it.',
    parts: ['picture', 'words'],
    helps: ['condition-not-looked', 'loop-not-known', 'phases-not-said', 'fuse-rating-not-established'],
  },
  {
    id: 'cut-out-label',
    ask: 'Is there a label or a tag on that box? Take a close photo of it.',
    how: 'Come close enough to read the letters. If there is none, write “none” and go on. Do not move anything to see it.',
    parts: ['picture', 'words'],
    helps: ['fuse-rating-not-established'],
  },
  {
    id: 'meter',
    ask: 'Take a photo of the front of the meter.',
    how: 'The numbers and the small print should be readable.',
    parts: ['picture', 'words'],
    helps: ['check-meter-rating', 'meter-point-missing'],
  },
  {
    id: 'earth-wire',
    ask: 'Find the green and yellow wire near the meter. Take a photo that shows where it goes.',
    how: 'Take it from where you stand. If you can see where the wire ends, show that.',
    parts: ['picture', 'words'],
    helps: ['earthing-not-known', 'earthing-conductor-not-known', 'earthing-recognition-missing'],
  },
  {
    id: 'gas-and-water',
    ask: 'Take a photo of where the gas pipe and the water pipe come into your home.',
    how: 'Often under the sink, in the hall or beside the gas meter. One photo each. If you cannot see one, say so in words.',
    parts: ['picture', 'words'],
    helps: ['bonding-not-looked', 'bonding-not-known'],
  },
  {
    id: 'board',
    ask: 'Take a photo of the fuse board with its cover shut.',
    how: 'It is the box with the row of switches. The words beside the switches should be readable. Leave the cover shut.',
    parts: ['picture', 'words'],
    helps: ['check-spare-way', 'check-main-switch-rating', 'circuits-incomplete'],
  },
  {
    id: 'way',
    ask: 'Walk from the fuse board to where the new equipment will be. Take photos on the way.',
    how: 'Two or three photos: each room, each wall, the ground outside.',
    parts: ['picture', 'words'],
    helps: ['cable-not-judged'],
  },
  {
    id: 'parking',
    ask: 'Where will the car be when it charges? Take a photo of the place and the wall beside it.',
    how: 'Stand back far enough to show the ground and the whole wall.',
    parts: ['choice', 'picture', 'words'],
    choices: choices(['outdoors', 'Outdoors'], ['indoors-only', 'Always in a garage']),
    helps: ['parking-not-said', 'position-not-settled'],
  },
  {
    id: 'signal',
    ask: 'Stand where the new equipment will be. How many bars of mobile signal does your phone show?',
    how: 'Some equipment needs a signal to work well.',
    parts: ['choice'],
    choices: choices(['0', 'None'], ['1', 'One'], ['2', 'Two'], ['3', 'Three'], ['4', 'Four']),
    helps: ['signal-not-read'],
  },
  {
    id: 'heating',
    ask: 'How is your home heated?',
    how: 'If there are several ways, choose the main one and write down the others.',
    parts: ['choice', 'words'],
    choices: choices(
      ['gas', 'Gas'],
      ['oil-or-other', 'Oil, wood or something else'],
      ['heat-pump', 'Heat pump'],
      ['storage', 'Electric storage heaters'],
      ['electric', 'Other electric heaters'],
      ['unsure', 'I am not sure'],
    ),
    helps: ['no-loads'],
  },
  {
    id: 'shower',
    ask: 'Is there an electric shower: one that heats its own water, with a pull cord or a switch outside?',
    how: 'A shower that takes its hot water from a boiler or a tank is not one.',
    parts: ['choice'],
    choices: choices(['0', 'No'], ['1', 'Yes, one'], ['2', 'Yes, two or more'], ['unsure', 'I am not sure']),
    helps: ['no-loads'],
  },
  {
    id: 'cooking',
    ask: 'What do you cook with?',
    how: 'Think of the oven and of the hob.',
    parts: ['choice'],
    choices: choices(
      ['electric', 'Electric oven and electric hob'],
      ['electric-oven', 'Electric oven, gas hob'],
      ['gas', 'Gas for both'],
      ['unsure', 'I am not sure'],
    ),
    helps: ['no-loads'],
  },
  {
    id: 'generation',
    ask: 'Do you have solar panels or a home battery?',
    how: 'Also say so if they are ordered and not yet there.',
    parts: ['choice', 'words'],
    choices: choices(['no', 'No'], ['solar', 'Solar panels'], ['battery', 'A battery'], ['both', 'Both']),
    helps: ['generation-taken', 'generation-not-said'],
  },
  {
    id: 'vehicle',
    ask: 'Which car will it be, and when does it come?',
    how: 'For example: a small electric van, on 14 February. Or: it is here already.',
    parts: ['words'],
    helps: [],
  },
  {
    id: 'bill',
    ask: 'Find the long number on your electricity bill, beside a large S. Type its 13 lower digits, or take a photo of that page.',
    how: 'It begins with two digits between 10 and 39. It is not your account number.',
    parts: ['meter-point', 'picture'],
    helps: ['meter-point-missing', 'meter-point-faulty'],
  },
  {
    id: 'home',
    ask: 'Whose are the home and the parking place?',
    how: 'If they are not yours, the owner will be asked to agree.',
    parts: ['choice', 'words'],
    choices: choices(
      ['mine', 'Both are mine'],
      ['parking-not-mine', 'The home is mine, the parking place is not'],
      ['rented', 'I rent'],
      ['lease', 'It is a flat on a lease'],
      ['unsure', 'I am not sure'],
    ),
    helps: [],
  },
  {
    id: 'tariff',
    ask: 'Who is your electricity supplier, and do you have a cheap night rate?',
    how: 'Only if you would like charging in the cheap hours. Write “no” if not.',
    parts: ['words'],
    helps: [],
  },
];

/** A step by its id, of Keen Gauge’s own. */
export function customerStep(id: string): (CustomerStep & { readonly id: CustomerStepId }) | undefined {
  return CUSTOMER_STEPS.find((step) => step.id === id);
}
