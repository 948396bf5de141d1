import { IsIn } from 'class-validator';
import { CHECKLISTS, type ChecklistId } from '../survey/after';
import { Id, ListOf, RequiredText } from '../survey/fields';

/** One thing to see to, under an id that stays when its words change. */
export class ChecklistItem {
  @Id() id: string;
  @RequiredText(200, 'what is to be done') text: string;
}

/** A list the firm writes itself: schemes and habits change, and are no rules of ours. */
export class Checklist {
  @IsIn([...CHECKLISTS], { message: `one of ${CHECKLISTS.join(', ')}` }) list: ChecklistId;
  @ListOf(() => ChecklistItem, 60) items: ChecklistItem[] = [];
}

/** Every list of a firm; one it has not written is the usual one. */
export class FirmChecklists {
  @ListOf(() => Checklist, CHECKLISTS.length) lists: Checklist[] = [];
}

export const CHECKLIST_NAMES: Readonly<Record<ChecklistId, string>> = {
  labels: 'Labels',
  handover: 'Handover',
  funding: 'Evidence for funding',
};

const items = (...texts: readonly (readonly [string, string])[]): ChecklistItem[] =>
  texts.map(([id, text]) => ({ id, text }));

/** What most firms see to. */
export const USUAL_CHECKLISTS: Readonly<Record<ChecklistId, readonly ChecklistItem[]>> = {
  labels: items(
    ['circuit-label', 'Circuit named at the board'],
    ['two-supplies', 'Label where there is more than one source of supply'],
    ['limiter-label', 'Label at the board: a load limiter is fitted, its set-point, and not to be altered'],
    ['rcd-test-label', 'RCD test notice'],
    ['earth-label', 'Safety electrical connection labels at new earth and bonding connections'],
    ['isolator-label', 'Means of isolation marked'],
  ),
  handover: items(
    ['shown', 'Customer shown how to use and isolate it'],
    ['limits-told', 'Customer told what limits the charging, and why it may pause'],
    ['instructions', 'Makers’ instructions left'],
    ['certificate', 'Electrical installation certificate issued'],
    ['photos-after', 'Photographs taken after the work'],
    ['tidy', 'Site left tidy'],
  ),
  funding: items(
    ['mpan', 'Meter point number'],
    ['parking', 'Proof of parking'],
    ['vehicle', 'Proof of the vehicle'],
    ['before', 'Photographs before the work'],
    ['after', 'Photographs after the work'],
    ['certificate', 'Certificate number'],
  ),
};

/** The id under which a survey keeps that an item was seen to: two lists may have items of one id. */
export function tickId(list: ChecklistId, itemId: string): string {
  return `${list}-${itemId}`.slice(0, 64);
}

/** The items of one list as the firm has it. */
export function checklistOf(list: ChecklistId, own: FirmChecklists): readonly ChecklistItem[] {
  return own.lists.find((each) => each.list === list)?.items ?? USUAL_CHECKLISTS[list];
}
