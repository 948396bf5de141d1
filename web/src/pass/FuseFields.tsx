import { Stack } from '../kit/Panel';
import { Field } from '../fields/Field';
import { wordsOf } from '../fields/words-of';

/** Without their pictures, so that rating and evidence fit one card. */
const EVIDENCE = (wordsOf('supply.nodes.evidence')?.options ?? []).map(({ value, label, mark }) => ({
  value,
  label,
  mark,
}));

/** What the fuse is, and how that is known: one without the other settles nothing. */
export function FuseFields({ nodeId = 'cut-out' }: { readonly nodeId?: string | undefined }) {
  const path = ['supply', 'nodes', nodeId] as const;
  return (
    <Stack>
      <Field path={[...path, 'ratingA']} label="Fuse rating, each phase" usual={[60, 80, 100]} />
      <Field
        path={[...path, 'evidence']}
        label="How do you know the rating?"
        help="Assumed or moulding confirms nothing."
        options={EVIDENCE}
        tile="7.2rem"
      />
    </Stack>
  );
}
