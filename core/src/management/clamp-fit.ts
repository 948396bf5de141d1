import type { FieldPath } from '../survey/schema/field-path';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { Answer } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, phaseAt, type SupplyTree } from '../tree/supply-tree';
import { sourcesOn } from './sources';

/** A way a clamp is known to be put on wrongly. */
export interface FitFault {
  readonly id:
    'clamp-reversed' | 'clamp-inside-sealed' | 'clamp-wrong-phase' | 'clamp-one-phase-only' | 'clamp-export-as-import';
  readonly says: string;
  readonly remedy: string;
  readonly field: FieldPath;
}

/** Something of how a clamp is put on that nobody has recorded. */
export interface FitGap {
  readonly id:
    | 'clamp-conductor-not-known'
    | 'clamp-arrow-not-known'
    | 'clamp-sealed-not-known'
    | 'clamp-line-not-known'
    | 'clamp-export-not-known'
    | 'clamp-export-disagrees'
    | 'clamp-sign-not-known';
  readonly asks: string;
  readonly remedy: string;
  readonly field: FieldPath;
}

const unknown = (answer: Answer | undefined): boolean => answer === undefined || answer === 'unknown';

/** Who says how a proposal's clamp is put on: itself, but of the outlets of a row behind the same clamp the first. It is one clamp, and asked about once. */
export function fitSpeaker(proposal: Proposal, survey: Pick<Survey, 'pool' | 'proposals'>): Proposal {
  return behindOneClamp(proposal, survey)[0] ?? proposal;
}

/** The outlets of a row that lose the clamp together when its lead is pulled, in the order of the row; none where a proposal is no outlet of a row. */
export function behindOneClamp(
  proposal: Proposal,
  { pool, proposals }: Pick<Survey, 'pool' | 'proposals'>,
): Proposal[] {
  const outlets = new Set(pool?.outlets.map(({ id }) => id));
  if (!outlets.has(proposal.id)) return [];
  const { clampNodeId } = proposal.limiter;
  return proposals.filter(
    ({ id, limiter }) => limiter.kind === 'clamp' && limiter.clampNodeId === clampNodeId && outlets.has(id),
  );
}

/** How a proposal's clamp is put on: what is wrong, and what is not known. Both empty where it manages by no clamp. */
export function clampFit(
  proposal: Proposal,
  survey: Survey,
  tree: SupplyTree,
): { readonly wrong: readonly FitFault[]; readonly open: readonly FitGap[] } {
  const { limiter, phases, phase, nodeId } = proposal;
  if (limiter.kind !== 'clamp') return { wrong: [], open: [] };
  const speaker = fitSpeaker(proposal, survey);
  const { fit = {} } = speaker.limiter;
  const passing = generationPassing(survey, tree, limiter.clampNodeId);
  const seesExport = passing ?? fit.seesExport;
  const threePhase = survey.supply.phases === 3;
  const line = phase ?? phaseAt(nodeOf(tree, nodeId));
  const onNeutral = fit.conductor === 'neutral';
  const reversed = onNeutral ? fit.arrowAlong === 'yes' : fit.arrowAlong === 'no';
  const wrong: (FitFault | false)[] = [
    reversed && {
      id: 'clamp-reversed',
      says: onNeutral
        ? 'the clamp is on the neutral with its arrow along the line’s current: it reads what comes in as going out'
        : 'the clamp’s arrow points against the current: it reads what comes in as going out',
      remedy: 'Turn it round: the more the house took, the more the charger would be given.',
      field: 'proposals.limiter.fit.arrowAlong',
    },
    fit.insideSealed === 'yes' && {
      id: 'clamp-inside-sealed',
      says: 'the clamp would sit inside sealed equipment',
      remedy: 'Not allowed: on the tails after the meter, in a small box beside the cupboard.',
      field: 'proposals.limiter.fit.insideSealed',
    },
    threePhase &&
      phases !== 3 &&
      fit.phase !== undefined &&
      fit.phase !== 'all' &&
      line !== undefined &&
      line !== 'all' &&
      line !== fit.phase && {
        id: 'clamp-wrong-phase',
        says: `the clamp is on ${fit.phase} and the charger on ${line}`,
        remedy: `Put it on the tail of ${line}.`,
        field: 'proposals.limiter.fit.phase',
      },
    threePhase &&
      fit.phase !== undefined &&
      fit.phase !== 'all' &&
      phases === 3 && {
        id: 'clamp-one-phase-only',
        says: `one clamp, on ${fit.phase}, for a charger on three phases`,
        remedy: 'One on each phase.',
        field: 'proposals.limiter.fit.phase',
      },
    seesExport === 'yes' &&
      fit.signedReading === 'no' && {
        id: 'clamp-export-as-import',
        says: 'export passes the clamp, and its controller cannot tell it from import',
        remedy: 'On the side of the generation where only import passes, or a controller that reads the sign.',
        field: 'proposals.limiter.fit.signedReading',
      },
  ];
  const look = 'Look at the tails where it is to sit; a known load switched on shows size and sign.';
  const open: (FitGap | false)[] = [
    fit.conductor === undefined && {
      id: 'clamp-conductor-not-known',
      asks: 'which conductor is the clamp on, line or neutral?',
      remedy: look,
      field: 'proposals.limiter.fit.conductor',
    },
    unknown(fit.arrowAlong) && {
      id: 'clamp-arrow-not-known',
      asks: 'does the clamp’s arrow point from the street to the house?',
      remedy: look,
      field: 'proposals.limiter.fit.arrowAlong',
    },
    unknown(fit.insideSealed) && {
      id: 'clamp-sealed-not-known',
      asks: 'does the clamp stay out of sealed equipment?',
      remedy: 'It may sit on the tails after the meter, or in a small box beside the cupboard; never behind a seal.',
      field: 'proposals.limiter.fit.insideSealed',
    },
    threePhase &&
      fit.phase === undefined && {
        id: 'clamp-line-not-known',
        asks: phases === 3 ? 'is there a clamp on each of the three lines?' : 'which line is the clamp on?',
        remedy: 'Follow the tail it is on to the board.',
        field: 'proposals.limiter.fit.phase',
      },
    unknown(seesExport) && {
      id: 'clamp-export-not-known',
      asks: 'does power from solar panels or a battery pass the clamp?',
      remedy: 'Record what generation there is, or that there is none, with the loads.',
      field: 'proposals.limiter.fit.seesExport',
    },
    seesExport === 'yes' &&
      unknown(fit.signedReading) && {
        id: 'clamp-sign-not-known',
        asks: 'can its controller tell export from import?',
        remedy: 'Its maker’s data says so.',
        field: 'proposals.limiter.fit.signedReading',
      },
    passing !== undefined &&
      (fit.seesExport === 'yes' || fit.seesExport === 'no') &&
      fit.seesExport !== passing && {
        id: 'clamp-export-disagrees',
        asks: `generation is recorded ${fit.seesExport === 'yes' ? '' : 'not '}to pass the clamp, but where it is connected it does${passing === 'yes' ? '' : ' not'}: which is right?`,
        remedy: 'Look where it is connected, and correct one of the two.',
        field: 'proposals.limiter.fit.seesExport',
      },
  ];
  return {
    wrong: wrong.filter((each) => each !== false),
    open: speaker === proposal ? open.filter((each) => each !== false) : [],
  };
}

/** Whether generation passes a clamp, from where it is recorded; undefined while nobody has said whether there is any. */
function generationPassing(
  survey: Survey,
  tree: SupplyTree,
  clampNodeId: string | undefined,
): 'yes' | 'no' | undefined {
  const clamp = clampNodeId === undefined ? undefined : tree.byId.get(clampNodeId);
  if (!clamp || survey.generation === undefined) return undefined;
  return sourcesOn(survey, tree).some(({ node }) => hangsFrom(node, clamp)) ? 'yes' : 'no';
}
