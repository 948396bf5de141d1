import type { Question } from '../questions/question';
import type { Survey } from '../survey/survey';
import { CUSTOMER_STEPS, type CustomerStepId } from './steps';

/** Not asked because of an open question, but wherever a vehicle is to charge. */
const FOR_A_VEHICLE: readonly CustomerStepId[] = ['signal', 'vehicle', 'home', 'tariff'];

/** Which steps are worth sending for a survey as it stands: those that help with something open, danger always, and what a charger’s plan needs. In the order of the walk. */
export function wantedSteps(survey: Survey, questions: readonly Pick<Question, 'id'>[]): CustomerStepId[] {
  const open = new Set(questions.map(({ id }) => id));
  const hasVehicle = survey.proposals.length === 0 || survey.proposals.some(({ kind }) => kind === 'vehicle-charger');
  return CUSTOMER_STEPS.filter(
    ({ id, helps }) =>
      id === 'danger' || helps.some((each) => open.has(each)) || (hasVehicle && FOR_A_VEHICLE.includes(id)),
  ).map(({ id }) => id);
}
