import type { Photo, PhotoMark } from '@keen-gauge/core/survey/photo';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { fullUrl } from '../api/photos';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { freshId } from '../stations/bound';
import type { Tool } from './MarkTools';
import { PhotoMarks } from './PhotoMarks';
import { reach, type Point } from './reach';

const Sheet = styled.div`
  position: relative;
  place-self: center;
  line-height: 0;
  & > img {
    width: 100%;
    height: 100%;
    display: block;
    user-select: none;
  }
`;

/** The picture with its marks. With a tool in hand, pressing marks the spot and dragging draws the arrow or the ring. */
export function MarkSheet({
  photo,
  zoom,
  tool,
  onMarked,
}: {
  readonly photo: Photo;
  readonly zoom: number;
  readonly tool: Tool;
  readonly onMarked: (tool: Tool) => void;
}) {
  const { job } = useSurvey();
  const set = useSet();
  const sheet = useRef<HTMLDivElement>(null);
  const [from, setFrom] = useState<Point | null>(null);
  const [to, setTo] = useState<Point | null>(null);
  const ratio = (photo.widthPx ?? 4) / (photo.heightPx ?? 3);

  const pointOf = (event: React.PointerEvent): Point => {
    const box = sheet.current?.getBoundingClientRect();
    if (!box) return { x: 0, y: 0 };
    const share = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 10_000) / 10_000;
    return { x: share((event.clientX - box.left) / box.width), y: share((event.clientY - box.top) / box.height) };
  };
  const drawn: PhotoMark | null =
    tool && tool.kind !== 'text' && from && to ? { id: 'drawn', kind: tool.kind, ...from, toX: to.x, toY: to.y } : null;

  return (
    <Sheet
      ref={sheet}
      style={{
        width: `calc(min(100vw - 1rem, (100vh - 8rem) * ${ratio}) * ${zoom})`,
        aspectRatio: String(ratio),
        cursor: tool ? 'crosshair' : undefined,
        touchAction: tool ? 'none' : undefined,
        maxWidth: zoom === 1 ? '100%' : undefined,
      }}
      onPointerDown={(event) => {
        if (!tool) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setFrom(pointOf(event));
        setTo(pointOf(event));
      }}
      onPointerMove={(event) => {
        if (from) setTo(pointOf(event));
      }}
      onPointerUp={(event) => {
        if (!tool || !from) return;
        const end = pointOf(event);
        const id = freshId('mark');
        const mark: PhotoMark =
          tool.kind === 'text'
            ? { id, kind: 'text', ...from, text: tool.text }
            : { id, kind: tool.kind, ...from, ...reach(tool.kind, from, end) };
        set(['photos', photo.id, 'marks', id], { ...mark });
        setFrom(null);
        setTo(null);
        onMarked(null);
      }}
    >
      <img src={fullUrl(job.id, photo.id)} alt={photo.caption ?? 'Photograph without a caption'} draggable={false} />
      <PhotoMarks photo={photo} more={drawn ? [drawn] : []} />
    </Sheet>
  );
}
