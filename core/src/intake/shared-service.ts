import type { PerPhase } from '../demand/per-phase-figures';
import { headroomOf } from '../demand/per-phase';
import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Loop } from '../survey/intake';
import type { Phase } from '../survey/words/words';
import {
  exceeds,
  figure,
  fromFigure,
  given,
  reckon,
  sum,
  unknownFigure,
  written,
  type Figure,
  type Worked,
} from '../worked';
import { loopVerdict } from './loop-status';
import { shown } from '../rules/rounding';

/** The demand of every property on one service cable, against what the cable may carry. */
export interface SharedService {
  /** Whether the sharing is known, or only not ruled out. */
  readonly known: boolean;
  readonly neighbours: number;
  readonly neighbourAssumed: boolean;
  readonly neighbour: Figure;
  readonly before: PerPhase;
  readonly after: PerPhase;
  readonly rating: Figure;
  readonly left: PerPhase;
}

/**
 * The sum of both properties' demand against the shared service's rating; null where the service is this supply's own.
 * The neighbours' demand is what was entered, or the pack's figure for each, marked as assumed. Demands of separate
 * properties are added without diversity between them, which can only overstate.
 */
export function sharedService(
  loop: Loop,
  serviceRatingA: number | undefined,
  before: PerPhase,
  after: PerPhase,
  rules: Rules,
): SharedService | null {
  const verdict = loopVerdict(loop);
  if (verdict === 'own') return null;
  const neighbours = loop.neighbours ?? 1;
  const entered = loop.neighbourDemandA;
  const { value: eachA, source } = rules.assumedNeighbourDemandA;
  const neighbour =
    entered === undefined
      ? reckon('Neighbours’ demand, assumed', eachA * neighbours, 'A', () => ({
          expression: 'other properties × the pack’s figure',
          substituted: `${neighbours} × ${eachA} = ${written(eachA * neighbours)} A`,
          source,
        }))
      : given('Neighbours’ demand, entered', entered, 'A');
  const ratingA = loop.sharedRatingA ?? serviceRatingA;
  const rating =
    ratingA === undefined
      ? unknownFigure('Shared service', 'A', 'What the shared service may carry is the operator’s to say.')
      : figure(given('Shared service', ratingA, 'A'));
  const together = (label: string, own: PerPhase): PerPhase => addToEach(label, own, neighbour);
  const [all, allAfter] = [together('Both properties now', before), together('Both properties after', after)];
  return {
    known: verdict === 'looped',
    neighbours,
    neighbourAssumed: entered === undefined,
    neighbour: figure(neighbour, 'exact', entered === undefined ? 'Assumed: nobody has given a figure.' : undefined),
    before: all,
    after: allAfter,
    rating,
    left: headroomOf(rating, allAfter),
  };
}

function addToEach(label: string, own: PerPhase, neighbour: Worked): PerPhase {
  const figures: Partial<Record<Phase, Figure>> = {};
  for (const [phase, mine] of Object.entries(own) as [Phase, Figure][])
    figures[phase] =
      mine.value === null
        ? unknownFigure(label, 'A', mine.why ?? 'This property’s demand is not known.')
        : figure(sum(label, 'A', [fromFigure(mine, mine.value), neighbour]), mine.bound, mine.why);
  return figures;
}

/** Any demand of this property with the neighbours' added, in amperes on each line. */
export function withNeighbour(label: string, own: PerPhase, neighbour: Figure): PerPhase {
  return neighbour.value === null ? own : addToEach(label, own, fromFigure(neighbour, neighbour.value));
}

/** What the arithmetic of a service known to be shared asks for. */
export function sharedServiceFindings(shared: SharedService | null): Statement[] {
  if (!shared?.known) return [];
  const over = Object.values(shared.left).find(({ value }) => value !== null && exceeds(0, value));
  if (over?.value == null) return [];
  return [
    {
      id: 'shared-service-over',
      grade: 'act',
      on: 'loop',
      station: 'loop',
      title: `Both properties together: ${shown(-over.value)} A over the shared service’s ${shared.rating.value} A${
        shared.neighbourAssumed ? ', the neighbour’s demand assumed' : ''
      }.`,
      remedy: 'Nothing is added until the service is un-looped or the operator has agreed.',
      askOf: 'operator',
      // The demand's own steps are with its figure; here only how the properties are added and held against the cable.
      working: over.working.slice(-2),
    },
  ];
}
