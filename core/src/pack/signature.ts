import { IsIn, registerDecorator } from 'class-validator';
import { Text } from '../survey/fields';

/** The field a signature is drawn in, in its own units: wide and low, as on paper. */
export const SIGNATURE_FIELD = { width: 600, height: 180 } as const;
const MOST_STROKES = 80;
const MOST_POINTS = 600;

/** One line drawn without lifting the pen: points from the upper left of the field. */
export type Stroke = readonly (readonly [number, number])[];

/** How a pack was signed: the name typed, or drawn with a pen or finger. */
export class Signature {
  @IsIn(['typed', 'drawn'], { message: 'typed or drawn' }) kind: 'typed' | 'drawn';
  /** As typed. */
  @Text(100) name?: string;
  @IsStrokes() strokes?: Stroke[];
}

/** A name as it is compared: whatever its case, its spaces and its accents. */
function nameAs(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[\s.’'-]+/g, ' ')
    .trim()
    .toLowerCase();
}

/** Whether there is a signature of this person in it: their own name typed, or a line longer than a dot drawn. */
export function isSigned(signature: Signature, signer: string): boolean {
  if (signature.kind === 'typed') return nameAs(signature.name ?? '') === nameAs(signer) && nameAs(signer) !== '';
  return (signature.strokes ?? []).reduce((points, stroke) => points + stroke.length, 0) >= 5;
}

/** A stroke as the path of an SVG or PDF picture. */
export function strokePath(stroke: Stroke): string {
  return stroke.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join(' ');
}

function IsStrokes(): PropertyDecorator {
  const message = `at most ${MOST_STROKES} lines of at most ${MOST_POINTS} points within ${SIGNATURE_FIELD.width} by ${SIGNATURE_FIELD.height}`;
  return (target, key) => {
    registerDecorator({
      name: 'isStrokes',
      target: target.constructor,
      propertyName: String(key),
      options: { message },
      validator: {
        validate: (value: unknown) => value === undefined || isStrokes(value),
      },
    });
  };
}

function isStrokes(value: unknown): boolean {
  const within = (number: unknown, most: number): boolean =>
    typeof number === 'number' && number >= 0 && number <= most;
  return (
    Array.isArray(value) &&
    value.length > 0 &&
    value.length <= MOST_STROKES &&
    value.every(
      (stroke: unknown) =>
        Array.isArray(stroke) &&
        stroke.length <= MOST_POINTS &&
        stroke.every(
          (point: unknown) =>
            Array.isArray(point) &&
            point.length === 2 &&
            within(point[0], SIGNATURE_FIELD.width) &&
            within(point[1], SIGNATURE_FIELD.height),
        ),
    )
  );
}
