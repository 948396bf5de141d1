import { Text } from 'react-aria-components';
import { FieldFault, FieldHelp } from './fields';

/** What stands under a field: its fault while there is one, otherwise its help. */
export function FieldFoot({
  help,
  fault,
}: {
  readonly help?: string | undefined;
  readonly fault?: string | undefined;
}) {
  if (fault !== undefined)
    return (
      <Text slot="errorMessage">
        <FieldFault>{fault}</FieldFault>
      </Text>
    );
  return help === undefined ? null : (
    <Text slot="description">
      <FieldHelp>{help}</FieldHelp>
    </Text>
  );
}
