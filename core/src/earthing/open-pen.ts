import type { PerPhase } from '../demand/per-phase-figures';
import { highestElectrode } from '../circuit/origin';
import { largestLoopForRcd } from '../cable/fault-loop';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { OPEN_PEN_METHODS, type OpenPenMethod } from '../survey/words/words';
import { exceeds, figure, unknownFigure, written, type Figure } from '../worked';
import { largestElectrode, touchVoltage } from './touch-voltage';
import { shown } from '../rules/rounding';

/** The four ways as people name them. */
export const OPEN_PEN_NAMES: Readonly<Record<OpenPenMethod, string>> = {
  'built-in': 'Built into the charger',
  'separate-device': 'A separate device',
  'tt-island': 'A TT island',
  'low-electrode': 'A low-resistance electrode',
};

/** How one way does on this site. */
export interface PenWay {
  readonly method: OpenPenMethod;
  readonly state: 'suits' | 'does-not' | 'not-known';
  /** How it does leaving aside whether a second path to earth defeats it. */
  readonly byItself: 'suits' | 'does-not' | 'not-known';
  /** Why, and what has to be seen to; the first is the one that decides. */
  readonly reasons: readonly string[];
}

export interface OpenPenAssessment {
  readonly proposalId: string;
  readonly label: string;
  readonly need: 'needed' | 'not-needed' | 'not-known';
  readonly why: string;
  readonly chosen: OpenPenMethod | null;
  readonly ways: readonly PenWay[];
  /** Load current the touch voltage is reckoned with: the fullest phase after the work. */
  readonly loadA: number | null;
  readonly largestElectrode: Figure;
  /** With the electrode recorded for this equipment, or the installation’s; null where there is none. */
  readonly electrodeOhm: number | null;
  readonly touchV: number | null;
}

/** The four ways of protecting a vehicle outdoors, compared for one piece of equipment on this site. */
export function assessOpenPen(survey: Survey, proposal: Proposal, after: PerPhase, rules: Rules): OpenPenAssessment {
  const currents = Object.values(after).map(({ value, bound }) => (bound === 'exact' ? value : null));
  // A lower bound would allow a worse electrode than the whole demand does.
  const loadA = currents.includes(null) ? null : Math.max(0, ...currents.map((value) => value ?? 0)) || null;
  const electrodeOhm = proposal.pen?.electrodeOhm ?? highestElectrode(survey) ?? null;
  const largest = loadA === null ? undefined : largestElectrode(loadA, rules);
  return {
    proposalId: proposal.id,
    label: equipmentName(proposal),
    ...needOf(survey, proposal),
    chosen: proposal.openPen ?? null,
    ways: OPEN_PEN_METHODS.map((method) => ({
      method,
      ...withSecondPath(method, proposal, JUDGES[method]({ survey, proposal, rules, loadA, electrodeOhm })),
    })),
    loadA,
    largestElectrode: largest
      ? figure(largest)
      : unknownFigure('Largest electrode', 'Ω', 'The demand after the work is not known.'),
    electrodeOhm,
    touchV: loadA === null || electrodeOhm === null ? null : touchVoltage(electrodeOhm, loadA, rules),
  };
}

function needOf({ earthing }: Survey, { parking }: Proposal): Pick<OpenPenAssessment, 'need' | 'why'> {
  const { arrangement } = earthing;
  if (arrangement === 'tt' || arrangement === 'tn-s')
    return { need: 'not-needed', why: 'The earth is not taken from a combined conductor.' };
  if (parking === 'indoors-only') return { need: 'not-needed', why: 'Vehicles charge indoors only.' };
  if (arrangement !== 'tn-c-s') return { need: 'not-known', why: 'The earthing arrangement is not known.' };
  if (parking === undefined) return { need: 'needed', why: 'Where vehicles charge is not recorded: outdoors is used.' };
  return { need: 'needed', why: 'A vehicle outdoors on a supply earthed through its neutral.' };
}

interface Case {
  readonly survey: Survey;
  readonly proposal: Proposal;
  readonly rules: Rules;
  readonly loadA: number | null;
  readonly electrodeOhm: number | null;
}

type Verdict = Pick<PenWay, 'state' | 'reasons'>;

const JUDGES: Readonly<Record<OpenPenMethod, (of: Case) => Verdict>> = {
  'built-in': (of) =>
    detection(of, 'built-in', 'Nothing more to fit: the maker’s instructions decide.', [
      'Its maker must declare that it disconnects line, neutral and protective conductor.',
    ]),
  'separate-device': (of) =>
    detection(of, 'separate-device', 'Fits any charger; needs an enclosure and room beside the circuit.', [
      'It must disconnect line, neutral and protective conductor, and suit the charger’s current.',
    ]),
  'tt-island': island,
  'low-electrode': lowElectrode,
};

/**
 * A gland or a fixing that joins the frame to the installation’s earth goes on holding it live after disconnection: no way but an electrode
 * low enough by itself does anything then, and none is known to until it was looked for.
 */
function withSecondPath(method: OpenPenMethod, { pen }: Proposal, own: Verdict): Omit<PenWay, 'method'> {
  const byItself = own.state;
  if (method === 'low-electrode' || pen?.secondEarthPath === 'no' || byItself === 'does-not')
    return { ...own, byItself };
  if (pen?.secondEarthPath === 'yes')
    return {
      byItself,
      state: 'does-not',
      reasons: ['A second path to the installation’s earth defeats the disconnection.'],
    };
  const open = 'Whether anything else joins its frame to the installation’s earth.';
  const reasons = byItself === 'suits' ? [open, ...own.reasons] : [...own.reasons, open];
  return { byItself, state: 'not-known', reasons };
}

/** Detection by voltage sees a break by what it does to one line; where lines balance, it may do nothing. */
function detection({ survey, proposal, rules }: Case, method: OpenPenMethod, good: string, notes: string[]): Verdict {
  const { windowV, withinS, touchV } = rules.earthing.pen.value;
  const mine = proposal.openPen === undefined || proposal.openPen === method ? proposal.pen : undefined;
  const three = survey.supply.phases === 3 || proposal.phases === 3;
  if (mine?.declared === 'no') return { state: 'does-not', reasons: ['Its maker does not declare the disconnection.'] };
  if (mine?.detection === 'voltage-window' && three)
    return {
      state: 'does-not',
      reasons: ['A voltage window may see nothing where three phases balance: a measuring electrode is needed.'],
    };
  const how =
    mine?.detection === 'measuring-electrode'
      ? `Against a measuring electrode, ${touchV} V.`
      : `By a voltage window, about ${windowV[0]}–${windowV[1]} V within ${withinS} s, or against a measuring electrode, ${touchV} V.`;
  const known = mine?.declared === 'yes' && (!three || mine.detection === 'measuring-electrode');
  return { state: known ? 'suits' : 'not-known', reasons: known ? [good, how] : [...notes, how] };
}

function island({ proposal, rules }: Case): Verdict {
  const { pen } = proposal;
  const leastM = rules.earthing.pen.value.islandDistanceM;
  const unstable = rules.earthing.unstableElectrodeOhm.value;
  const limit = largestLoopForRcd(rules.circuit, rules.circuit.rcd.value.residualMa).value;
  const mine = proposal.openPen === 'tt-island' ? pen : undefined;
  const distanceM = pen?.islandDistanceM;
  if (distanceM !== undefined && distanceM < leastM)
    return {
      state: 'does-not',
      reasons: [`Metal earthed through the supply is ${distanceM} m away, ${leastM} m at least.`],
    };
  if (pen?.islandClear === 'no')
    return { state: 'does-not', reasons: ['Its electrode lies near buried metal bonded to the supply’s earth.'] };
  const electrodeOhm = mine?.electrodeOhm ?? pen?.electrodeOhm;
  if (electrodeOhm !== undefined && exceeds(electrodeOhm, Math.min(unstable, limit), 'Ω'))
    return {
      state: 'does-not',
      reasons: [`An electrode of ${electrodeOhm} Ω is above ${Math.min(unstable, limit)} Ω.`],
    };
  const open = [
    distanceM === undefined ? `The distance to metal earthed through the supply: ${leastM} m at least.` : '',
    pen?.islandClear === 'yes' ? '' : 'That the buried parts are clear of buried bonded metal.',
    electrodeOhm === undefined ? `The electrode’s resistance: ${unstable} Ω at most.` : '',
  ].filter((part) => part !== '');
  if (open.length > 0) return { state: 'not-known', reasons: open };
  return { state: 'suits', reasons: ['Clear of everything earthed through the supply; a 30 mA RCD disconnects.'] };
}

function lowElectrode({ survey, rules, loadA, electrodeOhm }: Case): Verdict {
  const { touchV } = rules.earthing.pen.value;
  if (loadA === null) return { state: 'not-known', reasons: ['The demand after the work is not known.'] };
  const most = largestElectrode(loadA, rules).value;
  const rule = `At ${shown(loadA)} A the electrode may have ${written(most)} Ω at most to stay within ${touchV} V.`;
  const three =
    survey.supply.phases === 3 ? ['Worked out as if the fullest phase stood alone, the worst of three phases.'] : [];
  if (electrodeOhm === null)
    return { state: 'not-known', reasons: [rule, 'Rarely practical: a single rod has tens of ohms.', ...three] };
  if (exceeds(electrodeOhm, most, 'Ω'))
    return {
      state: 'does-not',
      reasons: [`${electrodeOhm} Ω gives ${written(touchVoltage(electrodeOhm, loadA, rules))} V. ${rule}`, ...three],
    };
  return { state: 'suits', reasons: [rule, 'It has to stay so in dry ground.', ...three] };
}
