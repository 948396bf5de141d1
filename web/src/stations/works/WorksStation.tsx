import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import { nodeName } from '@keen-gauge/core/survey/words/words';
import { FieldGrid } from '../../kit/fields';
import { Panel, Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { Field } from '../../fields/Field';
import { StationFrame } from '../StationFrame';
import { DrillingsPanel } from './DrillingsPanel';
import { HelpPanel } from './HelpPanel';
import { LayingLine } from './LayingLine';
import { RoomsPanel } from './RoomsPanel';

/** What the work itself takes: what the cable is fixed to, what is dug, drilled and cleared, and what the fitter has to know. */
export default function WorksStation() {
  const { survey } = useSurvey();
  const { proposals, supply } = survey;
  const laid = supply.nodes.filter(({ cable }) => cable?.planned);
  const routes = proposals.filter(({ circuit, reuse }) => !reuse?.used && (circuit?.segments ?? []).length > 0);
  const digs =
    laid.some(({ cable }) => cable?.laid === 'buried') ||
    routes.some(({ circuit }) => circuit?.segments?.some((each) => each.laid === 'buried'));
  return (
    <StationFrame station="works" lead="What the place asks of the work: the materials and the hours follow from it.">
      <Panel aria-label="The way of the cable">
        <h2>The way of the cable</h2>
        {routes.length + laid.length === 0 && (
          <p className="quiet">No section of a route is recorded yet: they are entered at Circuit and protection.</p>
        )}
        {routes.map((proposal) => (
          <Stack key={proposal.id}>
            <h3>{equipmentName(proposal)}</h3>
            {(proposal.circuit?.segments ?? []).map((segment, at) => (
              <LayingLine
                key={segment.id}
                name={`Section ${at + 1}`}
                laying={segment}
                path={['proposals', proposal.id, 'circuit', 'segments', segment.id]}
              />
            ))}
          </Stack>
        ))}
        {laid.map((node) => (
          <Stack key={node.id}>
            <h3>{nodeName(node)}</h3>
            <LayingLine name="Its cable" laying={node.cable ?? {}} path={['supply', 'nodes', node.id, 'cable']} />
          </Stack>
        ))}
      </Panel>
      <DrillingsPanel />
      <RoomsPanel />
      <Panel aria-label="Before anybody drills or digs">
        <h2>Before anybody drills or digs</h2>
        <Field path={['works', 'asbestos']} />
        <Field path={['works', 'gasBeside']} />
        {digs && <Field path={['works', 'groundSearched']} />}
      </Panel>
      <Panel aria-label="The visit">
        <h2>The visit</h2>
        <FieldGrid>
          <Field path={['works', 'travelMin']} />
          <Field path={['works', 'powerOffH']} />
          <Field path={['works', 'contact']} few />
        </FieldGrid>
        <Field path={['works', 'promised']} few />
      </Panel>
      <HelpPanel />
    </StationFrame>
  );
}
