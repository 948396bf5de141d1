import { isSigned, SIGNATURE_FIELD, type Signature } from '@keen-gauge/core/pack/signature';
import { useEffect, useRef, useState } from 'react';
import SignaturePad, { type PointGroup } from 'signature_pad';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { Choice } from '../../kit/Choice';
import { Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';

const Field = styled.canvas`
  width: 100%;
  max-width: ${SIGNATURE_FIELD.width}px;
  aspect-ratio: ${SIGNATURE_FIELD.width} / ${SIGNATURE_FIELD.height};
  border: 1.5px solid var(--strong-line);
  border-bottom-width: 4px;
  border-radius: var(--corner);
  /* Ink on paper in every light. */
  background: #fff;
  touch-action: none;
`;

/** A signature for one pack: the name typed, or drawn with a finger, a pen or the mouse. Null while there is none. */
export function SignatureField({
  name,
  onChange,
}: {
  readonly name: string;
  readonly onChange: (signature: Signature | null) => void;
}) {
  const [kind, setKind] = useState<Signature['kind']>('typed');
  const [typed, setTyped] = useState('');
  return (
    <Stack as="section" aria-label="Signature" style={{ '--gap': '0.5rem' }}>
      <Choice
        label="Sign by"
        tile="8rem"
        value={kind}
        options={[
          { value: 'typed', label: 'Typing' },
          { value: 'drawn', label: 'Drawing' },
        ]}
        onChange={(next) => {
          setKind(next);
          setTyped('');
          onChange(null);
        }}
      />
      {kind === 'typed' ? (
        <div style={{ maxWidth: '22rem' }}>
          <TextInput
            label="Type your name to sign"
            help={`Your own name, as it stands in the firm: ${name}.`}
            value={typed}
            maxLength={100}
            onChange={(next) => {
              setTyped(next);
              const signed: Signature = { kind: 'typed', name: next.trim() };
              onChange(isSigned(signed, name) ? signed : null);
            }}
          />
        </div>
      ) : (
        <DrawnSignature onChange={onChange} />
      )}
    </Stack>
  );
}

function DrawnSignature({ onChange }: { readonly onChange: (signature: Signature | null) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const tell = useRef(onChange);
  useEffect(() => {
    tell.current = onChange;
  }, [onChange]);
  useEffect(() => {
    const field = canvas.current;
    if (!field) return undefined;
    // As many dots as the screen has, so that the line is as fine as the finger.
    const ratio = Math.max(1, window.devicePixelRatio);
    const { width, height } = field.getBoundingClientRect();
    field.width = width * ratio;
    field.height = height * ratio;
    field.getContext('2d')?.scale(ratio, ratio);
    const made = new SignaturePad(field, { penColor: '#17212b' });
    const drawn = (): void => {
      tell.current({ kind: 'drawn', strokes: strokesOf(made.toData(), width) });
    };
    made.addEventListener('endStroke', drawn);
    pad.current = made;
    return () => {
      made.off();
    };
  }, []);
  return (
    <>
      <Field ref={canvas} role="img" aria-label="Draw your signature here" />
      <div>
        <Button
          onPress={() => {
            pad.current?.clear();
            onChange(null);
          }}
        >
          Clear the signature
        </Button>
      </div>
    </>
  );
}

/** What was drawn, in the units of the field, to whole ones: a stroke keeps at most so many points as a pack takes. */
function strokesOf(groups: readonly PointGroup[], width: number): [number, number][][] {
  const scale = SIGNATURE_FIELD.width / width;
  const within = (value: number, most: number): number => Math.min(most, Math.max(0, Math.round(value * scale)));
  return groups.slice(0, 80).map(({ points }) => {
    const step = Math.ceil(points.length / 600);
    return points
      .filter((_point, at) => at % step === 0)
      .map(({ x, y }) => [within(x, SIGNATURE_FIELD.width), within(y, SIGNATURE_FIELD.height)]);
  });
}
