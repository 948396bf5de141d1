import { gbDefault } from '../rules/gb-default';
import type { Proposal } from '../survey/proposal';
import type { RcdType } from '../survey/words/words';
import type { TreeNode } from '../tree/supply-tree';
import { upstreamRcdFindings } from './upstream-rcds';

type OwnRcd = NonNullable<Proposal['rcd']>;

const here = { node: { id: 'board', kind: 'board' } } as TreeNode;
const above = (rcdType: RcdType | undefined, residualMa?: number, timeDelayed = false) => ({
  here,
  rcdType,
  residualMa,
  timeDelayed,
});
const found = (before: ReturnType<typeof above>, rcd?: Partial<OwnRcd>) =>
  upstreamRcdFindings([before], { id: 'car', kind: 'vehicle-charger', rcd } as Proposal, gbDefault.circuit).map(
    ({ id, title, remedy }) => ({ id, title, remedy }),
  );

describe('an RCD before a charger’s own', () => {
  it('of type AC is blinded, whatever the charger has', () => {
    for (const rcd of [undefined, { rcdType: 'A' }, { rcdType: 'B', dcDetection: 'yes' }] as const)
      expect(found(above('AC'), rcd)).toEqual([
        {
          id: 'upstream-rcd-blinded',
          title: 'Board: type AC before a charger, whose direct current blinds it.',
          remedy: 'Type A at least, or feed the charger from before it.',
        },
      ]);
  });
  it('of type A or F is blinded by what relies on type B: 60 mA of direct current pass where none of 6 mA is detected', () => {
    for (const type of ['A', 'F'] as const)
      expect(found(above(type), { rcdType: 'B', dcDetection: 'no' })).toEqual([
        {
          id: 'upstream-rcd-blinded',
          title: `Board: type ${type} before a charger that relies on type B: up to 60 mA of direct current blinds it.`,
          remedy: 'Feed the charger from before it, or choose equipment with 6 mA detection.',
        },
      ]);
    // Not known whether it detects is not known to detect.
    expect(found(above('A'), { rcdType: 'B' })).toHaveLength(1);
  });
  it.each<[string, ReturnType<typeof above>, Partial<OwnRcd>]>([
    ['of type A before a charger with 6 mA detection', above('A'), { rcdType: 'B', dcDetection: 'yes' }],
    ['of type A before a charger of type A', above('A'), { rcdType: 'A', dcDetection: 'no' }],
    ['of type B before a charger of type B', above('B'), { rcdType: 'B', dcDetection: 'no' }],
    ['of a type nobody recorded, of which a question is asked', above(undefined), { rcdType: 'B', dcDetection: 'no' }],
    ['of 100 mA before 30 mA', above('A', 100), { rcdType: 'A', residualMa: 30 }],
    ['of 30 mA with a delay', above('A', 30, true), { rcdType: 'A', residualMa: 30 }],
  ])('%s is nothing to say', (_what, before, rcd) => {
    expect(found(before, rcd)).toEqual([]);
  });
  it('as sensitive as its own and without delay may trip first; its own is 30 mA where nobody recorded it', () => {
    for (const rcd of [undefined, { rcdType: 'A', residualMa: 30 }] as const)
      expect(found(above('A', 30), rcd).map(({ id }) => id)).toEqual(['rcds-in-series']);
    expect(found(above('A', 31))).toEqual([]);
  });
});
