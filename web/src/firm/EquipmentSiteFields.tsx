import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import {
  LOCK_NAMES,
  LOCKS,
  OUTLET_NAMES,
  OUTLETS,
  SURFACE_NAMES,
  SURFACES,
  TALK_NAMES,
  TALKS,
} from '@keen-gauge/core/survey/words/works-words';
import type { Answer } from '@keen-gauge/core/survey/words/words';
import { AnswerRow } from '../kit/AnswerRow';
import { Choice } from '../kit/Choice';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { NumberInput } from '../kit/NumberInput';
import { TextInput } from '../kit/TextInput';
import { TickList } from '../kit/TickRow';

const YES_NO: readonly { readonly value: Answer; readonly label: string }[] = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not known' },
];

const named = <T extends string>(
  values: readonly T[],
  names: Readonly<Record<T, string>>,
): { readonly value: T; readonly label: string }[] => values.map((value) => ({ value, label: names[value] }));

/** Everything of a profile that is answered by yes or no. */
type Asked = {
  [K in keyof EquipmentProfile]-?: Answer extends EquipmentProfile[K] ? K : never;
}[keyof EquipmentProfile];

const USE: readonly (readonly [Asked, string])[] = [
  ['metersForBilling', 'Does its meter do for billing?'],
  ['timesByTariff', 'Does it time charging by the tariff itself?'],
  ['followsGeneration', 'Can it follow generation?'],
  ['clampIncluded', 'Does a clamp come with it?'],
];
const PLACE: readonly (readonly [Asked, string])[] = [
  ['mayHangInSun', 'May it hang in full sun?'],
  ['mayHangInWeather', 'May it hang in rain and wind?'],
  ['mayStandOnPost', 'May it stand on a post?'],
];

type Change = { [K in keyof EquipmentProfile]?: EquipmentProfile[K] | undefined };

/** What a site asks of equipment: how it is used, where it may hang, and what whoever fits it has to know. */
export function EquipmentSiteFields({
  draft,
  set,
}: {
  readonly draft: EquipmentProfile;
  readonly set: (change: Change) => void;
}) {
  const answers = (rows: typeof USE): React.ReactNode =>
    rows.map(([key, label]) => (
      <AnswerRow
        key={key}
        label={label}
        value={draft[key]}
        options={YES_NO}
        onChange={(next) => {
          set({ [key]: next });
        }}
      />
    ));
  return (
    <>
      <More label="Use and network" note="what a customer asks of it">
        <Choice
          label="Lead or socket"
          tile="9rem"
          value={draft.outlet}
          options={named(OUTLETS, OUTLET_NAMES)}
          onChange={(outlet) => {
            set({ outlet });
          }}
        />
        <FieldGrid>
          {draft.outlet === 'tethered' && (
            <Metres label="Length of its lead" of="leadM" most={100} draft={draft} set={set} />
          )}
          <Metres label="Longest wire to its clamp" of="clampReachM" most={1000} draft={draft} set={set} />
        </FieldGrid>
        <TickList
          label="Ways of talking to the network"
          of={named(TALKS, TALK_NAMES)}
          values={draft.talks}
          onChange={(talks) => {
            set({ talks });
          }}
        />
        <TickList
          label="Kept from strangers by"
          of={named(
            LOCKS.filter((each) => each !== 'none'),
            LOCK_NAMES,
          )}
          values={draft.locks}
          onChange={(locks) => {
            set({ locks });
          }}
        />
        {answers(USE)}
      </More>
      <More label="Where it may hang" note="as its maker says; left open, not known">
        {answers(PLACE)}
        <FieldGrid>
          <Metres label="Lowest it may hang" of="leastHeightM" most={10} draft={draft} set={set} />
          <Metres label="Highest it may hang" of="mostHeightM" most={10} draft={draft} set={set} />
        </FieldGrid>
        <TickList
          label="May be fixed to"
          of={named(SURFACES, SURFACE_NAMES)}
          values={draft.fixesTo}
          onChange={(fixesTo) => {
            set({ fixesTo: fixesTo.length === 0 ? undefined : fixesTo });
          }}
        />
      </More>
      <More label="For whoever fits it" note="printed on the crew sheet">
        <FieldGrid>
          <NumberInput
            label="Largest conductor its terminals take"
            unit="mm²"
            least={0.5}
            most={1000}
            value={draft.largestMm2}
            onChange={(largestMm2) => {
              set({ largestMm2 });
            }}
          />
          <NumberInput
            label="Torque of its terminals"
            unit="N·m"
            least={0}
            most={100}
            value={draft.torqueNm}
            onChange={(torqueNm) => {
              set({ torqueNm });
            }}
          />
          <NumberInput
            label="Length to strip"
            unit="mm"
            least={0}
            most={100}
            value={draft.stripMm}
            onChange={(stripMm) => {
              set({ stripMm });
            }}
          />
          <Words label="How conductors are prepared" of="preparation" most={200} draft={draft} set={set} />
          <Words label="Cable entry" of="cableEntry" most={60} draft={draft} set={set} />
          <Words label="How its setting is made" of="settingMade" most={200} draft={draft} set={set} />
        </FieldGrid>
      </More>
    </>
  );
}

interface Part<K> {
  readonly label: string;
  readonly of: K;
  readonly most: number;
  readonly draft: EquipmentProfile;
  readonly set: (change: Change) => void;
}

function Metres({ label, of, most, draft, set }: Part<'leadM' | 'clampReachM' | 'leastHeightM' | 'mostHeightM'>) {
  return (
    <NumberInput
      label={label}
      unit="m"
      least={0}
      most={most}
      value={draft[of]}
      onChange={(next) => {
        set({ [of]: next });
      }}
    />
  );
}

function Words({ label, of, most, draft, set }: Part<'preparation' | 'cableEntry' | 'settingMade'>) {
  return (
    <TextInput
      label={label}
      maxLength={most}
      value={draft[of] ?? ''}
      onChange={(next) => {
        set({ [of]: next === '' ? undefined : next });
      }}
    />
  );
}
