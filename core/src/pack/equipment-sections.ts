import type { Assessment } from '../assessment';
import { answerWords } from '../grounds/verdict';
import { exportTotal } from '../route/export';
import { HARMONICS_NAMES, isCharger, isGeneration, KIND_NAMES } from '../survey/kinds';
import { isUpgradeOnly, type Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { NODE_NAMES, type Answer } from '../survey/words';
import { written } from '../worked';
import { openPenRows } from './earthing-section';
import { NOT_KNOWN, row, type Row, type Section } from './rows';

const ANSWER_WORDS: Readonly<Record<Answer, string>> = { yes: 'Yes', no: 'No', unknown: NOT_KNOWN };

/** One piece of new equipment: its plate, what operators ask of its kind, how it is limited. */
export function equipmentSection(
  proposal: Proposal,
  { earthing, supply }: Survey,
  { earthing: assessed, demand }: Assessment,
): Section {
  const { limiter } = proposal;
  const clampNode = supply.nodes.find(({ id }) => id === limiter.clampNodeId);
  const amperes = (value: number | undefined): string | undefined => (value === undefined ? undefined : `${value} A`);
  return {
    title: `New equipment: ${proposal.label ?? KIND_NAMES[proposal.kind].toLowerCase()}`,
    rows: [
      row('Kind', KIND_NAMES[proposal.kind]),
      row('Make and model', proposal.makeAndModel),
      row(
        'Rated current',
        amperes(proposal.ratedA),
        proposal.phases === 3 ? 'on each of three phases' : 'single-phase',
      ),
      row(
        'On the type-tested register',
        proposal.typeTested && ANSWER_WORDS[proposal.typeTested],
        proposal.registerReference,
      ),
      ...operatorRows(proposal),
      ...(isCharger(proposal) ? [row('Where vehicles charge', proposal.parking?.replace('-', ' '))] : []),
      // Nothing to protect against where the earth is not taken from the supply's neutral.
      ...(!isCharger(proposal) || earthing.arrangement === 'tn-s' || earthing.arrangement === 'tt'
        ? []
        : openPenRows(
            proposal,
            assessed.openPen.find(({ proposalId }) => proposalId === proposal.id),
          )),
      ...(limiter.kind === 'fixed' ? [row('Held to a fixed current', amperes(limiter.fixedA))] : []),
      ...(limiter.kind === 'clamp'
        ? [
            row('Managed by clamp: set-point', amperes(limiter.setPointA)),
            row('Fail-safe current', amperes(limiter.failSafeA)),
            row('Clamp on', clampNode && (clampNode.label ?? NODE_NAMES[clampNode.kind])),
            row('Keeps the supply within its rating', answerWords(demand.limiter.holds), demand.limiter.why),
            ...(limiter.fixedA === undefined ? [] : [row('Own setting', amperes(limiter.fixedA))]),
          ]
        : []),
    ],
  };
}

/** What operators ask of each kind of equipment. */
function operatorRows(proposal: Proposal): Row[] {
  const { kind, startingA, harmonics, exportA, ratedA, canExport } = proposal;
  const amperes = (value: number | undefined): string | undefined => (value === undefined ? undefined : `${value} A`);
  return [
    ...(kind === 'heat-pump' || startingA !== undefined
      ? [row('Starting current, each phase', amperes(startingA))]
      : []),
    ...(kind === 'heat-pump' || kind === 'electric-heating' || harmonics !== undefined
      ? [row('Harmonics and flicker', harmonics && HARMONICS_NAMES[harmonics])]
      : []),
    ...(isGeneration(proposal)
      ? [
          row(
            'Capacity, each phase',
            amperes(ratedA),
            exportA === undefined ? 'its rating; no limit on its export is recorded' : `export limited to ${exportA} A`,
          ),
        ]
      : [row('Can export', canExport && ANSWER_WORDS[canExport], exportA === undefined ? undefined : `${exportA} A`)]),
  ];
}

/** What is asked of the operator besides the connection; nothing where nothing is. */
export function requestSection(survey: Survey): Section {
  const { request, proposals } = survey;
  const total = exportTotal(survey);
  const exports = proposals.some(isGeneration);
  return {
    title: 'Asked of the operator',
    rows: [
      ...(isUpgradeOnly(survey) ? [row('Request', 'A change of supply; nothing is to be connected now')] : []),
      ...(request.fuseUpgrade
        ? [row('A larger cut-out fuse', request.wantedFuseA === undefined ? 'Yes' : `${request.wantedFuseA} A`)]
        : []),
      ...(request.newPhases ? [row('More phases', 'Yes')] : []),
      ...(request.importLimitation ? [row('Import limitation scheme', 'Yes', 'EREC G100')] : []),
      ...(request.exportLimitation ? [row('Export limitation scheme', 'Yes', 'EREC G100')] : []),
      ...(exports
        ? [
            row(
              'All generation on the premises, each phase',
              total.amperes === null ? undefined : `${written(total.amperes)} A`,
              total.parts,
            ),
          ]
        : []),
      ...((request.installationsOnDevelopment ?? 1) > 1
        ? [row('Installations on this development', String(request.installationsOnDevelopment))]
        : []),
    ],
  };
}
