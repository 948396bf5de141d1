import { Id, ListOf, OneOf, Quantity, Reference, RequiredOneOf, Text } from './fields';
import { EVIDENCE, NODE_KINDS, type Evidence, type NodeKind } from './words';

/** One thing between the street and the loads. Its rating is per phase. */
export class SupplyNode {
  @Id() id: string;
  @RequiredOneOf(NODE_KINDS) kind: NodeKind;
  /** The node this one is fed from; only the first node, nearest the street, has none. */
  @Reference() fedFrom?: string;
  @Text(100) label?: string;
  /** For a cut-out: the fuse inside, not the holder. */
  @Quantity('A', 1, 3000) ratingA?: number;
  @OneOf(EVIDENCE) evidence?: Evidence;
  @Text(500) evidenceNote?: string;
  /** Cut-out only: the most the carrier may hold, as moulded on it. */
  @Quantity('A', 1, 3000) holderMaximumA?: number;
}

/** The supply tree, as a list whose members say what feeds them. */
export class Supply {
  @OneOf([1, 3]) phases?: 1 | 3;
  @ListOf(() => SupplyNode, 400) nodes: SupplyNode[] = [];
}
