import { CHECKLIST_NAMES, checklistOf, tickId } from '@keen-gauge/core/firm/checklists';
import type { ChecklistId, TickAnswer } from '@keen-gauge/core/survey/after';
import { AnswerRow } from '../../kit/AnswerRow';
import { BareButton } from '../../kit/Button';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundCode } from '../bound';

const ANSWERS: readonly { readonly value: TickAnswer; readonly label: string }[] = [
  { value: 'done', label: 'Done' },
  { value: 'not-applicable', label: 'Does not apply' },
];

/** One of the firm’s own lists, seen to item by item; each with who and when. */
export function ChecklistPanel({ list }: { readonly list: ChecklistId }) {
  const { survey, me } = useSurvey();
  const set = useSet();
  const ticks = survey.after?.ticks ?? [];
  const items = checklistOf(list, me.rules.checklists);
  const claimed = survey.after?.fundingClaimed;
  const shown = list === 'funding' && claimed !== true ? [] : items;
  const done = shown.filter(({ id }) =>
    ticks.some((tick) => tick.id === tickId(list, id) && tick.answer !== undefined),
  ).length;
  return (
    <Panel aria-label={CHECKLIST_NAMES[list]}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{CHECKLIST_NAMES[list]}</h2>
        {shown.length > 0 && (
          <span className="quiet">
            {done} of {shown.length} seen to
          </span>
        )}
      </Row>
      {list === 'funding' && (
        <BoundCode
          path={['after', 'fundingClaimed']}
          label="Is funding claimed?"
          help="Schemes change: the firm writes its own list of what they ask for."
          tile="6rem"
          codes={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
        />
      )}
      {list !== 'funding' && items.length === 0 && <p className="quiet">The firm’s list is empty.</p>}
      <Stack style={{ '--gap': '0.5rem' }}>
        {shown.map(({ id, text }) => {
          const tick = ticks.find((each) => each.id === tickId(list, id));
          return (
            <Stack key={id} style={{ '--gap': '0.1rem' }}>
              <AnswerRow
                label={text}
                value={tick?.answer}
                options={ANSWERS}
                onChange={(answer) => {
                  const made = { id: tickId(list, id), list, text, answer, by: me.name, at: new Date().toISOString() };
                  set(['after', 'ticks', tickId(list, id)], made);
                }}
              />
              {tick && (
                <Row className="quiet" style={{ '--gap': '0.2rem', fontSize: '0.88rem' }}>
                  {tick.by}
                  {tick.at === undefined ? '' : `, ${tick.at.slice(0, 10)}`}
                  {tick.text !== undefined && tick.text !== text ? `; it read “${tick.text}” then` : ''}
                  <BareButton
                    aria-label={`Take back: ${text}`}
                    onPress={() => {
                      set(['after', 'ticks', tickId(list, id)], undefined);
                    }}
                  >
                    Take back
                  </BareButton>
                </Row>
              )}
            </Stack>
          );
        })}
      </Stack>
    </Panel>
  );
}
