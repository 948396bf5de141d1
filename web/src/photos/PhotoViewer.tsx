import { ArrowLeft, ArrowRight, Trash2, X, ZoomIn, ZoomOut } from 'lucide-react';
import { useState } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton } from '../kit/Button';
import { Select } from '../kit/Select';
import { setting } from '../survey/edits';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { BoundText } from '../stations/bound';
import { MarkTools, type Tool } from './MarkTools';
import { MarkSheet } from './MarkSheet';
import { subjectKey, subjectOptions } from './subjects';
import { takenWords } from './taken-words';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  background: var(--ground);
`;

const Whole = styled(Modal)`
  height: 100%;
`;

const Inner = styled(Dialog)`
  height: 100%;
  outline: none;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr) 20rem;
  @media (max-width: 52rem) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto;
  }
`;

const Top = styled.div`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.2rem;
  padding: 0.2rem 0.6rem;
  background: var(--surface);
  border-bottom: 1px solid var(--line);
`;

const Stage = styled.div`
  overflow: auto;
  background: #15181a;
  display: grid;
  touch-action: pan-x pan-y;
`;

const Side = styled.div`
  overflow: auto;
  background: var(--surface);
  border-left: 1px solid var(--line);
  padding: 0.8rem 1rem;
  display: grid;
  gap: 0.8rem;
  align-content: start;
  @media (max-width: 52rem) {
    max-height: 42vh;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
`;

const ZOOMS = [1, 1.5, 2, 3, 4, 6];

/** A photograph over the whole screen: near and far, marks put on and taken off, its caption and what it shows. */
export function PhotoViewer({
  photoId,
  among,
  onGo,
  onClose,
}: {
  readonly photoId: string | null;
  readonly among: readonly string[];
  readonly onGo: (id: string) => void;
  readonly onClose: () => void;
}) {
  const { survey, store } = useSurvey();
  const set = useSet();
  const [zoom, setZoom] = useState(0);
  const [tool, setTool] = useState<Tool>(null);
  const photo = survey.photos.find(({ id }) => id === photoId);
  const number = survey.photos.findIndex(({ id }) => id === photoId) + 1;
  const at = among.findIndex((id) => id === photoId);
  const options = subjectOptions(survey);
  const go = (step: number): void => {
    const next = among[at + step];
    setZoom(0);
    setTool(null);
    if (next !== undefined) onGo(next);
  };
  return (
    <Veil
      isOpen={photo !== undefined}
      onOpenChange={(isOpen) => {
        if (!isOpen) onClose();
      }}
    >
      <Whole>
        <Inner>
          <Top>
            <Heading slot="title" level={2} style={{ marginRight: 'auto' }}>
              Photograph {number}
            </Heading>
            <BareButton
              aria-label="Nearer"
              isDisabled={zoom >= ZOOMS.length - 1}
              onPress={() => {
                setZoom(zoom + 1);
              }}
            >
              <ZoomIn size={20} aria-hidden />
            </BareButton>
            <span className="figures" role="status" aria-label="Zoom">
              {Math.round((ZOOMS[zoom] ?? 1) * 100)} %
            </span>
            <BareButton
              aria-label="Farther"
              isDisabled={zoom <= 0}
              onPress={() => {
                setZoom(zoom - 1);
              }}
            >
              <ZoomOut size={20} aria-hidden />
            </BareButton>
            <BareButton
              aria-label="Photograph before"
              isDisabled={at <= 0}
              onPress={() => {
                go(-1);
              }}
            >
              <ArrowLeft size={20} aria-hidden />
            </BareButton>
            <BareButton
              aria-label="Photograph after"
              isDisabled={at < 0 || at >= among.length - 1}
              onPress={() => {
                go(1);
              }}
            >
              <ArrowRight size={20} aria-hidden />
            </BareButton>
            <BareButton aria-label="Close" onPress={onClose}>
              <X size={20} aria-hidden />
            </BareButton>
          </Top>
          {photo && (
            <>
              {/* Keyboard readers scroll what is larger than the stage. */}
              <Stage tabIndex={0} aria-label="The picture">
                <MarkSheet key={photo.id} photo={photo} zoom={ZOOMS[zoom] ?? 1} tool={tool} onMarked={setTool} />
              </Stage>
              <Side>
                <BoundText path={['photos', photo.id, 'caption']} label="Caption" />
                <Select
                  label="What it shows"
                  value={options.find(({ value }) => value === subjectKey(photo))?.value}
                  placeholder="Not said"
                  options={options}
                  onChange={(value) => {
                    const chosen = options.find((option) => option.value === value);
                    store.setAll(
                      setting(['photos', photo.id, 'subject'], chosen?.subject),
                      setting(['photos', photo.id, 'subjectId'], chosen?.subjectId),
                    );
                  }}
                />
                <p className="quiet">
                  {[photo.takenBy, takenWords(photo.takenAt), photo.fileName].filter(Boolean).join(' · ')}
                </p>
                <MarkTools photo={photo} tool={tool} onTool={setTool} />
                <div>
                  <BareButton
                    onPress={() => {
                      set(['photos', photo.id], undefined);
                      onClose();
                    }}
                  >
                    <Trash2 size={18} aria-hidden /> Take out of the survey
                  </BareButton>
                  <p className="quiet" style={{ fontSize: '0.86rem' }}>
                    Undo brings it back.
                  </p>
                </div>
              </Side>
            </>
          )}
        </Inner>
      </Whole>
    </Veil>
  );
}
