import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import type { Intake } from '../survey/intake';
import type { Fault } from '../survey/words';

/** Faults as people say them. */
export const FAULT_NAMES: Readonly<Record<Fault, string>> = {
  'broken-moulding': 'Cracked or broken moulding',
  'heat-damage': 'Scorching, discolouration or smell of heat',
  'leaking-compound': 'Compound leaking',
  'exposed-live-parts': 'Live parts exposed',
  'seal-missing-or-broken': 'Seal missing or broken',
  'damp-or-corrosion': 'Damp or corrosion',
  'fused-neutral-or-metal-clad': 'Old metal-clad or double-pole (fused neutral) head',
  'suspected-asbestos': 'Suspected asbestos flash guard or board',
  'cable-sheath-damaged': 'Cable sheath damaged',
  'loose-or-unsupported': 'Loose or unsupported',
  'signs-of-interference': 'Signs of interference',
  other: 'Another fault',
};

/** Whether the intake lets the work go on. */
export type ConditionVerdict = 'make-safe' | 'put-right-first' | 'fit' | 'not-known';

/** The gravest thing seen. A fault nobody has graded is taken as one to put right first. */
export function conditionVerdict(intake: Intake): ConditionVerdict {
  const grades = intake.faults.map((fault) => fault.grade ?? 'before-load-added');
  if (grades.includes('make-safe-now')) return 'make-safe';
  if (grades.includes('before-load-added')) return 'put-right-first';
  if (intake.look === 'fine' || (intake.look === 'not-fine' && grades.length > 0)) return 'fit';
  return 'not-known';
}

/** One finding a fault, and a question while nobody has looked. */
export function conditionFindings(intake: Intake, pack: RulePack): Finding[] {
  const findings = intake.faults.map((fault): Finding => {
    const name = FAULT_NAMES[fault.fault];
    const note = fault.note ? ` ${fault.note}` : '';
    if (fault.grade === 'make-safe-now')
      return {
        id: 'condition-make-safe',
        grade: 'danger',
        station: 'cut-out',
        title: `${name}.${note}`,
        remedy: `Stop, keep clear, and phone the operator’s emergency line: ${pack.emergencyNumber.value}.`,
        subjectId: fault.id,
        source: pack.emergencyNumber.source,
      };
    return {
      id: fault.grade === 'note' ? 'condition-note' : 'condition-put-right',
      grade: fault.grade === 'note' ? 'note' : 'act',
      station: 'cut-out',
      title: `${name}.${note}`,
      remedy: fault.grade === 'note' ? 'Keep a photograph.' : 'The operator puts this right before any load is added.',
      subjectId: fault.id,
    };
  });
  if (conditionVerdict(intake) !== 'not-known') return findings;
  return [
    ...findings,
    {
      id: 'condition-not-looked',
      grade: 'ask',
      station: 'cut-out',
      title:
        intake.look === 'not-fine'
          ? 'The intake was looked at and not found fine, but no fault is recorded.'
          : 'The condition of the intake is not known.',
      remedy: 'Look at the cut-out, its seal, the cable and the board it is on; touch nothing.',
      askOf: 'surveyor',
      field: 'intake.look',
    },
  ];
}
