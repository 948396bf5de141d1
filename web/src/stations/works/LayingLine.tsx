import type { Laying } from '@keen-gauge/core/survey/circuit';
import type { Laid } from '@keen-gauge/core/survey/words/words';
import {
  CONTAINMENT_NAMES,
  DIGGER_NAMES,
  GROUND_NAMES,
  SURFACE_NAMES,
} from '@keen-gauge/core/survey/words/works-words';
import { useState } from 'react';
import { LAID_OPTIONS } from '../../fields/cable-words';
import { Field } from '../../fields/Field';
import { FieldGrid } from '../../kit/fields';
import { Stack } from '../../kit/Panel';
import { RecordedLine } from '../../kit/RecordedLine';
import { AskedFields } from '../AsLine';

type Stretch = Laying & { readonly laid?: Laid; readonly lengthM?: number };

/** How one stretch of cable is fixed or dug in: a line that opens. */
export function LayingLine({
  name,
  laying,
  path,
}: {
  readonly name: string;
  readonly laying: Stretch;
  readonly path:
    readonly ['supply', 'nodes', string, 'cable'] | readonly ['proposals', string, 'circuit', 'segments', string];
}) {
  const [isOpen, setOpen] = useState(false);
  const buried = laying.laid === 'buried';
  const title = `${name}: ${stretchWords(laying)}`;
  if (!isOpen)
    return (
      <RecordedLine
        label={title}
        says={layingWords(laying)}
        onPress={() => {
          setOpen(true);
        }}
      />
    );
  return (
    <Stack as="section" aria-label={title}>
      <strong>{title}</strong>
      <AskedFields value={null}>
        <FieldGrid>
          {buried ? (
            <>
              <Field path={[...path, 'ground']} />
              <Field path={[...path, 'dug']} />
              <Field path={[...path, 'containment']} />
            </>
          ) : (
            <>
              <Field path={[...path, 'fixedTo']} />
              <Field path={[...path, 'containment']} />
              <Field path={[...path, 'heightM']} />
            </>
          )}
        </FieldGrid>
      </AskedFields>
    </Stack>
  );
}

function stretchWords({ lengthM, laid }: Stretch): string {
  const way = LAID_OPTIONS.find(({ value }) => value === laid)?.label.toLowerCase();
  return [lengthM === undefined ? 'length not recorded' : `${lengthM} m`, way].filter(Boolean).join(', ');
}

/** What is recorded of how it is fixed or dug in; empty where nothing is. */
export function layingWords({ laid, fixedTo, containment, heightM, ground, dug }: Stretch): string {
  const held = containment && `in ${CONTAINMENT_NAMES[containment].toLowerCase()}`;
  const words =
    laid === 'buried'
      ? [ground && GROUND_NAMES[ground], held, dug && DIGGER_NAMES[dug].toLowerCase()]
      : [fixedTo && SURFACE_NAMES[fixedTo], held, heightM !== undefined && `${heightM} m up`];
  return words.filter(Boolean).join(', ');
}
