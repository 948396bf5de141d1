import { Button } from '../../kit/Button';
import { Row } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';

/** How a building with many supplies is read: a line each, looked for by name, or every part. */
export function FoldBar({
  supplies,
  isUnfolded,
  onUnfold,
  sought,
  onSeek,
}: {
  readonly supplies: number;
  readonly isUnfolded: boolean;
  readonly onUnfold: (to: boolean) => void;
  readonly sought: string;
  readonly onSeek: (text: string) => void;
}) {
  return (
    <Row className="no-print" style={{ alignItems: 'end' }}>
      {!isUnfolded && (
        <span style={{ flex: '1 1 9rem' }}>
          <TextInput label="Search the line-up" type="search" value={sought} onChange={onSeek} />
        </span>
      )}
      <Button
        onPress={() => {
          onUnfold(!isUnfolded);
        }}
      >
        {isUnfolded ? `One line for each of ${supplies} supplies` : 'Show every part'}
      </Button>
    </Row>
  );
}
