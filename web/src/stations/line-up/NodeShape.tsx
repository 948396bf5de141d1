import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { NODE_KINDS, NODE_NAMES, type NodeKind, nodeName } from '@keen-gauge/core/survey/words/words';
import { addBelow, canRemove, insertAbove, moveTo, placesFor, removeNode, splitInto } from '@keen-gauge/core/tree/edit';
import { ArrowDownToLine, CornerLeftUp, CornerRightDown, Split, Trash2 } from 'lucide-react';
import { Button } from '../../kit/Button';
import { MenuButton } from '../../kit/MenuButton';
import { Row, Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';

const KINDS = NODE_KINDS.map((value) => ({ value, label: NODE_NAMES[value] }));

/** Changing the tree at a node: something added below or before, split in two, moved, removed. Undo takes each back. */
export function NodeShape({
  node,
  onChosen,
  heading: Heading,
}: {
  readonly node: SupplyNode;
  readonly onChosen: (id: string) => void;
  /** One below the heading it stands under. */
  readonly heading: 'h2' | 'h3';
}) {
  const { survey, store } = useSurvey();
  const fresh = (kind: NodeKind): SupplyNode => ({ id: freshId(kind), kind });
  return (
    <Stack as="section" aria-label="Its place in the line-up" style={{ '--gap': '0.5rem' }}>
      <Heading>{nodeName(node)}: its place in the line-up</Heading>
      <Row style={{ '--gap': '0.4rem' }}>
        <MenuButton
          label="Add below"
          icon={<CornerRightDown size={17} aria-hidden />}
          options={KINDS}
          onChoose={(kind) => {
            const added = fresh(kind);
            store.edit(addBelow(survey, node.id, added));
            onChosen(added.id);
          }}
        />
        <MenuButton
          label="Put before"
          icon={<CornerLeftUp size={17} aria-hidden />}
          options={KINDS}
          onChoose={(kind) => {
            const added = fresh(kind);
            store.edit(insertAbove(survey, node.id, added));
            onChosen(added.id);
          }}
        />
        {(node.kind === 'board' || node.kind === 'switch-fuse') && (
          <Button
            onPress={() => {
              const board = fresh('board');
              store.edit(splitInto(survey, node.id, fresh('split-block'), board));
              onChosen(board.id);
            }}
          >
            <Split size={17} aria-hidden /> Split the tails
          </Button>
        )}
        <MenuButton
          label="Move to"
          icon={<ArrowDownToLine size={17} aria-hidden />}
          options={placesFor(survey, node.id).map(({ id, label, kind }) => ({
            value: id,
            label: `Fed from ${nodeName({ label, kind })}`,
          }))}
          onChoose={(parentId) => {
            store.edit(moveTo(survey, node.id, parentId));
          }}
        />
        <Button
          isDisabled={!canRemove(survey, node.id)}
          onPress={() => {
            const heir = node.fedFrom ?? survey.supply.nodes.find(({ fedFrom }) => fedFrom === node.id)?.id;
            store.edit(removeNode(survey, node.id));
            if (heir !== undefined) onChosen(heir);
          }}
        >
          <Trash2 size={17} aria-hidden /> Remove
        </Button>
      </Row>
    </Stack>
  );
}
