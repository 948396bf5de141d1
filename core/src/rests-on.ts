import type { Assessment } from './assessment';
import { ARRANGEMENT_NAMES } from './earthing/arrangement-names';
import type { Station } from './finding';
import { nodeName, type Evidence } from './survey/words/words';
import { equipmentName } from './survey/words/kinds';
import type { PhotoSubject } from './survey/photo';
import type { Survey } from './survey/survey';
import { supplyTree } from './tree/supply-tree';

/** One thing a survey claims: how it is known, who stands by it, and the photographs that show it. */
export interface Claim {
  readonly id: string;
  readonly station: Station;
  readonly claim: string;
  /** How it is known, and by whom. */
  readonly known: string;
  /** Seen, read or declared by somebody; false where it is only assumed. */
  readonly confirmed: boolean;
  /** What a photograph of it would be filed under. */
  readonly shownBy: { readonly subject: PhotoSubject; readonly subjectId?: string };
}

const EVIDENCE_WORDS: Readonly<Record<Evidence, string>> = {
  assumed: 'nobody has seen it',
  moulding: 'read off the holder, not the fuse',
  label: 'read on a label or tag',
  record: 'the operator’s record',
  attended: 'read by the operator’s staff',
};

const LOOP_WORDS = {
  'not-looped': 'Service not looped',
  'feeds-next-door': 'Service feeds next door',
  'fed-from-next-door': 'Service fed from next door',
  unknown: 'Loop not known',
} as const;

const LOOP_EVIDENCE = {
  'cable-traced': 'cable traced',
  'operator-record': 'operator’s record',
  'signs-only': 'outward signs only',
} as const;

/**
 * What the answer of a survey rests on, claim by claim, in the order of the walk: for somebody who has not been there and has to stand by it. Nothing is judged here;
 * the verdicts do that.
 */
export function restsOn(survey: Survey, assessment: Assessment): Claim[] {
  const { earthing, intake, declaration, choice } = survey;
  const device = supplyTree(survey).device?.node;
  const { contradicts, sure, pointsTo } = assessment.earthing.recognition;
  const claims: Claim[] = [];
  if (device)
    claims.push({
      id: 'fuse',
      station: 'cut-out',
      claim: `${nodeName(device)}: ${device.ratingA === undefined ? 'rating not recorded' : `${device.ratingA} A`}`,
      known: [
        device.evidence ? EVIDENCE_WORDS[device.evidence] : 'how it is known is not recorded',
        device.evidenceNote,
      ]
        .filter(Boolean)
        .join('. '),
      confirmed: assessment.supply.ratingEstablished === true,
      shownBy: { subject: 'node', subjectId: device.id },
    });
  const { status = 'unknown', evidence, note, signs = [] } = intake.loop;
  // That a service is shared is confirmed by whatever shows it; that it is not takes the cable traced or the record.
  const seen = evidence !== undefined || Boolean(note) || signs.some(({ answer }) => answer === 'not-fine');
  claims.push({
    id: 'loop',
    station: 'loop',
    claim: LOOP_WORDS[status],
    known: [evidence ? LOOP_EVIDENCE[evidence] : 'how it is known is not recorded', note].filter(Boolean).join('. '),
    confirmed: assessment.supply.loop === 'own' || (status !== 'unknown' && status !== 'not-looped' && seen),
    shownBy: { subject: 'loop' },
  });
  claims.push({
    id: 'earthing',
    station: 'earthing',
    claim: `Earthing: ${ARRANGEMENT_NAMES[earthing.arrangement ?? 'unknown']}`,
    known: earthing.recognisedBy ?? 'how it was recognised is not recorded',
    confirmed:
      earthing.arrangement !== undefined &&
      earthing.arrangement !== 'unknown' &&
      Boolean(earthing.recognisedBy) &&
      !contradicts &&
      (!sure || pointsTo === earthing.arrangement),
    shownBy: { subject: 'earthing' },
  });
  const assumed = survey.loads.filter((load) => load.assumed === true).length;
  claims.push({
    id: 'loads',
    station: 'loads',
    claim: `${survey.loads.length} load${survey.loads.length === 1 ? '' : 's'} listed`,
    known: assumed === 0 ? 'each confirmed' : `${assumed} of them assumed`,
    confirmed: survey.loads.length > 0 && assumed === 0,
    shownBy: { subject: 'load' },
  });
  if (declaration.basis !== undefined && declaration.basis !== 'circuits')
    claims.push({
      id: 'basis',
      station: 'loads',
      claim: `Demand declared by ${declaration.basis}`,
      known: [declaration.reason ?? 'no reason given', declaration.declaredBy].filter(Boolean).join('. '),
      confirmed: declaration.declaredBy !== undefined && Boolean(declaration.reason),
      shownBy: { subject: 'reading' },
    });
  for (const proposal of survey.proposals)
    claims.push({
      id: `proposal ${proposal.id}`,
      station: 'charger',
      claim: `${equipmentName(proposal)}${proposal.ratedA === undefined ? '' : `, ${proposal.ratedA} A`}`,
      known:
        proposal.typeTested === 'yes'
          ? `on the register${proposal.registerReference ? `, ${proposal.registerReference}` : ''}`
          : 'not recorded as on the register',
      confirmed: proposal.typeTested === 'yes' && Boolean(proposal.registerReference) && proposal.ratedA !== undefined,
      shownBy: { subject: 'proposal', subjectId: proposal.id },
    });
  if (choice?.option !== undefined)
    claims.push({
      id: 'choice',
      station: 'compare',
      claim: 'An option is chosen',
      known: [choice.reason ?? 'no reason given', choice.chosenBy].filter(Boolean).join('. '),
      confirmed: choice.chosenBy !== undefined,
      shownBy: { subject: 'proposal' },
    });
  for (const fault of intake.faults)
    if (fault.overriddenBy !== undefined)
      claims.push({
        id: `override ${fault.id}`,
        station: 'cut-out',
        claim: 'A hold is lifted',
        known: [fault.overrideReason ?? 'no reason given', fault.overriddenBy].join('. '),
        confirmed: Boolean(fault.overrideReason),
        shownBy: { subject: 'fault', subjectId: fault.id },
      });
  return claims;
}
