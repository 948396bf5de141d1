/** What can be changed of the supply, or of what is asked of it; each as a change of a survey, its limiters left as they are. */
import { decide } from '../assess';
import { isFeeder } from '../feeder/feeder-nodes';
import { fuseRating } from '../intake/fuse-rating';
import { loopVerdict } from '../intake/loop-status';
import type { Rules } from '../rules/rules';
import { isCharger } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';
import type { Draft } from './draft';
import { unlimited } from './limits';

/** Every change of the supply that is to be had here. */
export function structures(survey: Survey, rules: Rules): Draft[] {
  return [fuseUpgrade, unLoop, newFeeder, threePhase, otherSupply, fewerChargers].flatMap(
    (make) => make(survey, rules) ?? [],
  );
}

/** The next usual fuse up; it is the operator’s to give, and what stands behind it has to suit it. */
function fuseUpgrade(survey: Survey, rules: Rules): Draft | null {
  const { device } = supplyTree(survey);
  const present = fuseRating(device?.node, rules).figure.value ?? rules.fallbackFuseA.value;
  const next = rules.usualFusesA.value.find((size) => size > present);
  if (!device || next === undefined || device.node.kind !== 'cut-out') return null;
  return {
    kind: 'fuse-upgrade',
    title: `Fuse upgraded to ${next} A`,
    survey: {
      ...survey,
      supply: {
        ...survey.supply,
        // The operator fits the holder that goes with it.
        nodes: survey.supply.nodes.map((node) =>
          node.id === device.node.id
            ? {
                ...node,
                ratingA: next,
                evidence: 'attended' as const,
                ...(node.holderMaximumA === undefined ? {} : { holderMaximumA: Math.max(next, node.holderMaximumA) }),
              }
            : node,
        ),
      },
      request: { ...survey.request, fuseUpgrade: true },
    },
    cautions: [
      'Meter, isolator, tails and main switch have to suit the larger fuse.',
      'The service and the street decide: the operator may refuse.',
    ],
  };
}

function unLoop(survey: Survey): Draft | null {
  if (loopVerdict(survey.intake.loop) === 'own') return null;
  return {
    kind: 'un-loop',
    title: 'Un-looped',
    survey: {
      ...survey,
      intake: { ...survey.intake, loop: { status: 'not-looped', evidence: 'operator-record' } },
    },
    cautions: ['A road or drive may be dug.'],
  };
}

/** Every feeder on the way laid anew for full rate, where that was sized and holds. */
function newFeeder(survey: Survey, rules: Rules): Draft | null {
  if (!supplyTree(survey).nodes.some(isFeeder)) return null;
  const feeders = decide(unlimited(survey), rules).feeders.flatMap(({ nodeId, answers }) => {
    const made = answers.find(({ kind, holds }) => kind === 'new-cable' && holds === true)?.made;
    return made ? [{ nodeId, ...made }] : [];
  });
  if (feeders.length === 0) return null;
  return {
    kind: 'new-feeder',
    title: 'The feeder laid anew',
    survey: {
      ...survey,
      supply: {
        ...survey.supply,
        nodes: survey.supply.nodes.map((node) => {
          const anew = feeders.find(({ nodeId }) => nodeId === node.id);
          if (!anew) return node;
          const { claimedRatingA: _claimed, ...rest } = node;
          const cable = {
            lengthM: anew.lengthM,
            type: 'armoured',
            sizeMm2: anew.sizeMm2,
            laid: 'buried',
            cpc: 'core',
            planned: true,
          } as const;
          return { ...rest, ratingA: anew.deviceA, cable };
        }),
      },
    },
    cautions: feeders.map(
      ({ sizeMm2, deviceA }) =>
        `${sizeMm2} mm² armoured in the ground behind ${deviceA} A; a trench, with a duct for data.`,
    ),
  };
}

/** Three phases of the present fuse: what is there stays on the first, the new equipment goes on the second and third. */
function threePhase(survey: Survey): Draft | null {
  if (survey.supply.phases === 3) return null;
  return {
    kind: 'three-phase',
    title: 'Three-phase supply',
    survey: {
      ...survey,
      supply: { ...survey.supply, phases: 3 },
      loads: survey.loads.map((load) => ({ ...load, phase: 'L1' as const })),
      proposals: survey.proposals.map((each, at) => ({
        ...each,
        phases: 1 as const,
        phase: at % 2 === 0 ? ('L2' as const) : ('L3' as const),
      })),
      request: { ...survey.request, newPhases: true },
    },
    cautions: ['A new service, meter and board; the present loads are taken to stay on one phase.'],
  };
}

/**
 * The new equipment off this supply altogether, on the landlord’s or one of its own. What is left here is reckoned; the other
 * supply is not surveyed, so whether it holds there is not known.
 */
function otherSupply(survey: Survey): Draft | null {
  if (!hasOtherSupply(survey)) return null;
  return {
    kind: 'other-supply',
    title: 'On a different supply of the site',
    survey: { ...survey, proposals: [], request: { ...survey.request, upgradeOnly: true } },
    cautions: [
      'The other supply needs a survey of its own before anything is said of it.',
      'Who pays for the energy has to be settled; two supplies’ earthing must not meet at the equipment.',
    ],
    open: 'The other supply is not surveyed.',
    takes: survey,
  };
}

/** Where there is usually another supply, or room for one: no single home, several fuses in one head, several installations. */
function hasOtherSupply({ place, supply, request }: Survey): boolean {
  const fuses = supply.nodes.filter(({ kind }) => kind === 'switch-fuse').length;
  return (place.premises ?? 'household') !== 'household' || fuses > 1 || (request.installationsOnDevelopment ?? 1) > 1;
}

function fewerChargers(survey: Survey): Draft | null {
  const [kept, ...others] = survey.proposals.filter(isCharger);
  if (!kept || others.length === 0) return null;
  return {
    kind: 'fewer-chargers',
    title: 'One charger, shared',
    survey: { ...survey, proposals: survey.proposals.filter((each) => !others.includes(each)) },
    cautions: ['Drivers take turns.'],
  };
}
