import {
  CHECKLIST_NAMES,
  checklistOf,
  type ChecklistItem,
  type FirmChecklists,
} from '@keen-gauge/core/firm/checklists';
import { CHECKLISTS, type ChecklistId } from '@keen-gauge/core/survey/after';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { putChecklists } from '../api/firm';
import { useMe, type Me } from '../api/me';
import { problemWords } from '../api/problem-words';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { useDraft } from './use-draft';

/** What the firm sees to after a job, in its own words. */
export function ChecklistsPanel({ me }: { readonly me: Me }) {
  const { refresh } = useMe();
  const { draft, isChanged, change, settle } = useDraft<FirmChecklists>('checklists', me.rules.checklists);
  const [said, setSaid] = useState<{ readonly kind: 'note' | 'act'; readonly title: string } | null>(null);
  const set = (list: ChecklistId, items: readonly ChecklistItem[]): void => {
    change({ lists: [...draft.lists.filter((each) => each.list !== list), { list, items: [...items] }] });
  };
  const save = async (): Promise<void> => {
    try {
      const lists = draft.lists.map(({ list, items }) => ({
        list,
        items: items.filter(({ text }) => text.trim() !== '').map(({ id, text }) => ({ id, text: text.trim() })),
      }));
      const { rules } = await putChecklists({ lists });
      refresh({ ...me, rules });
      settle(draft);
      setSaid({ kind: 'note', title: 'Saved. What was ticked before stays as it read then.' });
    } catch (failed) {
      setSaid({ kind: 'act', title: problemWords(failed) });
    }
  };
  return (
    <Panel aria-label="Checklists">
      <h2>Checklists</h2>
      <p className="quiet">Done after each job. Schemes that pay change: write what they ask for today.</p>
      {CHECKLISTS.map((list) => {
        const items = checklistOf(list, draft);
        return (
          <Stack as="section" key={list} aria-label={CHECKLIST_NAMES[list]} style={{ '--gap': '0.4rem' }}>
            <h3>{CHECKLIST_NAMES[list]}</h3>
            {items.map((item, at) => (
              <Row key={item.id} style={{ '--gap': '0.3rem', flexWrap: 'nowrap', alignItems: 'end' }}>
                <span style={{ flex: 1 }}>
                  <TextInput
                    label={`Item ${at + 1}`}
                    value={item.text}
                    maxLength={200}
                    onChange={(text) => {
                      set(
                        list,
                        items.map((each) => (each.id === item.id ? { ...each, text } : each)),
                      );
                    }}
                  />
                </span>
                <BareButton
                  aria-label={`Remove from ${CHECKLIST_NAMES[list]}: ${item.text}`}
                  onPress={() => {
                    set(
                      list,
                      items.filter((each) => each.id !== item.id),
                    );
                  }}
                >
                  <Trash2 size={18} aria-hidden />
                </BareButton>
              </Row>
            ))}
            <div>
              <Button
                onPress={() => {
                  set(list, [...items, { id: crypto.randomUUID().slice(0, 8), text: '' }]);
                }}
              >
                <Plus size={18} aria-hidden /> Add to {CHECKLIST_NAMES[list].toLowerCase()}
              </Button>
            </div>
          </Stack>
        );
      })}
      <Row>
        <MainButton onPress={() => void save()}>Save the checklists</MainButton>
        {isChanged && <span className="quiet">Not saved yet; kept in this tab.</span>}
      </Row>
      {said && <Notice kind={said.kind} title={said.title} />}
    </Panel>
  );
}
