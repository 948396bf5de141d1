/** The crew sheet: everything the fitter would otherwise ring the surveyor for, on one page. */
import { allTests } from '../after/tests';
import type { Assessment } from '../assessment';
import { circuitStart } from '../circuit/charger-circuit';
import { coresNeeded, reuses } from '../circuit/reuse';
import type { EquipmentProfile } from '../firm/equipment';
import { clampsOf } from '../management/limiter';
import { settingsOf } from '../management/settings';
import { standingLines } from '../materials/edited';
import { deviceWords } from '../materials/items';
import type { MaterialLine } from '../materials/line';
import { surveyLines } from '../materials/survey-lines';
import type { RunTerms } from '../materials/run';
import { glandFor } from '../materials/usual';
import type { Rules } from '../rules/rules';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { equipmentName, isCharger } from '../survey/words/kinds';
import { nodeName } from '../survey/words/words';
import { CABLE_LOOK_NAMES, CONTAINMENT_NAMES, GROUND_NAMES, SURFACE_NAMES } from '../survey/words/works-words';
import { isGoing } from '../tree/going';
import { supplyTree, type SupplyTree } from '../tree/supply-tree';
import { crewPhotos } from './photos';
import type { CrewLine, CrewSection, CrewSheet } from './sheet';

export interface CrewFacts {
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  /** The firm’s equipment, for terminals, torque and how a setting is made. */
  readonly profiles: readonly EquipmentProfile[];
  readonly terms: RunTerms;
  /** The day it is fitted, where one is planned. */
  readonly fittedOn: string | undefined;
}

export function crewSheet(facts: CrewFacts): CrewSheet {
  const { survey } = facts;
  const tree = supplyTree(survey);
  const sections: readonly CrewSection[] = [
    { id: 'visit', title: 'Where, when, whom to ring', lines: visit(facts) },
    { id: 'cautions', title: 'Cautions', lines: cautions(survey) },
    { id: 'load', title: 'Load in the van', lines: load(facts) },
    { id: 'changes', title: 'What changes at the supply', lines: changes(survey) },
    { id: 'route', title: 'Route', lines: survey.proposals.flatMap((each) => route(each, survey)) },
    {
      id: 'connect',
      title: 'Device, cable and terminals',
      lines: survey.proposals.flatMap((each) => connect(each, facts, tree)),
    },
    { id: 'settings', title: 'Settings', lines: survey.proposals.flatMap((each) => settings(each, facts)) },
    { id: 'tests', title: 'Tests and limits', lines: tests(facts) },
    { id: 'promised', title: 'Promised to the customer', lines: promised(survey) },
  ];
  return { sections: sections.filter(({ lines }) => lines.length > 0), photos: crewPhotos(survey) };
}

/** What a line is about: the piece of equipment is named where there are several. */
function about({ proposals }: Pick<Survey, 'proposals'>, proposal: Proposal, text: string): string {
  return proposals.length > 1
    ? `${equipmentName(proposal)}: ${text}`
    : `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

/** A line that is left out where there is nothing to say. */
function said(id: string, text: string, value: string | undefined, more: Partial<CrewLine> = {}): CrewLine[] {
  return value === undefined || value === '' ? [] : [{ id, text, value, ...more }];
}

function visit({ survey: { place, works }, fittedOn, assessment }: CrewFacts): CrewLine[] {
  const address = [place.addressLine1, place.addressLine2, place.town, place.postcode].filter(Boolean).join(', ');
  return [
    ...said('address', 'Address', address),
    ...said('day', 'Day', fittedOn),
    ...said('customer', 'Customer', place.customerName),
    ...said('contact', 'Contact', works?.contact),
    ...said('ring', 'Ring the customer', place.customerPhone, { telephone: place.customerPhone }),
    ...said('route-way', 'Operator', assessment.route.words),
    ...(works?.powerOffH === undefined ? [] : said('power-off', 'Power off for', `about ${works.powerOffH} h`)),
  ];
}

/** Dangers of the place, each once. What nobody looked for is not known to be safe. */
function cautions({ works = {}, proposals, supply }: Survey): CrewLine[] {
  const digs =
    proposals.some(({ circuit }) => circuit?.segments?.some(({ laid }) => laid === 'buried')) ||
    supply.nodes.some(({ cable }) => cable?.planned && cable.laid === 'buried');
  const line = (id: string, text: string): CrewLine => ({ id, text, isTask: true });
  return [
    line(
      'isolate',
      'Isolate, lock off and prove dead before any cover comes off. Only the operator may remove the cut-out fuse.',
    ),
    ...(works.asbestos === 'yes'
      ? [line('asbestos', 'Asbestos is suspected here: do not drill, cut or lift it. Stop and ring the office.')]
      : works.asbestos === 'no'
        ? []
        : [
            line(
              'asbestos',
              'Asbestos: not recorded. Check old boards, ceilings and panels before you drill, cut or lift them.',
            ),
          ]),
    ...(digs
      ? [
          line(
            'ground',
            works.groundSearched === 'yes'
              ? 'The ground was searched for services: dig by hand near what was marked.'
              : 'Ground: not searched. Search for cables and pipes, then dig by hand.',
          ),
        ]
      : []),
    ...(works.gasBeside === 'yes'
      ? [
          line(
            'gas',
            'A gas pipe runs beside the cable route: keep the distance its owner asks for, and do not fix to it.',
          ),
        ]
      : works.gasBeside === 'no'
        ? []
        : [line('gas', 'Gas pipe beside the cable route: not recorded. Look for one before you drill.')]),
  ];
}

/** What to load, item by item: the lines of one item added up, struck ones left at home. */
function load({ survey, assessment, terms }: CrewFacts): CrewLine[] {
  const lines = standingLines(surveyLines(survey, assessment, terms), survey.works?.lines)
    .filter(({ isStruck, line }) => !isStruck && line.kind === 'material')
    .map(({ line }) => line as MaterialLine);
  const groups = new Map<string, { text: string; unit: string; quantity: number | null }>();
  for (const { item, text, unit, quantity, gap } of lines) {
    const key = item ?? text;
    const had = groups.get(key);
    const more = gap === undefined || quantity !== null ? quantity : null;
    groups.set(key, {
      text,
      unit,
      quantity: more === null || had?.quantity === null ? null : (had?.quantity ?? 0) + more,
    });
  }
  return [...groups].map(([key, { text, unit, quantity }]) => ({
    id: `load-${key.replaceAll(/[^A-Za-z0-9_-]/g, '-')}`.slice(0, 64),
    text,
    value:
      quantity === null
        ? 'how much is not known'
        : unit === 'm'
          ? `${Math.ceil(quantity)} m`
          : `${Math.round(quantity * 10) / 10} ×`,
    isTask: true,
  }));
}

function changes({ supply, loads }: Survey): CrewLine[] {
  return [
    ...supply.nodes
      .filter(({ planned }) => planned)
      .map((node): CrewLine => ({
        id: `new-${node.id}`.slice(0, 64),
        text: `Fit ${nodeName(node)}`,
        ...(node.ratingA === undefined ? {} : { value: `${node.ratingA} A` }),
        isTask: true,
      })),
    ...supply.nodes
      .filter(({ goes }) => goes)
      .map((node): CrewLine => ({
        id: `out-${node.id}`.slice(0, 64),
        text: `Take out ${nodeName(node)}`,
        isTask: true,
      })),
    ...loads.filter(isGoing).map((each): CrewLine => ({
      id: `out-${each.id}`.slice(0, 64),
      text: `Take out ${each.label ?? each.class.replaceAll('-', ' ')}`,
      note: 'Leave its end dead, made safe and labelled where the cable stays.',
      isTask: true,
    })),
  ];
}

function route(proposal: Proposal, survey: Survey): CrewLine[] {
  const { works } = survey;
  const called = (text: string): string => about(survey, proposal, text);
  if (reuses(proposal)) {
    const { look, damage } = proposal.reuse ?? {};
    return [
      {
        id: `reuse-${proposal.id}`.slice(0, 64),
        text: called('the old cable is used again'),
        value: look === undefined ? 'nobody has looked at it' : CABLE_LOOK_NAMES[look].toLowerCase(),
        note: [damage, 'Look along all of it again before you connect it; damaged, it is replaced.']
          .filter(Boolean)
          .join('. '),
        isTask: true,
      },
    ];
  }
  return [
    ...(proposal.circuit?.segments ?? []).map((segment, at): CrewLine => {
      const { id, lengthM, laid, fixedTo, containment, heightM, ground, note } = segment;
      const how = [
        laid?.replaceAll('-', ' '),
        fixedTo && `on ${SURFACE_NAMES[fixedTo].toLowerCase()}`,
        containment && `in ${CONTAINMENT_NAMES[containment].toLowerCase()}`,
        heightM !== undefined && `${heightM} m up`,
        ground && `through ${GROUND_NAMES[ground].toLowerCase()}`,
      ];
      return {
        id: `way-${id}`.slice(0, 64),
        text: called(`section ${at + 1}: ${how.filter(Boolean).join(', ') || 'way not recorded'}`),
        value: lengthM === undefined ? 'length not recorded' : `${lengthM} m`,
        ...(note === undefined ? {} : { note }),
        field: { path: ['proposals', proposal.id, 'circuit', 'segments', id, 'lengthM'], unit: 'm', value: lengthM },
      };
    }),
    ...(works?.drillings ?? []).map(({ id, through, thicknessMm, where }, at): CrewLine => ({
      id: `drill-${id}`.slice(0, 64),
      text: `Drill wall ${at + 1}${where === undefined ? '' : `, ${where}`}`,
      value: [through && SURFACE_NAMES[through].toLowerCase(), thicknessMm !== undefined && `${thicknessMm} mm`]
        .filter(Boolean)
        .join(', '),
      note: 'Look at the other side first.',
      isTask: true,
    })),
  ];
}

function connect(proposal: Proposal, { survey, assessment, profiles }: CrewFacts, tree: SupplyTree): CrewLine[] {
  const called = (text: string): string => about(survey, proposal, text);
  const { circuit } = circuitStart(proposal, { tree });
  const assessed = assessment.circuits.find(({ proposalId }) => proposalId === proposal.id);
  const phases = proposal.phases ?? 1;
  const ratingA = circuit.deviceRatingA ?? assessed?.device.ratingA ?? undefined;
  const sizeMm2 = circuit.sizeMm2 ?? assessed?.search?.smallestMm2 ?? undefined;
  const cores = circuit.cableType === 'flat-twin' ? 3 : coresNeeded(phases, circuit.cpc);
  const profile = profiles.find(({ id }) => id === proposal.profileId);
  const rcd = proposal.rcd?.place === 'at-board' && phases === 1 ? (proposal.rcd.rcdType ?? 'A') : null;
  const id = (role: string): string => `${role}-${proposal.id}`.slice(0, 64);
  const path = (field: string): readonly string[] => ['proposals', proposal.id, 'circuit', field];
  const gland = sizeMm2 === undefined ? null : glandFor(cores, sizeMm2);
  const terminals = [
    profile?.largestMm2 !== undefined && `up to ${profile.largestMm2} mm²`,
    profile?.stripMm !== undefined && `strip ${profile.stripMm} mm`,
    profile?.torqueNm !== undefined && `${profile.torqueNm} N·m`,
  ]
    .filter(Boolean)
    .join(', ');
  return [
    {
      id: id('device'),
      text: called('device'),
      value: ratingA === undefined ? 'not known' : deviceWords(circuit.curve ?? 'B', ratingA, phases, rcd),
      field: { path: path('deviceRatingA'), unit: 'A', value: ratingA },
      isTask: true,
    },
    {
      id: id('cable'),
      text: called('cable'),
      value: [
        sizeMm2 === undefined ? 'size not known' : `${sizeMm2} mm²`,
        circuit.cableType?.replaceAll('-', ' '),
        circuit.cableType === 'armoured' ? `${cores} conductors` : undefined,
      ]
        .filter(Boolean)
        .join(', '),
      field: { path: path('sizeMm2'), unit: 'mm²', value: sizeMm2 },
      isTask: true,
    },
    ...(circuit.cableType === 'armoured' && gland !== null
      ? [{ id: id('glands'), text: called('glands'), value: `${gland} mm`, note: 'Measure the cable first.' }]
      : []),
    ...(phases === 3 || proposal.phase === undefined ? [] : said(id('line'), called('line'), proposal.phase)),
    ...said(id('entry'), called('cable entry'), profile?.cableEntry),
    ...said(id('terminals'), called('terminals'), terminals || profile?.preparation, {
      ...(terminals === '' || profile?.preparation === undefined ? {} : { note: profile.preparation }),
    }),
    ...(isCharger(proposal) && profile?.torqueNm === undefined
      ? [{ id: id('torque'), text: called('torque'), value: 'as its maker’s instructions say' }]
      : []),
    ...(profile?.largestMm2 !== undefined && sizeMm2 !== undefined && sizeMm2 > profile.largestMm2
      ? [
          {
            id: id('too-large'),
            text: called('the conductor is larger than its terminals take'),
            value: `${sizeMm2} mm², ${profile.largestMm2} mm² at most`,
            note: 'A junction box of its own beside it, or other equipment: ring the office.',
          },
        ]
      : []),
  ];
}

function settings(proposal: Proposal, { profiles, rules, survey }: CrewFacts): CrewLine[] {
  const called = (text: string): string => about(survey, proposal, text);
  const { limiter } = proposal;
  const profile = profiles.find(({ id }) => id === proposal.profileId);
  const id = (role: string): string => `${role}-${proposal.id}`.slice(0, 64);
  const path = (field: string): readonly string[] => ['proposals', proposal.id, 'limiter', field];
  const step = (amperes: number): string => {
    const at = settingsOf(proposal, rules).indexOf(amperes);
    const all = proposal.stepsA?.length ?? 0;
    return all > 0 && at >= 0
      ? `step ${[...settingsOf(proposal, rules)].sort((a, b) => a - b).indexOf(amperes) + 1} of ${all}`
      : '';
  };
  const own: CrewLine[] =
    limiter.fixedA !== undefined
      ? [
          {
            id: id('limit'),
            text: called('limit'),
            value: [`${limiter.fixedA} A`, step(limiter.fixedA)].filter(Boolean).join(', '),
            note: [profile?.settingMade, 'Seal or lock it.'].filter(Boolean).join('. '),
            field: { path: path('fixedA'), unit: 'A', value: limiter.fixedA },
            isTask: true,
          },
        ]
      : limiter.kind === undefined || limiter.kind === 'none'
        ? [{ id: id('limit'), text: called('limit'), value: `none, ${proposal.ratedA ?? '?'} A`, isTask: true }]
        : [];
  if (limiter.kind !== 'clamp') return own;
  const clamps = clampsOf(proposal);
  return [
    ...own,
    ...clamps.map(({ nodeId, setPointA }, at): CrewLine => ({
      id: id(`clamp-${at}`),
      text: called(clamps.length > 1 ? `clamp ${at + 1}` : 'clamp'),
      value: `set-point ${setPointA ?? '?'} A`,
      note: [partWords(nodeId, survey), clampWords(proposal)].filter(Boolean).join(' '),
      isTask: true,
      ...(at === 0 ? { field: { path: path('setPointA'), unit: 'A', value: setPointA } } : {}),
    })),
    {
      id: id('fail-safe'),
      text: called('fail-safe'),
      value:
        limiter.failSafeA === undefined ? 'not known' : limiter.failSafeA === 0 ? 'stops' : `${limiter.failSafeA} A`,
      field: { path: path('failSafeA'), unit: 'A', value: limiter.failSafeA },
      isTask: true,
    },
    ...(limiter.fit?.phase === 'all' || proposal.phases === 3
      ? [
          {
            id: id('order'),
            text: called('phase order'),
            value: 'L1, L2, L3: the same at the clamps as at the terminals',
            isTask: true,
          },
        ]
      : []),
  ];
}

function partWords(nodeId: string | undefined, { supply }: Survey): string {
  const node = supply.nodes.find(({ id }) => id === nodeId);
  return node ? `At ${nodeName(node)}.` : '';
}

function clampWords({ limiter: { fit } }: Proposal): string {
  const conductor = fit?.conductor === undefined ? '' : `On the ${fit.conductor}`;
  const arrow = fit?.conductor === 'neutral' ? ', arrow reversed.' : ', arrow from the street to the house.';
  return conductor === '' ? '' : `${conductor}${arrow}`;
}

function tests({ survey, assessment, rules }: CrewFacts): CrewLine[] {
  return allTests(survey, assessment.circuits, rules).flatMap(({ proposalId, name, tests: all }) =>
    all.map((test): CrewLine => ({
      id: `test-${test.id}-${proposalId}`.slice(0, 64),
      text: survey.proposals.length > 1 ? `${name}: ${test.title}` : test.title,
      value: test.limit,
      ...(test.state === 'not-known' ? {} : { note: `measured ${test.measured}` }),
      isTask: true,
    })),
  );
}

function promised({ works, notes }: Survey): CrewLine[] {
  return [
    ...said('promised', 'Promised', works?.promised, { isTask: true }),
    ...said('notes', 'Notes of the survey', notes),
  ];
}
