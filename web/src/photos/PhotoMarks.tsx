import type { Photo, PhotoMark } from '@keen-gauge/core/survey/photo';

/** Seen on any picture: light with a dark edge. */
const LINE = { stroke: '#ffd400', fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
const EDGE = { ...LINE, stroke: '#101010' } as const;

/** The marks over a photograph, drawn on a sheet of the picture's own proportions; the picture is not touched. */
export function PhotoMarks({ photo, more = [] }: { readonly photo: Photo; readonly more?: readonly PhotoMark[] }) {
  const [width, height] = [photo.widthPx ?? 400, photo.heightPx ?? 300];
  const marks = [...(photo.marks ?? []), ...more];
  if (marks.length === 0) return null;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
      focusable="false"
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      {marks.map((mark) => (
        <OneMark key={mark.id} mark={mark} width={width} height={height} />
      ))}
    </svg>
  );
}

function OneMark({
  mark,
  width,
  height,
}: {
  readonly mark: PhotoMark;
  readonly width: number;
  readonly height: number;
}) {
  const unit = Math.max(width, height);
  const [x, y] = [mark.x * width, mark.y * height];
  const [toX, toY] = [(mark.toX ?? mark.x) * width, (mark.toY ?? mark.y) * height];
  const thick = unit / 140;
  if (mark.kind === 'ring') {
    const radius = Math.max(unit / 60, Math.hypot(toX - x, toY - y));
    return (
      <>
        <circle cx={x} cy={y} r={radius} {...EDGE} strokeWidth={thick * 2} />
        <circle cx={x} cy={y} r={radius} {...LINE} strokeWidth={thick} />
      </>
    );
  }
  if (mark.kind === 'arrow') {
    const angle = Math.atan2(toY - y, toX - x);
    const barb = (turn: number): string =>
      `${x + (unit / 28) * Math.cos(angle + turn)} ${y + (unit / 28) * Math.sin(angle + turn)}`;
    const d = `M${toX} ${toY}L${x} ${y}M${barb(0.5)}L${x} ${y}L${barb(-0.5)}`;
    return (
      <>
        <path d={d} {...EDGE} strokeWidth={thick * 2} />
        <path d={d} {...LINE} strokeWidth={thick} />
      </>
    );
  }
  return (
    <text
      x={x}
      y={y}
      fontSize={unit / 28}
      fontWeight={700}
      fill="#ffd400"
      stroke="#101010"
      strokeWidth={thick}
      paintOrder="stroke"
      dominantBaseline="middle"
    >
      {mark.text}
    </text>
  );
}
