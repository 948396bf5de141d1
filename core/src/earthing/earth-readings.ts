import type { Statement } from '../finding';
import { highestElectrode, highestZe } from '../circuit/origin';
import { largestLoopForRcd } from '../cable/fault-loop';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { ReadingKind } from '../survey/words/words';
import { exceeds, written, type Step } from '../worked';
import { ARRANGEMENT_NAMES } from './arrangement-names';

/** What readings of the earth are wrong by. */
export function earthReadingFindings(survey: Survey, rules: Rules): Statement[] {
  return [aboveDeclared(survey, rules), electrode(survey, rules)].flatMap((each) => each ?? []);
}

/** A reading that was not taken, or that does not go with another: to be taken, or taken again. */
export interface ReadingDoubt {
  readonly title: string;
  readonly remedy: string;
  readonly working?: readonly Step[];
}

type Judge = (survey: Survey, rules: Rules) => ReadingDoubt | null;

function valuesOf(survey: Survey, kind: ReadingKind): number[] {
  return survey.readings.flatMap((each) => (each.kind === kind && each.value !== undefined ? [each.value] : []));
}

/** The reading everything else of the earth is worked out from, where nobody has taken it. */
export const electrodeNotTaken: Judge = (survey) =>
  survey.earthing.arrangement === 'tt' && highestElectrode(survey) === undefined && highestZe(survey) === undefined
    ? {
        title: 'TT: what is the electrode’s resistance?',
        remedy: 'Measure it, everything else disconnected from it.',
      }
    : null;

export const zeNotTaken: Judge = (survey) =>
  survey.earthing.arrangement !== 'tt' && highestZe(survey) === undefined
    ? {
        title: 'What is Ze?',
        remedy:
          'Measure it at the origin, the means of earthing alone. The largest an operator declares is used until then.',
      }
    : null;

function aboveDeclared(survey: Survey, rules: Rules): Statement | null {
  const { arrangement } = survey.earthing;
  const zeOhm = highestZe(survey);
  if (arrangement !== 'tn-c-s' && arrangement !== 'tn-s') return null;
  const { value, source } = rules.earthing.largestZeOhm;
  const limit = value[arrangement];
  if (zeOhm === undefined || !exceeds(zeOhm, limit, 'Ω')) return null;
  return {
    id: 'ze-above-declared',
    grade: 'act',
    on: 'earthing',
    station: 'earthing',
    title: `Ze ${zeOhm} Ω is above ${limit} Ω, the most an operator declares for ${ARRANGEMENT_NAMES[arrangement]}.`,
    remedy: 'Query it with the operator before relying on it.',
    askOf: 'operator',
    source,
  };
}

/** A loop too low for an electrode alone. */
export const tooLowForTt: Judge = (survey, rules) => {
  const zeOhm = highestZe(survey);
  const declared = rules.earthing.largestZeOhm.value['tn-s'];
  if (survey.earthing.arrangement !== 'tt' || zeOhm === undefined || exceeds(zeOhm, declared, 'Ω')) return null;
  return {
    title: `A loop of ${zeOhm} Ω is very low for TT.`,
    remedy: 'See whether the earthing conductor also goes to the supply, or a bonded pipe was still connected.',
  };
};

function electrode(survey: Survey, rules: Rules): Statement | null {
  if (survey.earthing.arrangement !== 'tt') return null;
  const electrodeOhm = highestElectrode(survey) ?? highestZe(survey);
  const { value: unstable, source } = rules.earthing.unstableElectrodeOhm;
  if (electrodeOhm === undefined) return null;
  const residual = survey.supply.nodes.flatMap(({ residualMa }) => residualMa ?? []);
  const limit = residual.length > 0 ? largestLoopForRcd(rules.circuit, Math.max(...residual)) : undefined;
  if (limit && exceeds(electrodeOhm, limit.value, 'Ω'))
    return {
      id: 'electrode-above-rcd-limit',
      grade: 'act',
      on: 'earthing',
      station: 'earthing',
      title: `An electrode of ${electrodeOhm} Ω is above ${written(limit.value)} Ω, the most the least sensitive RCD here allows.`,
      remedy: 'A better electrode, or a more sensitive RCD.',
      source: rules.circuit.touchLimitV.source,
      working: limit.steps(),
    };
  if (!exceeds(electrodeOhm, unstable, 'Ω')) return null;
  return {
    id: 'electrode-unstable',
    grade: 'act',
    on: 'earthing',
    station: 'earthing',
    title: `An electrode of ${electrodeOhm} Ω is above ${unstable} Ω and may not stay steady.`,
    remedy: 'Improve the electrode, whatever the touch-voltage sum allows.',
    source,
  };
}

/** Two readings of one loop that lie far apart: one of them is wrong, or the supply changed between them. */
export const apart: Judge = (survey, rules) => {
  const values = valuesOf(survey, 'loop-impedance-external');
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (values.length < 2 || most <= least * (1 + rules.earthing.agreementPercent.value / 100)) return null;
  return {
    title: `Readings of Ze lie apart: ${least} Ω and ${most} Ω. The highest is used.`,
    remedy: 'Take it again, leads nulled, the same way as before.',
  };
};

/** The fault current follows from the loop: at the origin at least 230 V ÷ Ze flows. */
export const againstFault: Judge = (survey, rules) => {
  const zeOhm = highestZe(survey);
  const faults = valuesOf(survey, 'prospective-fault-current');
  const { arrangement } = survey.earthing;
  if (zeOhm === undefined || zeOhm === 0 || faults.length === 0 || arrangement === 'tt') return null;
  const kiloamperes = Math.max(...faults);
  const expected = rules.nominalVoltageV.value / zeOhm / 1000;
  const share = rules.earthing.agreementPercent.value / 100;
  const low = kiloamperes < expected * (1 - share);
  // On PME earth and neutral are one conductor in the street, so both loops are about the same.
  const high = arrangement === 'tn-c-s' && kiloamperes > expected / (1 - share);
  if (!low && !high) return null;
  return {
    title: `A fault current of ${kiloamperes} kA does not go with a Ze of ${zeOhm} Ω.`,
    remedy: 'Take both again at the origin.',
    working: [
      {
        label: 'Fault current from Ze',
        expression: 'nominal voltage ÷ Ze',
        substituted: `${rules.nominalVoltageV.value} ÷ ${zeOhm} = ${written(expected * 1000)} A`,
        value: expected * 1000,
        unit: 'A',
      },
    ],
  };
};

/** A circuit’s loop holds the supply’s in it. */
export const belowOrigin: Judge = (survey) => {
  const zeOhm = highestZe(survey);
  const circuits = valuesOf(survey, 'loop-impedance-circuit');
  if (zeOhm === undefined || circuits.length === 0 || Math.min(...circuits) >= zeOhm) return null;
  return {
    title: `A circuit’s loop of ${Math.min(...circuits)} Ω is lower than Ze, ${zeOhm} Ω.`,
    remedy: 'A bonded pipe in parallel explains it; otherwise take both again.',
  };
};
