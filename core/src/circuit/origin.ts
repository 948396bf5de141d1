import { highestReading } from '../intake/readings';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { given, type Worked } from '../worked';
import { found, notKnown, type Lookup } from '../cable/lookup';

/** The earth path outside the installation, in Ω: what was read, or the most an operator declares until it is read. */
export function originLoop(survey: Survey, rules: Rules): Lookup<Worked> {
  const { arrangement } = survey.earthing;
  if (arrangement === undefined || arrangement === 'unknown') return notKnown('the earthing arrangement is not known');
  const zeOhm = highestZe(survey);
  if (arrangement === 'tt') {
    const electrodeOhm = highestElectrode(survey) ?? zeOhm;
    return electrodeOhm === undefined
      ? notKnown('the electrode was not measured')
      : found(given('Electrode resistance', electrodeOhm, 'Ω'));
  }
  if (zeOhm !== undefined) return found(given('Ze, highest reading', zeOhm, 'Ω'));
  const declaredOhm = rules.earthing.largestZeOhm.value[arrangement];
  return found(given('Ze, largest an operator declares', declaredOhm, 'Ω'));
}

/** The highest external loop impedance recorded, in Ω. */
export function highestZe(survey: Survey): number | undefined {
  return highestReading(survey, 'loop-impedance-external', survey.earthing.zeOhm);
}

/** The highest resistance recorded of the installation’s own electrode, in Ω. */
export function highestElectrode(survey: Survey): number | undefined {
  return highestReading(survey, 'electrode-resistance', survey.earthing.electrodeOhm);
}
