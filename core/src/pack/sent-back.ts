import type { FirmContact } from '../firm/contact';
import { equipmentName, isLoad } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, supplyTree } from '../tree/supply-tree';

/** Something an operator would send a pack back for, and where it is settled: at a station, or on the firm's own page. */
export interface SentBack {
  readonly id: string;
  readonly says: string;
  readonly at: 'firm' | 'place' | 'loads' | 'charger' | 'route' | 'cut-out';
}

/** Who hands the pack in, as the firm has set it. */
export interface Installer {
  readonly registration: string;
  readonly contact: FirmContact | undefined;
}

/**
 * What operators usually send a pack back without, asked for before it is signed: no judgement rests on any of it, and it holds nothing back.
 * Source: operators’ forms for connecting equipment.
 */
export function sentBackFor(survey: Survey, { registration, contact = {} }: Installer): SentBack[] {
  const { proposals, request, generation, photos, supply } = survey;
  const tree = supplyTree(survey);
  const lineless = proposals.filter(
    (each) =>
      supply.phases === 3 &&
      isLoad(each) &&
      each.phases !== 3 &&
      (each.phase ?? phaseAt(nodeOf(tree, each.nodeId))) === undefined,
  );
  const cutOut = supply.nodes.find(({ kind }) => kind === 'cut-out');
  const pictured = photos.some(
    ({ subject, subjectId }) =>
      (subject === 'node' && subjectId === cutOut?.id) || subject === 'fault' || subject === 'loop',
  );
  const found: (SentBack | false)[] = [
    !contact.address?.trim() && { id: 'address', says: 'the firm’s address', at: 'firm' },
    !contact.telephone?.trim() && { id: 'telephone', says: 'the firm’s telephone', at: 'firm' },
    !contact.email?.trim() && { id: 'email', says: 'the firm’s e-mail', at: 'firm' },
    !registration.trim() && { id: 'registration', says: 'the registration of whoever signs', at: 'firm' },
    proposals.length > 0 &&
      request.plannedOn === undefined && { id: 'planned', says: 'the day the work is planned for', at: 'route' },
    generation === undefined && {
      id: 'generation',
      says: 'whether there is generation or a battery already',
      at: 'loads',
    },
    ...lineless.map((each) => ({
      id: `line ${each.id}`,
      says: `the line of ${equipmentName(each)}`,
      at: 'charger' as const,
    })),
    !pictured && { id: 'photograph', says: 'a photograph of the cut-out', at: 'cut-out' },
  ];
  return found.filter((each) => each !== false);
}
