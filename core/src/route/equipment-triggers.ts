import { equipmentName, isLoad } from '../survey/words/kinds';
import { exceeds } from '../worked';
import { exporting, exportTotal } from './export';
import { trigger, verdictIn, type Rule } from './trigger';
import { leastShown, shown } from '../rules/rounding';

const equipmentSize: Rule = ({ survey, rules }) => {
  const { value: limit, source } = rules.askAboveEquipmentA;
  const large = survey.proposals.filter(
    (each) => isLoad(each) && each.ratedA !== undefined && exceeds(each.ratedA, limit),
  );
  if (large.length === 0) return null;
  return trigger({
    id: 'equipment-above-32',
    title: `Equipment above ${limit} A a phase`,
    evidence: large.map((each) => `${equipmentName(each)}: ${each.ratedA} A`).join('; '),
    clearedBy: `equipment rated ${limit} A or less`,
    lever: 'equipment',
    station: 'charger',
    source,
  });
};

const typeTested: Rule = ({ survey }) => {
  const short = survey.proposals.filter((proposal) => proposal.typeTested !== 'yes');
  if (short.length === 0) return null;
  const known = short.some((proposal) => proposal.typeTested === 'no');
  return trigger({
    id: 'equipment-not-registered',
    state: known ? 'met' : 'not-known',
    title: known
      ? 'Equipment is not on the type-tested register'
      : 'Equipment is not shown to be on the type-tested register',
    evidence: short.map(equipmentName).join('; '),
    clearedBy: 'equipment on the operators’ type-tested register',
    lever: 'equipment',
    station: 'charger',
    source: 'EN 61000-3-2, -3-3, -3-11, -3-12',
    verdict: 'registered',
  });
};

const harmonics: Rule = (facts) => {
  const { survey } = facts;
  const short = survey.proposals.filter((each) => each.harmonics === 'neither');
  // Not known is a reason only where nothing else keeps the equipment from being registered.
  const open = verdictIn(facts, 'registered');
  if (short.length === 0) {
    if (open?.answer !== null || survey.proposals.some(({ typeTested }) => typeTested !== 'yes')) return null;
    return trigger({
      id: 'harmonics-not-known',
      state: 'not-known',
      title: 'Which limits of harmonics and flicker the equipment keeps is not known',
      evidence: open.why,
      clearedBy: 'its declaration to EN 61000-3-2 and -3-3, or -3-12 and -3-11',
      lever: 'equipment',
      station: 'charger',
      source: 'EN 61000-3-2, -3-3, -3-11, -3-12',
      verdict: 'registered',
    });
  }
  return trigger({
    id: 'harmonics-outside-limits',
    title: 'Equipment keeps no limits of harmonics and flicker that are connected without asking',
    evidence: short.map(equipmentName).join('; '),
    clearedBy: 'equipment declared to EN 61000-3-2 and -3-3, or -3-12 and -3-11',
    lever: 'equipment',
    station: 'charger',
    source: 'EN 61000-3-2, -3-3, -3-11, -3-12',
    verdict: 'registered',
  });
};

/** A charger whose maker has not said that it cannot export, and one that can without anybody having said how much. */
const canExport: Rule = ({ survey }) => {
  const chargers = survey.proposals.filter(({ kind }) => kind === 'vehicle-charger');
  const open = chargers.filter(
    (each) => each.canExport !== 'no' && (each.canExport !== 'yes' || each.exportA === undefined),
  );
  if (open.length === 0) return null;
  const known = open.some((proposal) => proposal.canExport === 'yes');
  return trigger({
    id: 'can-export',
    state: known ? 'met' : 'not-known',
    title: known
      ? 'Equipment can export: generation has its own route'
      : 'It is not known whether the equipment can export',
    evidence: open.map(equipmentName).join('; '),
    clearedBy: known
      ? 'equipment that cannot export, or how much it exports'
      : 'the maker’s data saying it cannot export',
    lever: 'equipment',
    station: 'charger',
    source: 'EREC G98, G99',
    verdict: 'generation',
  });
};

/**
 * Generation up to so much on each phase, by its capacity, is connected and notified; above that, or not known, it is applied for. What is
 * known already to pass the limit passes it, whatever else is not known.
 */
const generation: Rule = ({ survey, rules }) => {
  const sources = exporting(survey);
  if (sources.every((each) => each.kind === 'vehicle-charger' && each.exportA === undefined)) return null;
  const { value: limit, source } = rules.notifyExportUpToA;
  const { amperes, atLeastA, parts } = exportTotal(survey);
  const over = exceeds(atLeastA, limit);
  if (!over && amperes !== null) return null;
  return trigger({
    id: 'generation-to-apply-for',
    state: over ? 'met' : 'not-known',
    title: over
      ? `More than ${limit} A a phase may be sent back: generation to be applied for`
      : 'How much may be sent back to the street is not known',
    evidence: over
      ? `${parts}: ${amperes === null ? 'at least ' : ''}${shown(atLeastA)} A on the fullest phase.`
      : `${parts}.`,
    clearedBy: over
      ? `at least ${leastShown(atLeastA - limit)} A less generation on that phase`
      : `all generation on the premises given a size, ${limit} A a phase or less together`,
    station: !over && survey.generation === undefined ? 'loads' : 'charger',
    source,
    verdict: 'generation',
  });
};

/** What the new equipment itself asks for, in the order it is read out. */
export const EQUIPMENT_RULES: readonly Rule[] = [equipmentSize, typeTested, harmonics, canExport, generation];
