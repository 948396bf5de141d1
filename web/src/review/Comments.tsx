import type { Station } from '@keen-gauge/core/finding';
import type { ReviewComment } from '@keen-gauge/core/survey/comment';
import { Check } from 'lucide-react';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { takenWords } from '../photos/taken-words';
import { useSurvey } from '../survey/SurveyContext';
import { useField } from '../survey/use-field';

/** What the survey was handed back with at a station, until it is settled. */
export function CommentsHere({ station }: { readonly station: Station }) {
  const { survey } = useSurvey();
  const open = (survey.comments ?? []).filter((each) => each.station === station && each.settledAt === undefined);
  if (open.length === 0) return null;
  return (
    <Panel aria-label="Handed back">
      <h2>Handed back</h2>
      {open.map(({ id }) => (
        <OneComment key={id} id={id} />
      ))}
    </Panel>
  );
}

/** One comment: who asked what, what was done about it, and settling it. */
export function OneComment({ id }: { readonly id: string }) {
  const { survey, store, me } = useSurvey();
  const reply = useField(['comments', id, 'reply']);
  const comment = survey.comments?.find((each) => each.id === id);
  if (!comment) return null;
  const put = (values: Partial<ReviewComment>): void => {
    store.edit({
      ...survey,
      comments: (survey.comments ?? []).map((each) => (each.id === id ? { ...each, ...values } : each)),
    });
  };
  const settled = comment.settledAt !== undefined;
  return (
    <Stack data-field={`comments.${id}.reply`} style={{ '--gap': '0.5rem' }}>
      <Notice kind={settled ? 'note' : 'ask'} title={comment.says}>
        {[comment.by, takenWords(comment.at)].filter(Boolean).join(', ')}
        {settled && (
          <>
            {' '}
            · <strong>Settled</strong> by {comment.settledBy ?? 'nobody named'}, {takenWords(comment.settledAt)}
            {comment.reply !== undefined && <>: {comment.reply}</>}
          </>
        )}
      </Notice>
      {!settled && (
        <>
          <TextInput
            label="What was done about it, or why it stands"
            lines
            rows={2}
            value={reply ?? ''}
            maxLength={1000}
            onChange={(typed) => {
              put({ reply: typed });
            }}
          />
          <Row>
            <Button
              isDisabled={me.role === 'office'}
              onPress={() => {
                put({ settledBy: me.name, settledAt: new Date().toISOString() });
              }}
            >
              <Check size={18} aria-hidden /> Mark it settled
            </Button>
          </Row>
        </>
      )}
    </Stack>
  );
}
