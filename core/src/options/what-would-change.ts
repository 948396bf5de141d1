import { assess } from '../assess';
import type { RouteWay } from '../route/route';
import type { RulePack } from '../rules/rule-pack';
import { equipmentName } from '../survey/kinds';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';
import { holdsUnder } from './options';

/** What one plausible answer to an open fact comes to. */
export interface Outcome {
  readonly answer: string;
  readonly route: RouteWay;
  /** Whether what is proposed holds, and whether full rate would. */
  readonly holds: boolean | null;
  readonly fullRate: boolean | null;
}

/** An unknown or assumed fact that decides something, with what each plausible answer comes to. */
export interface DecidingFact {
  readonly id: string;
  readonly question: string;
  readonly outcomes: readonly Outcome[];
  readonly changes: readonly ('route' | 'holds' | 'full-rate')[];
}

interface Fact {
  readonly id: string;
  readonly question: string;
  readonly answers: readonly (readonly [answer: string, change: (survey: Survey) => Survey])[];
}

/** Every unknown or assumed fact tried over its plausible answers; those that decide something, the most decisive first. */
export function whatWouldChange(survey: Survey, pack: RulePack): DecidingFact[] {
  return openFacts(survey, pack)
    .map((fact): DecidingFact => {
      const outcomes = fact.answers.map(([answer, change]) => outcomeOf(answer, change(survey), pack));
      return { id: fact.id, question: fact.question, outcomes, changes: changesIn(outcomes) };
    })
    .filter(({ changes }) => changes.length > 0)
    .sort((a, b) => weight(b) - weight(a));
}

function outcomeOf(answer: string, survey: Survey, pack: RulePack): Outcome {
  const assessed = assess(survey, pack);
  const limited = survey.proposals.some(({ limiter }) => limiter.kind === 'fixed' || limiter.kind === 'clamp');
  const free = limited ? assess(unlimited(survey), pack) : assessed;
  return {
    answer,
    route: assessed.route.way,
    holds: holdsUnder(assessed).holds,
    fullRate: holdsUnder(free).holds,
  };
}

function unlimited(survey: Survey): Survey {
  return { ...survey, proposals: survey.proposals.map((each) => ({ ...each, limiter: { kind: 'none' as const } })) };
}

function changesIn(outcomes: readonly Outcome[]): DecidingFact['changes'] {
  const differ = (of: (outcome: Outcome) => unknown): boolean => new Set(outcomes.map(of)).size > 1;
  return [
    ...(differ(({ route }) => route) ? ['route' as const] : []),
    ...(differ(({ holds }) => holds) ? ['holds' as const] : []),
    ...(differ(({ fullRate }) => fullRate) ? ['full-rate' as const] : []),
  ];
}

/** A fact that may make what is proposed fail outweighs one that moves the route, and that one a better rate. */
function weight({ changes }: DecidingFact): number {
  return (
    (changes.includes('holds') ? 4 : 0) + (changes.includes('route') ? 2 : 0) + (changes.includes('full-rate') ? 1 : 0)
  );
}

function openFacts(survey: Survey, pack: RulePack): Fact[] {
  const facts: Fact[] = [];
  const { device } = supplyTree(survey);
  const evidence = device?.node.evidence;
  if (
    device &&
    (device.node.ratingA === undefined || evidence === undefined || evidence === 'assumed' || evidence === 'moulding')
  ) {
    const most = device.node.holderMaximumA ?? Infinity;
    facts.push({
      id: 'fuse-rating',
      question: 'What fuse is in the cut-out?',
      answers: [60, 80, 100]
        .filter((size) => size <= most)
        .map((size) => [`${size} A`, (s) => onNode(s, device.node.id, { ratingA: size, evidence: 'attended' })]),
    });
  }
  const { status, evidence: seen } = survey.intake.loop;
  if (
    status === undefined ||
    status === 'unknown' ||
    (status === 'not-looped' && (seen === undefined || seen === 'signs-only'))
  )
    facts.push({
      id: 'loop',
      question: 'Is the service looped?',
      answers: [
        ['Its own', (s) => withLoop(s, 'not-looped')],
        ['Looped', (s) => withLoop(s, 'feeds-next-door')],
      ],
    });
  if (survey.intake.look === undefined && survey.intake.faults.length === 0 && (survey.intake.looks ?? []).length === 0)
    facts.push({
      id: 'condition',
      question: 'Is the intake in good condition?',
      answers: [
        ['Fine', (s) => ({ ...s, intake: { ...s.intake, look: 'fine' } })],
        [
          'Something to put right first',
          (s) => ({
            ...s,
            intake: {
              ...s.intake,
              look: 'not-fine',
              faults: [{ id: 'supposed', fault: 'other', grade: 'before-load-added' }],
            },
          }),
        ],
      ],
    });
  if (survey.place.premises === undefined)
    facts.push({
      id: 'premises',
      question: 'What kind of premises is it?',
      answers: (['household', 'small-shop-or-office', 'guest-house'] as const).map((premises) => [
        premises.replaceAll('-', ' '),
        (s) => ({ ...s, place: { ...s.place, premises } }),
      ]),
    });
  for (const proposal of survey.proposals) {
    const name = equipmentName(proposal);
    for (const [key, question] of [
      ['typeTested', `${name}: on the type-tested register?`],
      ['canExport', `${name}: can it export?`],
    ] as const)
      if (key === 'canExport' && proposal.kind !== 'vehicle-charger') continue;
      else if (proposal[key] === undefined || proposal[key] === 'unknown')
        facts.push({
          id: `${key} ${proposal.id}`,
          question,
          answers: (['yes', 'no'] as const).map((answer) => [
            answer === 'yes' ? 'Yes' : 'No',
            (s) => ({
              ...s,
              proposals: s.proposals.map((each) => (each.id === proposal.id ? { ...each, [key]: answer } : each)),
            }),
          ]),
        });
  }
  if (survey.loads.some(({ class: kind, fixedLed }) => kind === 'lighting' && fixedLed === undefined))
    facts.push({
      id: 'lamps',
      question: 'Are the lamps fixed LED?',
      answers: ([true, false] as const).map((fixedLed) => [
        fixedLed ? 'Fixed LED' : 'Not all',
        (s) => ({
          ...s,
          loads: s.loads.map((load) =>
            load.class === 'lighting' && load.fixedLed === undefined ? { ...load, fixedLed } : load,
          ),
        }),
      ]),
    });
  if (
    survey.loads.some(
      ({ class: kind, backupHeaterW, backupWithCompressor }) =>
        kind === 'heat-pump' &&
        backupHeaterW !== undefined &&
        (backupWithCompressor === undefined || backupWithCompressor === 'unknown'),
    )
  )
    facts.push({
      id: 'backup-heater',
      question: 'Can the heat pump’s back-up heater run with the compressor?',
      answers: (['yes', 'no'] as const).map((backupWithCompressor) => [
        backupWithCompressor === 'yes' ? 'Yes' : 'No',
        (s) => ({
          ...s,
          loads: s.loads.map((load) => (load.class === 'heat-pump' ? { ...load, backupWithCompressor } : load)),
        }),
      ]),
    });
  for (const { node } of supplyTree(survey).nodes)
    if (
      node.ratingA === undefined &&
      (node.kind === 'meter' || node.kind === 'isolator' || node.kind === 'board') &&
      node.id !== device?.node.id
    )
      facts.push({
        id: `rating ${node.id}`,
        question: `${node.label ?? { meter: 'Meter', isolator: 'Isolator', board: 'Board' }[node.kind]}: what is its rating?`,
        answers: [63, 80, 100].map((ratingA) => [`${ratingA} A`, (s) => onNode(s, node.id, { ratingA })]),
      });
  if (pack.alwaysAsk) return facts.filter(({ id }) => !id.startsWith('typeTested'));
  return facts;
}

function onNode(survey: Survey, id: string, values: object): Survey {
  const nodes = survey.supply.nodes.map((node) => (node.id === id ? { ...node, ...values } : node));
  return { ...survey, supply: { ...survey.supply, nodes } };
}

function withLoop(survey: Survey, status: 'not-looped' | 'feeds-next-door'): Survey {
  return {
    ...survey,
    intake: { ...survey.intake, loop: { ...survey.intake.loop, status, evidence: 'operator-record' } },
  };
}
