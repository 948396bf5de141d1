import type { NodeAssessment } from '../nodes/node-assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import type { CircuitAssessment } from '../circuit/charger-circuit';
import type { EarthingAssessment } from '../earthing/assess-earthing';
import type { Statement } from '../finding';
import type { ConditionVerdict } from '../intake/condition';
import type { FuseRating } from '../intake/fuse-rating';
import type { LoopVerdict } from '../intake/loop-status';
import { waitsForLimiter } from '../nodes/overload';
import type { Question } from '../questions/question';
import type { Steps } from '../memory';
import { exportTotal, exporting } from '../route/export';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { Basis } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { towardsStreet, type SupplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { verdictOf, type Ground, type Verdict } from './verdict';
import { VERDICT_IDS, type VerdictId } from './verdict-ids';
import { shown } from '../rules/rounding';

/** Everything reckoned and everything found: what the verdicts are read off. */
export interface VerdictFacts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  readonly fuses: readonly FuseRating[];
  readonly condition: ConditionVerdict;
  readonly loop: LoopVerdict;
  readonly basis: Basis;
  readonly after: PerPhase;
  readonly nodes: readonly NodeAssessment[];
  readonly earthing: EarthingAssessment;
  readonly circuits: readonly CircuitAssessment[];
  readonly limiter: Verdict | null;
}

/** What was found, and what somebody is asked. */
export interface Standing {
  readonly statements: readonly Statement[];
  readonly asked: readonly Question[];
}

/** What a verdict rests on besides what was found wrong and what is asked; none where the verdict does not apply. */
type Rests = (facts: VerdictFacts) => readonly Ground[] | null;

const met = (id: string, says: string, more: Partial<Ground> = {}): Ground => ({ id, says, state: 'met', ...more });

const RESTS: Readonly<Record<Exclude<VerdictId, 'limiter'>, Rests>> = {
  fuse: ({ fuses }) =>
    fuses.flatMap(({ established, says, nodeId }) =>
      established === true ? [met('fuse-read', says, nodeId === null ? {} : { subjectId: nodeId })] : [],
    ),
  loop: ({ loop, survey }) =>
    loop === 'own'
      ? [met('own-service', `not looped, ${(survey.intake.loop.evidence ?? '').replaceAll('-', ' ')}`)]
      : [],
  intake: ({ condition, survey }) =>
    condition === 'fit' ? [met('looked-over', 'looked over and fine', assumedLooks(survey))] : [],
  demand: ({ after, basis }) => {
    const open = Object.values(after).find(({ value, bound }) => value === null || bound === 'at-least');
    if (open) return [{ id: 'demand-incomplete', says: open.why ?? 'something is missing from it', state: 'open' }];
    const most = Math.max(0, ...Object.values(after).map(({ value }) => value ?? 0));
    return [met('demand-complete', `${shown(most)} A after the work, by ${basis}`)];
  },
  nodes: nodeGrounds,
  earthing: ({ survey }) =>
    survey.proposals.length === 0 ? null : [met('earthing-recorded', 'nothing recorded of it is wrong')],
  'open-pen': ({ earthing, survey }) => {
    if (earthing.openPen.length === 0) return null;
    return earthing.openPen.flatMap(({ need, why, label, proposalId, chosen, ways }): Ground[] => {
      const about = { id: 'open-pen', subjectId: proposalId };
      if (need === 'not-known')
        return [{ ...about, says: `${label}: ${why}`, state: 'open', findingId: 'earthing-not-known' }];
      if (need === 'not-needed') return [{ ...about, says: `${label}: ${why}`, state: 'met' }];
      // What does not do its work, or is not shown to, was found or is asked already.
      const way = ways.find(({ method }) => method === chosen);
      if (way?.state !== 'suits') return [];
      const assumed = survey.proposals.find(({ id }) => id === proposalId)?.parking === undefined;
      return [
        {
          ...about,
          says: `${label}: ${way.reasons[0] ?? ''}`,
          state: 'met',
          ...(assumed ? { assumed: 'that vehicles charge outdoors' } : {}),
        },
      ];
    });
  },
  circuit: ({ circuits }) => (circuits.length === 0 ? null : circuits.flatMap(circuitGround)),
  generation: generationGrounds,
  registered: ({ survey }) =>
    survey.proposals.length === 0
      ? null
      : survey.proposals.flatMap(({ id, typeTested, harmonics, registerReference }): Ground[] => {
          if (typeTested === 'no')
            return [{ id: 'not-registered', says: 'not on the type-test register', state: 'failed', subjectId: id }];
          if (harmonics === 'neither')
            return [
              { id: 'harmonics', says: 'keeps no limits of harmonics and flicker', state: 'failed', subjectId: id },
            ];
          if (typeTested !== 'yes') return [];
          return [
            met('registered', `on the type-test register${registerReference ? `, ${registerReference}` : ''}`, {
              subjectId: id,
            }),
          ];
        }),
};

/** Looks ticked together with others rest on that until somebody has looked at each. */
function assumedLooks({ supply }: Survey): Partial<Ground> {
  const ticked = supply.nodes.some(({ checks }) => checks?.some(({ assumed }) => assumed));
  return ticked ? { assumed: 'checks of the chain that were ticked together' } : {};
}

function nodeGrounds({ nodes, survey, tree, fuses, limiter }: VerdictFacts): Ground[] {
  const way = new Set(
    [
      ...survey.proposals.flatMap(({ nodeId }) => towardsStreet(nodeOf(tree, nodeId))),
      ...towardsStreet(tree.device),
    ].map(({ node }) => node.id),
  );
  const unsure = new Set(fuses.filter(({ established }) => established !== true).map(({ nodeId }) => nodeId));
  const judged = nodes
    .filter(({ id }) => way.has(id))
    .flatMap((each): Ground[] => {
      const { id, kind, label, headroom, ratingA } = each;
      const about = { id: 'node', subjectId: id } as const;
      if (ratingA === null)
        // A service cable bears no marking: what it may carry is the operator's to say, and asked where it is shared.
        return kind === 'service' ? [] : [{ ...about, says: `${label}: its rating is not recorded`, state: 'open' }];
      if (unsure.has(id)) return [{ ...about, says: `${label}: its rating is not confirmed`, state: 'open' }];
      const values = Object.values(headroom).map(({ value }) => value);
      if (values.includes(null)) return [{ ...about, says: `${label}: headroom not known`, state: 'open' }];
      const least = Math.min(...values.map((value) => value ?? 0));
      if (exceeds(0, least) && waitsForLimiter(each, limiter === null ? false : limiter.answer))
        return [
          {
            ...about,
            says: `${label}: over its rating unless the limiter holds, which is not known yet`,
            state: 'open',
          },
        ];
      return exceeds(0, least)
        ? []
        : [met('node', `${label}: ${shown(least)} A left of ${ratingA} A`, { subjectId: id })];
    });
  // Parts that are over are found, and told by what found them.
  const rated = nodes.some(({ id, ratingA }) => way.has(id) && ratingA !== null);
  return judged.length > 0 || rated
    ? judged
    : [{ id: 'node', says: 'no part of the supply has a rating', state: 'open' }];
}

/** A size that passes; one that fails, or is not known, was found or is asked already. */
function circuitGround({ proposalId, label, recorded, search, designA, device }: CircuitAssessment): Ground[] {
  const about = { id: 'cable', subjectId: proposalId } as const;
  if (designA === null) return [{ ...about, says: `${label}: what it draws is not known`, state: 'open' }];
  const size = recorded ?? search?.sizes.find(({ sizeMm2 }) => sizeMm2 === search.smallestMm2);
  if (size?.state !== 'passes' || device.ratingA === null) return [];
  return [{ ...about, says: `${label}: ${size.sizeMm2} mm² behind ${device.ratingA} A`, state: 'met' }];
}

/** Generation by its registered capacity; a limit on what it sends out, or on what the supply takes, is a scheme of its own. */
function generationGrounds({ survey, rules }: VerdictFacts): Ground[] | null {
  const chargers = survey.proposals.some(({ kind }) => kind === 'vehicle-charger');
  const sources = exporting(survey);
  if (sources.length === 0) return chargers ? [met('no-export', 'nothing new sends power back')] : null;
  const { value: limit } = rules.notifyExportUpToA;
  const { atLeastA, amperes, parts } = exportTotal(survey);
  const says = `${parts}: ${shown(atLeastA)} A on the fullest phase, ${limit} A at most to notify after`;
  if (exceeds(atLeastA, limit)) return [{ id: 'capacity', says, state: 'failed' }];
  if (amperes === null) return [{ id: 'capacity', says: parts, state: 'open' }];
  return [met('capacity', says)];
}

/**
 * Every verdict that applies, each from what it rests on: what is met, what was found wrong and what is asked. One place: a finding or a
 * question that names a verdict reaches it, whoever raised it.
 */
export function verdictsOf(
  facts: VerdictFacts,
  found: Standing,
  { step, same, joined, each }: Steps,
): readonly Verdict[] {
  const standing = step('standing', found, ({ statements, asked }) =>
    byVerdict(
      each(
        'wrong grounds',
        statements.filter(({ on, grade }) => on !== undefined && (grade === 'act' || grade === 'danger')),
        (found) => ({ on: found.on, ground: groundOf(found, 'failed') }),
      ),
      each('open grounds', asked, (question) => ({ on: question.on, ground: groundOf(question, 'open') })),
    ),
  );
  return joined(
    'verdicts',
    VERDICT_IDS.map((id) =>
      step(`verdict ${id}`, { facts, standing: same(`standing ${id}`, standing.get(id) ?? NOTHING) }, (of) =>
        verdictOn(id, of.facts, of.standing),
      ),
    ),
  );
}

const NOTHING: readonly Ground[] = [];

/** One verdict with what stands on it; none where it does not apply. */
function verdictOn(id: VerdictId, facts: VerdictFacts, standing: readonly Ground[]): readonly Verdict[] {
  if (id === 'limiter') return facts.limiter ? [withFound(facts.limiter, standing)] : [];
  const rests = RESTS[id](facts);
  return rests === null ? [] : [withFound(verdictOf(id, rests), standing)];
}

interface On {
  readonly on: string | undefined;
  readonly ground: Ground;
}

/** What was found wrong, then what is asked, by the verdict it stands on. */
function byVerdict(wrong: readonly On[], open: readonly On[]): ReadonlyMap<string, readonly Ground[]> {
  const found = new Map<string, Ground[]>();
  for (const { on, ground } of [...wrong, ...open]) {
    const others = on === undefined ? undefined : found.get(on);
    if (others) others.push(ground);
    else if (on !== undefined) found.set(on, [ground]);
  }
  return found;
}

/** A verdict with the findings and questions that stand on it, those that decide before those that do not. */
function withFound(verdict: Verdict, standing: readonly Ground[]): Verdict {
  if (standing.length === 0) return verdict;
  const known = new Set(verdict.grounds.map(({ findingId, subjectId }) => `${findingId ?? ''} ${subjectId ?? ''}`));
  const found = standing.filter(({ findingId, subjectId }) => !known.has(`${findingId ?? ''} ${subjectId ?? ''}`));
  if (found.length === 0) return verdict;
  const order = { failed: 0, open: 1, met: 2 };
  const grounds = [...found, ...verdict.grounds].sort((a, b) => order[a.state] - order[b.state]);
  // What the verdict said of itself still stands where nothing found decides it.
  return verdictOf(verdict.id, grounds, verdict.why);
}

function groundOf({ id, title, subjectId, field }: Statement | Question, state: Ground['state']): Ground {
  return {
    id,
    says: title,
    findingId: id,
    ...(subjectId === undefined ? {} : { subjectId }),
    ...(field === undefined ? {} : { field }),
    state,
  };
}
