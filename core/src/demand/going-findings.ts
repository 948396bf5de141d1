/** What there is to say of what the work takes away. */
import type { Statement } from '../finding';
import type { Survey } from '../survey/survey';
import { nodeName } from '../survey/words/words';
import { isGoing, staying } from '../tree/going';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, type SupplyTree } from '../tree/supply-tree';
import type { Declared } from './declared';

/** Loads that stay on a circuit that goes, equipment replaced that the operator never heard of, and what a measurement cannot be relieved of. */
export function goingFindings(
  { loads }: Pick<Survey, 'loads'>,
  tree: SupplyTree,
  { whole }: Pick<Declared, 'whole'>,
): Statement[] {
  const going = loads.filter(isGoing);
  const out = tree.nodes.filter(({ node }) => node.goes === true);
  const about = { station: 'loads' } as const;
  return [
    ...staying(loads).flatMap((load): Statement[] => {
      const at = nodeOf(tree, load.nodeId);
      const over = at && out.find((each) => hangsFrom(at, each));
      if (!over || load.nodeId === undefined) return [];
      return [
        {
          ...about,
          id: 'load-loses-circuit',
          grade: 'act',
          on: 'workmanship',
          subjectId: load.id,
          title: `${load.label ?? 'A load'} stays, but ${nodeName(over.node)} it hangs from is taken out.`,
          remedy:
            'Mark it as removed too, or say which circuit it hangs from afterwards. Until then its demand counts.',
          field: 'loads.fate',
        },
      ];
    }),
    ...going
      .filter(({ fate, notified }) => fate === 'replaced' && notified === 'no')
      .map((load): Statement => ({
        ...about,
        id: 'replaced-not-notified',
        grade: 'note',
        on: 'workmanship',
        subjectId: load.id,
        title: `${load.label ?? 'What is replaced'}: the operator was never told of it.`,
        remedy: 'The notice or application names it with what takes its place.',
        field: 'loads.notified',
      })),
    ...(going.length > 0 && Object.keys(whole).length > 0
      ? [
          {
            ...about,
            id: 'measured-includes-going',
            grade: 'note',
            on: 'demand',
            title: 'What goes may have been running while the demand was measured: nothing is taken off for it.',
            remedy: 'Measure again with it switched off, or declare by circuits, to have its part taken off.',
            field: 'declaration.basis',
          } as const,
        ]
      : []),
  ];
}
