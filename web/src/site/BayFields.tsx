import type { SupplyOfSite } from '@keen-gauge/core/site/supplies';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { BoundAnswer, BoundChoice, BoundNumber, BoundSelect, BoundText } from '../stations/bound';
import { useField } from '../survey/use-field';

/** Whose a bay is, and the cable route from its owner’s supply. */
export function BayFields({
  bayId,
  label,
  supplies,
}: {
  readonly bayId: string;
  readonly label: string;
  readonly supplies: readonly SupplyOfSite[];
}) {
  const place = ['pool', 'outlets', bayId] as const;
  const crosses: unknown = useField([...place, 'crosses']);
  return (
    <More label="Owner and cable route" note={`of ${label}`}>
      <FieldGrid>
        <BoundSelect
          path={[...place, 'ownNodeId']}
          label="Owner’s supply"
          options={supplies.map((each) => ({ value: each.nodeId, label: each.label }))}
        />
        <BoundNumber path={[...place, 'ownRouteM']} label="Cable length from there" />
      </FieldGrid>
      <BoundChoice
        path={[...place, 'crosses']}
        label="Cable route crosses"
        options={[
          { value: 'own', label: 'Owner’s property' },
          { value: 'common', label: 'Common parts' },
          { value: 'others', label: 'Someone else’s land' },
        ]}
        tile="10rem"
      />
      {crosses !== undefined && crosses !== 'own' && (
        <>
          <BoundText path={[...place, 'mustAgree']} label="Who must agree" />
          <BoundAnswer path={[...place, 'agreed']} label="Do they agree?" />
        </>
      )}
    </More>
  );
}
