import { headroomOf } from '../demand/per-phase';
import type { PerPhase } from '../demand/per-phase-figures';
import type { SupplyDemand } from '../demand/supply-demand';
import type { Verdict } from '../grounds/verdict';
import { sharedService, type SharedService } from '../intake/shared-service';
import type { ClampLimit } from '../management/clamp-limit';
import {
  commissioningOf,
  limiterVerdict,
  type Commissioning,
  type LimiterAssessment,
} from '../management/limiter-verdict';
import type { Steps } from '../memory';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { SupplyTree } from '../tree/supply-tree';
import { leastHeadroom } from './least-left';
import { serviceOf, withNeighbours } from './neighbours';
import type { NodeAssessment } from './node-assessment';
import type { NodeDemand } from './node-demand';

/** Every node with what it carries, what a limiter keeps it to and whether that holds, neighbours on a shared service counted. */
export interface Limited {
  /** Without the neighbours. */
  readonly own: readonly NodeAssessment[];
  readonly nodes: readonly NodeAssessment[];
  readonly limiter: LimiterAssessment;
  readonly limiterGrounds: Verdict | null;
  readonly held: boolean;
  readonly shared: SharedService | null;
  readonly afterManaged: PerPhase;
}

interface Facts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  readonly demand: SupplyDemand;
  readonly limit: ClampLimit | null;
  readonly carried: readonly NodeDemand[];
}

/** The nodes as the limiter, where it holds, and the neighbours leave them; each node a step of its own. */
export function limitedNodes(
  { survey, rules, tree, demand, limit, carried }: Facts,
  { step, same, each }: Steps,
): Limited {
  const at = (id: string | undefined): NodeDemand | undefined => carried.find((node) => node.id === id);
  const service = serviceOf(tree);
  const judged = step(
    'limiter',
    {
      survey,
      rules,
      tree,
      demand,
      limit,
      carried: onTheWay(carried, limit, same),
      service: at(service?.id),
      commissioning: step('commissioning', { survey, rules, tree }, commissioningOf),
    },
    judgedLimiter,
  );
  const { held, shared } = judged;
  const own = step('nodes left', { carried, held }, (facts) =>
    each(`left, ${facts.held ? 'held' : 'free'}`, facts.carried, (node) => withHeadroom(node, facts.held)),
  );
  const origin = at(tree.device?.node.id ?? tree.root?.node.id);
  return {
    ...judged,
    own,
    nodes:
      shared?.known && service
        ? step('nodes with the neighbours', { own, shared, id: service.id }, (facts) =>
            withNeighbours(facts.own, facts.id, facts.shared),
          )
        : own,
    afterManaged: (held ? origin?.managed : undefined) ?? demand.afterUnmanaged,
  };
}

/** Those the managed current passes through: the limiter is judged by these, whatever changes beside them. */
function onTheWay(
  carried: readonly NodeDemand[],
  limit: ClampLimit | null,
  same: Steps['same'],
): readonly NodeDemand[] {
  const way = new Set([...(limit?.way ?? [])].map(({ node }) => node.id));
  return same(
    'on the way',
    carried.filter(({ id }) => way.has(id)),
  );
}

/** Whether the limiter holds, and what is shared then. */
function judgedLimiter({
  survey,
  rules,
  tree,
  demand: { fuses, before, afterUnmanaged },
  limit,
  carried,
  service,
  commissioning,
}: Facts & { readonly service: NodeDemand | undefined; readonly commissioning: readonly Commissioning[] }): Pick<
  Limited,
  'limiter' | 'limiterGrounds' | 'held' | 'shared'
> {
  // The service carries what hangs beside this supply's own fuse as well, and the neighbours.
  const sharedWith = (managed: boolean): SharedService | null =>
    sharedService(
      survey.intake.loop,
      serviceOf(tree)?.ratingA,
      service?.before ?? before,
      (managed ? service?.managed : undefined) ?? service?.after ?? afterUnmanaged,
      rules,
    );
  const ifHeld = sharedWith(true);
  const sharedLeftA = ifHeld?.known ? leastHeadroom(ifHeld.left) : undefined;
  const { limiter, verdict } = limiterVerdict({
    survey,
    tree,
    rules,
    fuses,
    limit,
    nodes: carried,
    sharedLeftA,
    commissioning,
  });
  const held = limiter.holds === true && limiter.kind === 'clamp';
  return { limiter, limiterGrounds: verdict, held, shared: held ? ifHeld : sharedWith(false) };
}

/** What is left at a node, counted from the managed demand where the limiter holds and from the unmanaged otherwise. */
function withHeadroom(node: NodeDemand, held: boolean): NodeAssessment {
  const { rating, free, held: heldMoments, ...rest } = node;
  const keeps = held && rest.managed !== undefined;
  const moments = keeps ? heldMoments : free;
  return {
    ...rest,
    headroom: headroomOf(rating, (keeps ? rest.managed : undefined) ?? rest.after),
    ...(moments.length === 0 ? {} : { moments }),
  };
}
