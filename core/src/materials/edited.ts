/** The lines of a survey with what somebody changed of them: another quantity or item, struck, or added. */
import type { LineEdit } from '../survey/works';
import type { Line } from './line';

/** A line as it stands, beside what the survey says of it. */
export interface StandingLine {
  readonly line: Line;
  /** Null where the survey has no such line: somebody added it, or the survey no longer asks for it. */
  readonly surveySays: Line | null;
  readonly edit: LineEdit | null;
  readonly isStruck: boolean;
}

/** Lines as they stand, those somebody added last. A change to a line that the survey no longer asks for stands as a line of its own, so that nothing goes unseen. */
export function standingLines(lines: readonly Line[], edits: readonly LineEdit[] = []): StandingLine[] {
  const byId = new Map(edits.map((edit) => [edit.id, edit]));
  const asked = new Set(lines.map(({ id }) => id));
  return [
    ...lines.map((line): StandingLine => {
      const edit = byId.get(line.id) ?? null;
      return { line: edit ? changed(line, edit) : line, surveySays: line, edit, isStruck: edit?.struck === true };
    }),
    ...edits
      // Struck from a survey that no longer asks for it, a line is nowhere.
      .filter(
        ({ id, struck, quantity, item, text }) => !asked.has(id) && !struck && (quantity ?? item ?? text) !== undefined,
      )
      .map((edit): StandingLine => ({
        line: {
          id: edit.id,
          kind: 'material',
          item: edit.item ?? null,
          text: edit.text ?? edit.item ?? 'Line without a name',
          unit: 'each',
          quantity: edit.quantity ?? 1,
          from: { station: 'works', says: `Added${edit.by === undefined ? '' : ` by ${edit.by}`}` },
          ...(edit.item === undefined ? { gap: `“${edit.text ?? 'an added line'}” has no item in the list` } : {}),
        },
        surveySays: null,
        edit,
        isStruck: false,
      })),
  ];
}

function changed(line: Line, { quantity, item, text }: LineEdit): Line {
  const { gap, assumes, ...kept } = line;
  const how = quantity === undefined ? {} : { quantity };
  // A quantity typed in place of a missing one closes the gap where the item is known.
  const closes =
    (quantity !== undefined || line.quantity !== null) &&
    (line.kind === 'work' || item !== undefined || line.item !== null);
  const open = gap === undefined || closes ? {} : { gap };
  const still = assumes === undefined || quantity !== undefined ? {} : { assumes };
  if (kept.kind === 'work') return { ...kept, ...how, ...open, ...still, ...(text === undefined ? {} : { text }) };
  return {
    ...kept,
    ...how,
    ...open,
    ...still,
    ...(item === undefined ? {} : { item }),
    ...(text === undefined ? {} : { text }),
  };
}
