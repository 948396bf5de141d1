import type { ComponentChildren } from 'preact';

/** Drawn examples of a good picture: what should be in it, and from how far. Ours, and of no maker’s equipment. */
const LINE = {
  fill: 'none',
  stroke: 'currentColor',
  'stroke-width': 2.5,
  'stroke-linejoin': 'round',
  'stroke-linecap': 'round',
} as const;
const PALE = { ...LINE, 'stroke-width': 1.5, opacity: 0.55 } as const;

/** What the camera should see stands inside the corners. */
function Frame({ x, y, w, h }: { readonly x: number; readonly y: number; readonly w: number; readonly h: number }) {
  const c = 10;
  return (
    <path
      d={`M${x} ${y + c}V${y}H${x + c}M${x + w - c} ${y}H${x + w}V${y + c}M${x + w} ${y + h - c}V${y + h}H${x + w - c}M${x + c} ${y + h}H${x}V${y + h - c}`}
      fill="none"
      stroke="#8a3a0a"
      stroke-width="4"
    />
  );
}

const METER = (
  <>
    <rect x="112" y="26" width="46" height="40" rx="4" {...LINE} />
    <rect x="119" y="33" width="32" height="11" {...LINE} />
    <path d="M122 54h26M122 60h16" {...PALE} />
  </>
);
const HEAD = (
  <>
    <rect x="66" y="62" width="32" height="38" rx="3" {...LINE} />
    <rect x="72" y="70" width="9" height="15" {...LINE} />
    <rect x="84" y="70" width="9" height="15" {...LINE} />
    <path d="M82 100v26M92 62c0-22 6-22 20-22" {...LINE} />
  </>
);
const BOARD = (
  <>
    <rect x="176" y="30" width="66" height="34" rx="3" {...LINE} />
    <path d="M184 40h50M190 44v9M200 44v9M210 44v9M220 44v9M230 44v9" {...LINE} />
    <path d="M158 48h18" {...LINE} />
  </>
);

const SCENES: Readonly<Record<string, ComponentChildren>> = {
  'meter-position': (
    <>
      {METER}
      {HEAD}
      {BOARD}
      <path d="M46 14h214v116H46z" {...PALE} />
      <Frame x={52} y={10} w={202} h={120} />
    </>
  ),
  'cut-out': (
    <>
      {HEAD}
      <Frame x={48} y={44} w={68} h={86} />
      <g opacity=".35">{METER}</g>
    </>
  ),
  'cut-out-label': (
    <>
      <rect x="70" y="20" width="160" height="100" rx="8" {...LINE} />
      <rect x="104" y="46" width="92" height="46" fill="#fff" stroke="currentColor" stroke-width="2.5" />
      <path d="M114 58h70M114 68h50M114 79h60" {...LINE} />
      <Frame x={90} y={34} w={120} h={70} />
    </>
  ),
  meter: (
    <>
      <rect x="84" y="14" width="132" height="112" rx="8" {...LINE} />
      <rect x="104" y="30" width="92" height="30" {...LINE} />
      <path d="M114 38v14M128 38v14M142 38v14M156 38v14M170 38v14M184 38v14" {...LINE} />
      <path d="M104 76h92M104 88h60M104 100h76" {...PALE} />
      <Frame x={76} y={8} w={148} h={124} />
    </>
  ),
  'earth-wire': (
    <>
      {HEAD}
      <path d="M98 84c44 0 36 34 76 34h50" fill="none" stroke="#1b6648" stroke-width="5" />
      <path d="M98 84c44 0 36 34 76 34h50" fill="none" stroke="#e2c33b" stroke-width="2" stroke-dasharray="7 7" />
      <path d="M224 108v20M231 112v12M238 115v6" {...LINE} />
      <Frame x={54} y={46} w={196} h={86} />
    </>
  ),
  'gas-and-water': (
    <>
      <path d="M92 132V66h46M92 132h-12M104 132V78h34" {...LINE} />
      <rect x="138" y="58" width="30" height="28" rx="4" {...LINE} />
      <path d="M214 132V84M226 132V84M206 84h28M220 84V64" {...LINE} />
      <circle cx="220" cy="58" r="7" {...LINE} />
      <Frame x={72} y={40} w={178} h={94} />
    </>
  ),
  board: (
    <>
      <rect x="50" y="30" width="200" height="80" rx="6" {...LINE} />
      <path d="M62 62h176" {...PALE} />
      {[74, 98, 122, 146, 170, 194, 218].map((x) => (
        <g key={x}>
          <rect x={x - 8} y="66" width="16" height="26" {...LINE} />
          <path d={`M${x - 7} 50h14M${x - 7} 55h10`} {...PALE} />
        </g>
      ))}
      <Frame x={40} y={20} w={220} h={100} />
    </>
  ),
  way: (
    <>
      <path d="M30 122h240M46 122V44l70-26 70 26v78" {...LINE} />
      <rect x="66" y="68" width="34" height="20" {...LINE} />
      <path d="M100 78h40v30h74" fill="none" stroke="#8a3a0a" stroke-width="3" stroke-dasharray="8 6" />
      <rect x="214" y="94" width="16" height="26" rx="3" {...LINE} />
    </>
  ),
  parking: (
    <>
      <path d="M20 122h260M40 122V24h70v98" {...LINE} />
      <rect x="112" y="62" width="14" height="24" rx="3" {...LINE} />
      <path d="M150 116h104c0-18-8-22-20-24l-14-20h-40l-16 20c-10 2-14 8-14 24z" {...LINE} />
      <circle cx="174" cy="116" r="10" fill="#fff" stroke="currentColor" stroke-width="2.5" />
      <circle cx="232" cy="116" r="10" fill="#fff" stroke="currentColor" stroke-width="2.5" />
      <path d="M126 74c12 14 10 26 28 28" {...LINE} />
      <Frame x={30} y={14} w={240} h={116} />
    </>
  ),
  bill: (
    <>
      <path d="M84 10h132v120H84z" {...LINE} />
      <path d="M98 26h60M98 36h90" {...PALE} />
      <path d="M98 56h104v44H98z" {...LINE} />
      <text x="104" y="90" font-size="34" font-family="sans-serif" fill="currentColor">
        S
      </text>
      <path d="M134 68h60M134 78h60M134 90h60" {...LINE} />
      <path d="M98 114h80" {...PALE} />
      <Frame x={90} y={48} w={120} h={60} />
    </>
  ),
};

/** The drawn example for a step; nothing where none is needed. */
export function Drawing({ step }: { readonly step: string }) {
  const scene = SCENES[step];
  if (!scene) return null;
  return (
    <svg class="drawing" viewBox="0 0 300 140" aria-hidden="true">
      {scene}
    </svg>
  );
}
