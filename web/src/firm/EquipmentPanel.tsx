import { USUAL_EQUIPMENT, type EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { putEquipment, useEquipment } from '../api/firm';
import { ServerProblem } from '../api/client';
import { Waiting } from '../app/Waiting';
import { BareButton, Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { useDraft } from './use-draft';
import { EquipmentForm } from './EquipmentForm';
import { profileWords } from './equipment-words';

/** The kinds of charging equipment the firm fits. */
export function EquipmentPanel() {
  const { data, error, mutate } = useEquipment();
  const { draft: editing, change: setEditing, settle } = useDraft<EquipmentProfile | null>('equipment', null);
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (profile: EquipmentProfile): Promise<void> => {
    setProblem(null);
    try {
      await mutate(await putEquipment(profile), false);
      settle(null);
    } catch (failed) {
      setProblem(
        failed instanceof ServerProblem
          ? `${failed.detail} ${failed.faults.map(({ path, expected }) => `${path}: ${expected}`).join('; ')}`
          : 'The server did not answer. Nothing typed is lost.',
      );
    }
  };
  return (
    <Panel aria-label="Charging equipment">
      <h2>Charging equipment</h2>
      {error && !data && <Notice kind="act" title="The equipment could not be loaded." />}
      {!data && !error && <Waiting />}
      {data?.profiles.length === 0 && <p className="quiet">No equipment saved yet. Start from a common type.</p>}
      {data?.profiles.map((profile) => (
        <Row key={profile.id} role="group" aria-label={profile.name}>
          <Stack style={{ '--gap': '0.1rem', marginRight: 'auto' }}>
            <strong>{profile.name}</strong>
            <span className="quiet">
              {profile.retired ? 'No longer offered. ' : ''}
              {profileWords(profile)}
            </span>
          </Stack>
          <BareButton
            aria-label={`Change ${profile.name}`}
            onPress={() => {
              setEditing(profile);
            }}
          >
            Change
          </BareButton>
          <BareButton
            aria-label={`${profile.retired ? 'Offer again' : 'Offer no more'}: ${profile.name}`}
            onPress={() => void put({ ...profile, retired: !profile.retired })}
          >
            {profile.retired ? 'Offer again' : 'Offer no more'}
          </BareButton>
        </Row>
      ))}
      {editing ? (
        <EquipmentForm
          key={editing.id}
          draft={editing}
          onChange={setEditing}
          onSave={(next) => void put(next)}
          onLeave={() => {
            settle(null);
          }}
        />
      ) : (
        <StartFrom onStart={setEditing} />
      )}
      {problem !== null && <Notice kind="act" title={problem} />}
    </Panel>
  );
}

function StartFrom({ onStart }: { readonly onStart: (profile: EquipmentProfile) => void }) {
  const [kind, setKind] = useState(USUAL_EQUIPMENT[0]?.id ?? '');
  return (
    <Row style={{ alignItems: 'end' }}>
      <span style={{ width: 'min(100%, 18rem)' }}>
        <Select
          label="Start from"
          value={kind}
          options={USUAL_EQUIPMENT.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setKind}
        />
      </span>
      <Button
        onPress={() => {
          const usual = USUAL_EQUIPMENT.find(({ id }) => id === kind);
          if (usual) onStart({ ...usual, id: crypto.randomUUID() });
        }}
      >
        <Plus size={18} aria-hidden /> Add equipment
      </Button>
    </Row>
  );
}
