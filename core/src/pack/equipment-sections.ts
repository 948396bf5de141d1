import { clampsOf } from '../management/limiter';
import type { Assessment } from '../assessment';
import { answerWords } from '../grounds/verdict';
import { exportTotal } from '../route/export';
import { replacementWords } from '../route/replacement';
import { HARMONICS_NAMES, isCharger, isGeneration, KIND_NAMES } from '../survey/words/kinds';
import { CABLE_LOOK_NAMES } from '../survey/words/works-words';
import { isUpgradeOnly, type Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import { type Answer, nodeName } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, supplyTree } from '../tree/supply-tree';
import { openPenRows } from './earthing-section';
import { NOT_KNOWN, row, rowOf, type Row, type Section } from './rows';
import { shown } from '../rules/rounding';

const ANSWER_WORDS: Readonly<Record<Answer, string>> = { yes: 'Yes', no: 'No', unknown: NOT_KNOWN };

/** One piece of new equipment: its plate, what operators ask of its kind, how it is limited. */
export function equipmentSection(
  proposal: Proposal,
  survey: Survey,
  { earthing: assessed, demand, route }: Assessment,
): Section {
  const { earthing, supply } = survey;
  const called = proposal.label ?? KIND_NAMES[proposal.kind].toLowerCase();
  const { limiter } = proposal;
  const amperes = (value: number | undefined): string | undefined => (value === undefined ? undefined : `${value} A`);
  return {
    id: 'equipment',
    subject: proposal.id,
    about: called,
    title: `New equipment: ${called}`,
    rows: [
      row('kind', 'Kind', KIND_NAMES[proposal.kind]),
      row('make-and-model', 'Make and model', proposal.makeAndModel),
      row(
        'rated-current',
        'Rated current',
        amperes(proposal.ratedA),
        proposal.phases === 3 ? 'on each of three phases' : lineWords(proposal, survey),
      ),
      ...route.replaces
        .filter(({ proposalId }) => proposalId === proposal.id)
        .map((each) => rowOf('replaces', each.loadId, 'Replaces', each.goes, replacementWords(each))),
      ...(proposal.reuse?.used
        ? [row('circuit-used-again', 'Circuit', 'The old circuit is used again', reuseWords(proposal))]
        : []),
      row(
        'on-the-type-tested-register',
        'On the type-tested register',
        proposal.typeTested && ANSWER_WORDS[proposal.typeTested],
        proposal.registerReference,
      ),
      ...operatorRows(proposal),
      ...(isCharger(proposal)
        ? [row('where-vehicles-charge', 'Where vehicles charge', proposal.parking?.replace('-', ' '))]
        : []),
      // Nothing to protect against where the earth is not taken from the supply's neutral.
      ...(!isCharger(proposal) || earthing.arrangement === 'tn-s' || earthing.arrangement === 'tt'
        ? []
        : openPenRows(
            proposal,
            assessed.openPen.find(({ proposalId }) => proposalId === proposal.id),
          )),
      ...(limiter.kind === 'fixed'
        ? [row('held-to-a-fixed-current', 'Held to a fixed current', amperes(limiter.fixedA))]
        : []),
      ...(limiter.kind === 'clamp'
        ? [
            ...namedClamps(proposal, supply.nodes).map(({ name, nodeId, setPointA }, at, all) =>
              rowOf(
                'clamp',
                nodeId ?? '',
                all.length > 1 ? `Clamp ${at + 1} of ${all.length}` : 'Managed by clamp',
                name,
                `set-point ${amperes(setPointA) ?? NOT_KNOWN}`,
              ),
            ),
            row('fail-safe-current', 'Fail-safe current', amperes(limiter.failSafeA)),
            row(
              'keeps-the-supply-within-its-rating',
              'Keeps the supply within its rating',
              answerWords(demand.limiter.holds),
              demand.limiter.why,
            ),
            ...(limiter.fixedA === undefined ? [] : [row('own-setting', 'Own setting', amperes(limiter.fixedA))]),
          ]
        : []),
    ],
  };
}

/** What was seen of the old circuit. */
function reuseWords({ reuse = {} }: Proposal): string {
  return [
    reuse.look === undefined ? 'not looked at yet' : CABLE_LOOK_NAMES[reuse.look].toLowerCase(),
    reuse.damage,
    reuse.cores === undefined ? undefined : `${reuse.cores} conductors`,
    reuse.insulationMOhm === undefined ? undefined : `insulation ${reuse.insulationMOhm} MΩ`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** Every clamp of a limiter by the part it sits on, with what it is held to; the name is left out where it is not known. */
export function namedClamps(
  proposal: Proposal,
  nodes: readonly SupplyNode[],
): (ReturnType<typeof clampsOf>[number] & { readonly name: string | undefined })[] {
  return clampsOf(proposal).map((clamp) => {
    const node = nodes.find(({ id }) => id === clamp.nodeId);
    return { ...clamp, name: node && nodeName(node) };
  });
}

/** The line single-phase equipment goes on, where there are several to choose from. */
function lineWords({ phase, nodeId }: Proposal, survey: Survey): string {
  if (survey.supply.phases !== 3) return 'single-phase';
  const line = phase ?? phaseAt(nodeOf(supplyTree(survey), nodeId));
  return line === undefined ? 'single-phase, its line not chosen' : `single-phase, on ${line}`;
}

/** What operators ask of each kind of equipment. */
function operatorRows(proposal: Proposal): Row[] {
  const { kind, startingA, harmonics, exportA, ratedA, canExport } = proposal;
  const amperes = (value: number | undefined): string | undefined => (value === undefined ? undefined : `${value} A`);
  return [
    ...(kind === 'heat-pump' || startingA !== undefined
      ? [row('starting-current-each-phase', 'Starting current, each phase', amperes(startingA))]
      : []),
    ...(kind === 'heat-pump' || kind === 'electric-heating' || harmonics !== undefined
      ? [row('harmonics-and-flicker', 'Harmonics and flicker', harmonics && HARMONICS_NAMES[harmonics])]
      : []),
    ...(isGeneration(proposal)
      ? [
          row(
            'capacity-each-phase',
            'Capacity, each phase',
            amperes(ratedA),
            exportA === undefined ? 'its rating; no limit on its export is recorded' : `export limited to ${exportA} A`,
          ),
        ]
      : [
          row(
            'can-export',
            'Can export',
            canExport && ANSWER_WORDS[canExport],
            exportA === undefined ? undefined : `${exportA} A`,
          ),
        ]),
  ];
}

/** What is asked of the operator besides the connection; nothing where nothing is. */
export function requestSection(survey: Survey): Section {
  const { request, proposals } = survey;
  const total = exportTotal(survey);
  const exports = proposals.some(isGeneration);
  return {
    id: 'request',
    title: 'Asked of the operator',
    rows: [
      ...(isUpgradeOnly(survey)
        ? [row('request', 'Request', 'A change of supply; nothing is to be connected now')]
        : []),
      ...(request.fuseUpgrade
        ? [
            row(
              'a-larger-cut-out-fuse',
              'A larger cut-out fuse',
              request.wantedFuseA === undefined ? 'Yes' : `${request.wantedFuseA} A`,
            ),
          ]
        : []),
      ...(request.newPhases ? [row('more-phases', 'More phases', 'Yes')] : []),
      ...(request.plannedOn === undefined ? [] : [row('work-planned-for', 'Work planned for', request.plannedOn)]),
      ...(request.importLimitation
        ? [row('import-limitation-scheme', 'Import limitation scheme', 'Yes', 'EREC G100')]
        : []),
      ...(request.exportLimitation
        ? [row('export-limitation-scheme', 'Export limitation scheme', 'Yes', 'EREC G100')]
        : []),
      ...(exports
        ? [
            row(
              'all-generation-on-the-premises-each-phase',
              'All generation on the premises, each phase',
              total.amperes === null ? undefined : `${shown(total.amperes)} A`,
              total.parts,
            ),
          ]
        : []),
      ...((request.installationsOnDevelopment ?? 1) > 1
        ? [
            row(
              'installations-on-this-development',
              'Installations on this development',
              String(request.installationsOnDevelopment),
            ),
          ]
        : []),
    ],
  };
}
