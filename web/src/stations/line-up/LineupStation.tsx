import type { Finding } from '@keen-gauge/core/finding';
import type { VerdictId } from '@keen-gauge/core/grounds/verdict-ids';
import { foldedLineup } from '@keen-gauge/core/lineup/folded';
import { lineupOf } from '@keen-gauge/core/lineup/layout';
import { lineupUnder } from '@keen-gauge/core/lineup/under';
import { lineupSvg } from '@keen-gauge/core/lineup/svg';
import { supplyDevices } from '@keen-gauge/core/site/supplies';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { FileDown, Printer, Shapes } from 'lucide-react';
import { useCallback, useRef, useState } from 'react';
import styled from 'styled-components';
import { jobNumber } from '../../api/jobs';
import { useMedia } from '../../app/use-media';
import { Button } from '../../kit/Button';
import { Verdicts } from '../../grounds/Grounds';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { saveFile } from '../../kit/save-file';
import { Sheet } from '../../kit/Sheet';
import { LineupView } from '../../lineup/LineupView';
import { ShapeTiles } from '../../lineup/ShapeTiles';
import { useSurvey } from '../../survey/SurveyContext';
import { useArrivalField } from '../arrival';
import { OpenHere } from '../OpenHere';
import { StationFrame } from '../StationFrame';
import { FoldBar } from './FoldBar';
import { NodeEditor } from './NodeEditor';
import { NodeShape } from './NodeShape';
import { waysOf } from './run-as';
import { AS_RECORDED, RunAsSelect } from './RunAsSelect';

const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.25fr);
  gap: 1rem;
  align-items: start;
  @media (max-width: 70rem) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`;

/** Rows of a drawing longer than what is edited beside it. */
const LONG = 12;

/** More supplies than these are folded into a line each. */
const MANY_SUPPLIES = 4;

/** Verdicts that the parts of the line-up are the grounds of. */
const OF_THE_LINE: readonly VerdictId[] = ['fuse', 'intake', 'nodes', 'limiter'];

/** The supply from the street to the boards, drawn live; any part of it is changed where it stands. */
export default function LineupStation() {
  const at = useSurvey();
  const { survey, assessment, job } = at;
  const [runAs, setRunAs] = useState<string>(AS_RECORDED);
  // Reckoned at once only where it is drawn; the choice of ways follows a moment later.
  const way = runAs === AS_RECORDED ? undefined : waysOf(at).find(({ id }) => id === runAs);
  const recorded = lineupOf(survey, assessment);
  const lineup = way
    ? lineupUnder(
        recorded,
        [...way.cells].map(([id, cell]) => ({ id, ...cell })),
      )
    : recorded;
  const arrival = useArrivalField();
  const [chosen, setChosen] = useState(nodeAt(arrival));
  const [shapes, setShapes] = useState(false);
  const [unfolded, setUnfolded] = useState(false);
  const [sought, setSought] = useState('');
  const [editing, setEditing] = useState(chosen !== undefined);
  const [arrivedAt, setArrivedAt] = useState(arrival);
  if (arrivedAt !== arrival) {
    setArrivedAt(arrival);
    const node = nodeAt(arrival);
    if (node !== undefined) {
      setChosen(node);
      setEditing(true);
    }
  }
  const editor = useRef<HTMLDivElement>(null);
  const wide = useMedia('(min-width: 70rem)');
  const present = lineup.rows.some(({ id }) => id === chosen);
  const selected = present ? chosen : (assessment.weakest?.nodeId ?? lineup.rows.at(-1)?.id);
  const selectedNode = survey.supply.nodes.find(({ id }) => id === selected);
  const fresh = survey.supply.nodes.every(({ ratingA, cable }) => ratingA === undefined && cable === undefined);
  const weakest = lineup.rows.find((row) => row.weakest);

  const { show, open } = useChooser(setChosen, setEditing, editor);
  const exportSvg = (): void => {
    const title = `${jobNumber(job.number)} ${job.place}: supply line-up`;
    saveFile(`${jobNumber(job.number)}-line-up.svg`, new Blob([lineupSvg(lineup, title)], { type: 'image/svg+xml' }));
  };

  // A building’s supplies are a line each until one is looked at.
  const supplies = supplyDevices(supplyTree(survey)).map(({ node }) => node.id);
  const canFold = supplies.length > MANY_SUPPLIES;
  const seen = canFold && !unfolded ? foldedLineup(lineup, { at: supplies, selected, sought }) : lineup;

  // Beside a long drawing there is room under what is edited; under a short one there is more.
  const long = seen.rows.length > LONG;
  const below = (
    <>
      <OpenHere station="line-up" onShow={show} />
      <Panel aria-label="What this rests on">
        <h2>What this rests on</h2>
        <Verdicts verdicts={assessment.verdicts.filter(({ id }) => OF_THE_LINE.includes(id))} />
      </Panel>
    </>
  );

  return (
    <StationFrame
      station="line-up"
      openHere={false}
      lead="Everything between the street and the loads, each held against its own rating. The weakest link has the least left, not the lowest rating."
    >
      {fresh && (
        <Panel aria-label="Start from a shape" className="no-print">
          <h2>Start from a shape</h2>
          <ShapeTiles />
        </Panel>
      )}
      {weakest && (
        <p role="status" className="unseen">
          Weakest link: {weakest.name}.
        </p>
      )}
      <Beside>
        <Stack>
          <Panel aria-label="Line-up" style={{ padding: '0.6rem' }}>
            <RunAsSelect value={runAs} onChange={setRunAs} />
            {canFold && (
              <FoldBar
                supplies={supplies.length}
                isUnfolded={unfolded}
                onUnfold={setUnfolded}
                sought={sought}
                onSeek={setSought}
              />
            )}
            {lineup.rows.length === 0 ? (
              <Notice kind="ask" title="Nothing is recorded between the street and the loads. Start from a shape." />
            ) : (
              <LineupView
                lineup={seen}
                selected={selected}
                opensAt={wide ? 'beside' : 'sheet'}
                onSelect={setChosen}
                onOpen={open}
              />
            )}
            {wide && selectedNode && (
              <div className="no-print">
                <NodeShape node={selectedNode} onChosen={setChosen} heading="h2" />
              </div>
            )}
            <Row className="no-print">
              {!fresh && (
                <Button
                  onPress={() => {
                    setShapes(true);
                  }}
                >
                  <Shapes size={18} aria-hidden /> Start from a shape
                </Button>
              )}
              <Button onPress={exportSvg}>
                <FileDown size={18} aria-hidden /> Export SVG
              </Button>
              <Button
                onPress={() => {
                  window.print();
                }}
              >
                <Printer size={18} aria-hidden /> Print
              </Button>
            </Row>
          </Panel>
          {!long && below}
        </Stack>
        {(wide || long) && (
          <Stack className="no-print">
            {wide && selected !== undefined && (
              <div ref={editor} data-node={selected}>
                <NodeEditor key={selected} nodeId={selected} onChosen={setChosen} />
              </div>
            )}
            {long && below}
          </Stack>
        )}
      </Beside>
      {!wide && selected !== undefined && (
        <Sheet
          title={lineup.rows.find(({ id }) => id === selected)?.name ?? 'Node'}
          isOpen={editing}
          onClose={() => {
            setEditing(false);
          }}
        >
          <NodeEditor key={selected} nodeId={selected} onChosen={setChosen} plain />
        </Sheet>
      )}
      <Sheet
        title="Start from a shape"
        isOpen={shapes}
        onClose={() => {
          setShapes(false);
        }}
      >
        <p className="quiet" style={{ marginBottom: '0.7rem' }}>
          What was recorded of parts that stay is kept. Undo brings the old shape back.
        </p>
        <ShapeTiles
          onChosen={() => {
            setShapes(false);
          }}
        />
      </Sheet>
    </StationFrame>
  );
}

/** Ways to choose a node that stay the same from one keystroke to the next, so that lists made with them do too. */
function useChooser(
  setChosen: (id: string | undefined) => void,
  setEditing: (editing: boolean) => void,
  editor: React.RefObject<HTMLDivElement | null>,
) {
  const show = useCallback(
    ({ subjectId }: Finding): void => {
      setChosen(subjectId);
      setEditing(true);
    },
    [setChosen, setEditing],
  );
  const open = useCallback(
    (id: string): void => {
      // On a screen with room the editor stands beside already: Enter, or a second tap, goes into it.
      if (editor.current?.dataset['node'] === id) editor.current.querySelector('input')?.focus();
      setChosen(id);
      setEditing(true);
    },
    [setChosen, setEditing, editor],
  );
  return { show, open };
}

/** The node a link led to, by its path in the survey. */
function nodeAt(field: string | null): string | undefined {
  return /^supply\.nodes\.([^.]+)/.exec(field ?? '')?.[1];
}
