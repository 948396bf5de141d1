import { assess } from './assess';
import type { Assessment } from './assessment';
import { worstPhase } from './demand/per-phase';
import type { RouteWay } from './route/route';
import type { RulePack } from './rules/rule-pack';
import type { Survey } from './survey/survey';
import { BASES, type Basis } from './survey/words';

/** What the decision would be if the demand were declared by one basis. */
export interface BasisOutcome {
  readonly basis: Basis;
  readonly afterA: number | null;
  readonly headroomA: number | null;
  readonly route: RouteWay;
}

/** Something not known, and how far the headroom after the work depends on what it proves to be. */
export interface MissingKnowledge {
  readonly id: string;
  readonly label: string;
  /** Headroom after the work at either end of what it may prove to be, in amperes. */
  readonly lowA: number;
  readonly highA: number;
  /** Whether the route to the operator depends on it. */
  readonly movesRoute: boolean;
}

/** The outcome under each basis that can give a figure. */
export function basisOutcomes(survey: Survey, pack: RulePack): BasisOutcome[] {
  return BASES.flatMap((basis) => {
    const made = assess({ ...survey, declaration: { ...survey.declaration, basis, reason: 'what if' } }, pack);
    // A basis that cannot be used falls back to the pack's own: that is no outcome of its own.
    if (made.demand.basis !== basis) return [];
    return [
      { basis, afterA: worstPhase(made.demand.afterManaged).value, headroomA: headroomOf(made), route: made.route.way },
    ];
  });
}

interface Question {
  readonly id: string;
  readonly label: string;
  readonly answers: readonly Survey[];
}

/** What is not known of a survey, that which moves the headroom most first. What moves it by nothing is left out. */
export function missingKnowledge(survey: Survey, pack: RulePack): MissingKnowledge[] {
  return questionsOf(survey, assess(survey, pack))
    .flatMap(({ id, label, answers }) => {
      const outcomes = answers.map((answer) => assess(answer, pack));
      const headrooms = outcomes.flatMap((outcome) => headroomOf(outcome) ?? []);
      if (headrooms.length < 2) return [];
      const [lowA, highA] = [Math.min(...headrooms), Math.max(...headrooms)];
      const movesRoute = new Set(outcomes.map(({ route }) => route.way)).size > 1;
      return highA - lowA < 0.05 && !movesRoute ? [] : [{ id, label, lowA, highA, movesRoute }];
    })
    .sort((a, b) => b.highA - b.lowA - (a.highA - a.lowA));
}

const FUSES_A = [60, 80, 100];

/** Open questions of the demand and the fuse, each with the surveys its answers would make. */
function questionsOf(survey: Survey, { supply }: Assessment): Question[] {
  const questions: Question[] = [];
  const device = survey.supply.nodes.find(({ id }) => id === supply.deviceId);
  if (device && !supply.ratingEstablished)
    questions.push({
      id: 'fuse-rating',
      label: 'The fuse rating: 60, 80 or 100 A',
      answers: FUSES_A.filter((amperes) => amperes <= (device.holderMaximumA ?? 100)).map((ratingA) => ({
        ...survey,
        supply: {
          ...survey.supply,
          nodes: survey.supply.nodes.map((node) =>
            node.id === device.id ? { ...node, ratingA, evidence: 'label' as const } : node,
          ),
        },
      })),
    });
  const withLoad = (id: string, change: Partial<Survey['loads'][number]>): Survey => ({
    ...survey,
    loads: survey.loads.map((load) => (load.id === id ? { ...load, ...change } : load)),
  });
  for (const load of survey.loads) {
    const name = load.label ?? load.class;
    if (load.class === 'lighting' && load.fixedLed === undefined)
      questions.push({
        id: `led-${load.id}`,
        label: `${name}: fixed LED or not`,
        answers: [true, false].map((fixedLed) => withLoad(load.id, { fixedLed })),
      });
    if (load.class === 'cooking' && load.controlUnitsWithSocket === undefined)
      questions.push({
        id: `socket-${load.id}`,
        label: `${name}: a socket on its control unit or not`,
        answers: [0, 1].map((count) => withLoad(load.id, { controlUnitsWithSocket: count })),
      });
    if (
      load.class === 'heat-pump' &&
      load.backupHeaterW !== undefined &&
      load.backupWithCompressor !== 'yes' &&
      load.backupWithCompressor !== 'no'
    )
      questions.push({
        id: `backup-${load.id}`,
        label: `${name}: back-up heater with the compressor or not`,
        answers: (['yes', 'no'] as const).map((answer) => withLoad(load.id, { backupWithCompressor: answer })),
      });
    if (survey.supply.phases === 3 && load.phase === undefined)
      questions.push({
        id: `phase-${load.id}`,
        label: `${name}: on which phase`,
        answers: (['L1', 'L2', 'L3'] as const).map((phase) => withLoad(load.id, { phase })),
      });
  }
  return questions;
}

function headroomOf({ demand }: Assessment): number | null {
  const values = Object.values(demand.headroom).map(({ value }) => value);
  return values.length === 0 || values.includes(null) ? null : Math.min(...values.map((value) => value ?? 0));
}
