import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { CLAMP_LINKS, type ClampLink } from '@keen-gauge/core/survey/words/circuit-words';
import { PEN_DETECTIONS, type PenDetection } from '@keen-gauge/core/survey/words/earthing-words';
import { RCD_TYPES, type Answer } from '@keen-gauge/core/survey/words/words';
import { useState } from 'react';
import { AnswerRow } from '../kit/AnswerRow';
import { BareButton, MainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Row, Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { EquipmentSiteFields } from './EquipmentSiteFields';
import { readAmperes } from './equipment-words';

const YES_NO: readonly { readonly value: Answer; readonly label: string }[] = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not known' },
];
const CLAMPS = [
  { value: 'none', label: 'None' },
  ...CLAMP_LINKS.map((value) => ({ value, label: value === 'wired' ? 'Wired' : 'Wireless' })),
  { value: 'both', label: 'Either' },
] as const;
const PEN_WORDS: Readonly<Record<PenDetection, string>> = {
  'voltage-window': 'By voltage',
  'measuring-electrode': 'By an electrode',
};

/** A profile being written. Of its lists of amperes what can be read is kept as they are typed. */
export function EquipmentForm({
  draft,
  onChange,
  onSave,
  onLeave,
}: {
  readonly draft: EquipmentProfile;
  readonly onChange: (draft: EquipmentProfile) => void;
  readonly onSave: (profile: EquipmentProfile) => void;
  readonly onLeave: () => void;
}) {
  const [steps, setSteps] = useState((draft.stepsA ?? []).join(', '));
  const [failSafes, setFailSafes] = useState((draft.failSafesA ?? []).join(', '));
  const set = (change: { [K in keyof EquipmentProfile]?: EquipmentProfile[K] | undefined }): void => {
    onChange(plain({ ...draft, ...change }));
  };
  const [stepsA, failSafesA] = [readAmperes(steps), readAmperes(failSafes)];
  const clamps =
    draft.clamps === undefined ? undefined : draft.clamps.length > 1 ? 'both' : (draft.clamps[0] ?? 'none');
  const faulty = 'Amperes, such as 6, 10, 16.';
  return (
    <Stack as="section" aria-label="Equipment being written">
      <FieldGrid>
        <TextInput
          label="Name"
          value={draft.name}
          onChange={(name) => {
            set({ name });
          }}
          maxLength={100}
        />
        <NumberInput
          label="Rated current, each phase"
          unit="A"
          least={1}
          most={1000}
          usual={[16, 32]}
          value={draft.ratedA}
          onChange={(ratedA) => {
            set({ ratedA });
          }}
        />
        <TextInput
          label="Settings"
          help="The currents it can be set to; left empty, any."
          value={steps}
          onChange={(next) => {
            setSteps(next);
            set({ stepsA: amperes(next) });
          }}
          {...(stepsA === null ? { fault: faulty } : {})}
        />
        <TextInput
          label="Fail-safe currents"
          help="What it can drop to when the clamp is lost; 0 stops it. Left empty, not known."
          value={failSafes}
          onChange={(next) => {
            setFailSafes(next);
            set({ failSafesA: amperes(next) });
          }}
          {...(failSafesA === null ? { fault: faulty } : {})}
        />
        <TextInput
          label="Make and model"
          value={draft.makeAndModel ?? ''}
          onChange={(next) => {
            set({ makeAndModel: next === '' ? undefined : next });
          }}
          maxLength={100}
        />
        <TextInput
          label="Register reference"
          value={draft.registerReference ?? ''}
          onChange={(next) => {
            set({ registerReference: next === '' ? undefined : next });
          }}
          maxLength={60}
        />
        <Select
          label="RCD built in"
          value={draft.rcdType ?? 'none'}
          options={[
            { value: 'none', label: 'None, or not known' },
            ...RCD_TYPES.map((value) => ({ value, label: `Type ${value}` })),
          ]}
          onChange={(next) => {
            set({ rcdType: next === 'none' ? undefined : next });
          }}
        />
        <Select
          label="Open PEN detection built in"
          value={draft.penDetection ?? 'none'}
          options={[
            { value: 'none', label: 'None, or not known' },
            ...PEN_DETECTIONS.map((value) => ({ value, label: PEN_WORDS[value] })),
          ]}
          onChange={(next) => {
            set({ penDetection: next === 'none' ? undefined : next });
          }}
        />
      </FieldGrid>
      <Choice
        label="Phases"
        tile="9rem"
        value={draft.phases === undefined ? undefined : String(draft.phases)}
        options={[
          { value: '1', label: 'Single-phase' },
          { value: '3', label: 'Three-phase' },
        ]}
        onChange={(next) => {
          set({ phases: next === '3' ? 3 : 1 });
        }}
      />
      <Choice
        label="How its clamp is joined to it"
        tile="8rem"
        value={clamps}
        options={CLAMPS}
        onChange={(next) => {
          const links: readonly ClampLink[] = next === 'both' ? CLAMP_LINKS : next === 'none' ? [] : [next];
          set({ clamps: [...links] });
        }}
      />
      <AnswerRow
        label="Does it detect 6 mA of direct current?"
        value={draft.dcDetection}
        options={YES_NO}
        onChange={(dcDetection) => {
          set({ dcDetection });
        }}
      />
      <AnswerRow
        label="On the type-tested register?"
        value={draft.typeTested}
        options={YES_NO}
        onChange={(typeTested) => {
          set({ typeTested });
        }}
      />
      <AnswerRow
        label="Can it send power back to the supply?"
        value={draft.canExport}
        options={YES_NO}
        onChange={(canExport) => {
          set({ canExport });
        }}
      />
      <EquipmentSiteFields draft={draft} set={set} />
      <Row>
        <MainButton
          isDisabled={draft.name.trim() === '' || stepsA === null || failSafesA === null}
          onPress={() => {
            onSave({ ...draft, name: draft.name.trim() });
          }}
        >
          Save
        </MainButton>
        <BareButton onPress={onLeave}>Leave it</BareButton>
      </Row>
    </Stack>
  );
}

/** The amperes of a list, where there are any that can be read. */
function amperes(text: string): number[] | undefined {
  const read = readAmperes(text);
  return read?.length ? [...read] : undefined;
}

/** Without the fields that were emptied. */
function plain(draft: { [K in keyof EquipmentProfile]: EquipmentProfile[K] | undefined }): EquipmentProfile {
  return Object.fromEntries(
    Object.entries(draft).filter(([, value]) => value !== undefined),
  ) as unknown as EquipmentProfile;
}
