import { Select } from '../../kit/Select';
import { useRunAs } from './run-as';

export const AS_RECORDED = 'recorded';

/** Which way of running the charger the line-up is drawn for; nothing while no charger’s rating is known. */
export function RunAsSelect({
  value,
  onChange,
}: {
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  const ways = useRunAs();
  if (ways.length === 0) return null;
  return (
    <div className="no-print" style={{ maxWidth: '22rem' }}>
      <Select
        label="Drawn with the charger run as"
        value={ways.some(({ id }) => id === value) ? value : AS_RECORDED}
        options={[
          { value: AS_RECORDED, label: 'Recorded' },
          ...ways.map(({ id, name, mode }) => ({
            value: id,
            label: `${name}: ${mode.holds === null ? 'not known yet' : mode.holds ? 'OK' : 'fails'}`,
          })),
        ]}
        onChange={onChange}
      />
    </div>
  );
}
