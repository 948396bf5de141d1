import type { Changed } from '../api/members';
import type { Me } from '../api/me';
import { Choice } from '../kit/Choice';
import { FieldGrid } from '../kit/fields';
import { TextInput } from '../kit/TextInput';
import { ROLE_WORDS } from './role-words';

const ROLES = (['surveyor', 'office', 'supervisor'] as const).map((value: Me['role']) => ({
  value,
  label: ROLE_WORDS[value].name,
  note: ROLE_WORDS[value].may,
}));
const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

/** What somebody of the firm is: name, role, whether they may sign surveys off, and what packs say of them. */
export function MemberForm({ who, onChange }: { readonly who: Changed; readonly onChange: (to: Changed) => void }) {
  return (
    <>
      <FieldGrid>
        <TextInput
          label="Name"
          value={who.name}
          maxLength={100}
          onChange={(name) => {
            onChange({ ...who, name });
          }}
        />
        <TextInput
          label="Registration"
          value={who.registration}
          maxLength={60}
          help="With a competent person scheme. Stands in packs they sign."
          onChange={(registration) => {
            onChange({ ...who, registration });
          }}
        />
      </FieldGrid>
      <Choice
        label="Role"
        value={who.role}
        options={ROLES}
        tile="14rem"
        onChange={(role) => {
          onChange({ ...who, role });
        }}
      />
      <Choice
        label="May sign surveys off"
        value={who.maySignOff ? 'yes' : 'no'}
        options={YES_NO}
        tile="7rem"
        onChange={(answer) => {
          onChange({ ...who, maySignOff: answer === 'yes' });
        }}
      />
    </>
  );
}
