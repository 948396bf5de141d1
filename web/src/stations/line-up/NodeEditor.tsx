import { Panel, Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { NodeChecks } from './NodeChecks';
import { NodeFields } from './NodeFields';
import { NodeFindings } from './NodeFindings';
import { NodeGuards } from './NodeGuards';
import { NodeShape } from './NodeShape';
import { nodeName } from '@keen-gauge/core/survey/words/words';

/** One node of the line-up where it stands: what is recorded of it, its checks and photographs; in a sheet its place in the tree too, which at a desk is changed under the drawing. */
export function NodeEditor({
  nodeId,
  onChosen,
  plain = false,
}: {
  readonly nodeId: string;
  readonly onChosen: (id: string) => void;
  /** In a sheet that has a frame and a heading already. */
  readonly plain?: boolean;
}) {
  const { survey } = useSurvey();
  const node = survey.supply.nodes.find(({ id }) => id === nodeId);
  if (!node) return null;
  const name = nodeName(node);
  const parts = (
    <>
      <NodeFields node={node} />
      <NodeChecks nodeId={nodeId} />
      <NodeFindings nodeId={nodeId} />
      <NodeGuards nodeId={nodeId} />
      <h3>Photographs</h3>
      <PhotoStrip subject="node" subjectId={nodeId} of={name} />
    </>
  );
  if (plain)
    return (
      <Stack>
        {parts}
        <NodeShape node={node} onChosen={onChosen} heading="h3" />
      </Stack>
    );
  return (
    <Panel aria-label={`Chosen: ${name}`}>
      <h2>{name}</h2>
      {parts}
    </Panel>
  );
}
