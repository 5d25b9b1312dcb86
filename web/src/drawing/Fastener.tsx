import type { Schemas } from '../api/client';

type Group = Schemas['FastenerGroup'];
type Shape = Schemas['FastenerShape'];

/** Body, edge and light of each finish. */
const FINISH: Record<Group['finish'], [string, string, string]> = {
  BLACK: ['#3A4043', '#0B0D0E', '#98A2A5'],
  SILVER: ['#C9CFD1', '#7F888B', '#F4F7F8'],
  BRASS: ['#D9A441', '#8A5E10', '#F5D998'],
};

/** Space between the head seen from above and the fastener seen from the side, in mm. */
const GAP_MM = 0.9;

/** How wide one fastener is drawn: its head from above, and beside it its side. */
export function fastenerWidthMm(group: Group, shape: Shape): number {
  return shape.headDiameterMm + GAP_MM + shape.headHeightMm + group.lengthMm;
}

/** One fastener to scale, from its data alone: head from above, then head and shaft from the side. */
export function Fastener({
  group,
  shape,
  scale,
  x,
  y,
  turn = 0,
}: {
  group: Group;
  shape: Shape;
  /** pixels per mm */
  scale: number;
  /** left edge and middle, in pixels */
  x: number;
  y: number;
  turn?: number;
}) {
  const [body, edge, light] = FINISH[group.finish];
  const radius = (shape.headDiameterMm * scale) / 2;
  const side = x + (shape.headDiameterMm + GAP_MM) * scale;
  return (
    <g transform={`rotate(${turn} ${x + radius} ${y})`}>
      <g transform={`translate(${x + radius} ${y})`}>
        <Top group={group} radius={radius} body={body} edge={edge} light={light} />
      </g>
      <Side group={group} shape={shape} scale={scale} x={side} y={y} body={body} edge={edge} light={light} />
    </g>
  );
}

/** One fastener as a picture of its own, in a line of text or a list. */
export function FastenerPicture({ group, shape, scale }: { group: Group; shape: Shape; scale: number }) {
  return (
    <svg
      width={fastenerWidthMm(group, shape) * scale + 6}
      height={shape.headDiameterMm * scale + 6}
      aria-hidden="true"
    >
      <Fastener group={group} shape={shape} scale={scale} x={2} y={(shape.headDiameterMm * scale) / 2 + 3} />
    </svg>
  );
}

type Tones = { body: string; edge: string; light: string };

function Top({ group, radius: r, body, edge, light }: { group: Group; radius: number } & Tones) {
  if (group.head === 'CLIP') {
    return (
      <rect x={-r} y={-r * 0.55} width={2 * r} height={r * 1.1} rx={r * 0.3} fill={body} stroke={edge} />
    );
  }
  const shine = `M${-r * 0.72} ${-r * 0.38}A${r * 0.82} ${r * 0.82} 0 0 1 ${r * 0.38} ${-r * 0.72}`;
  return (
    <>
      <circle r={r} fill={body} stroke={edge} />
      <path d={shine} stroke={light} strokeWidth={r * 0.13} fill="none" opacity={0.85} />
      <Recess head={group.head} r={r} edge={edge} light={light} />
    </>
  );
}

function Recess({ head, r, edge, light }: { head: Group['head']; r: number; edge: string; light: string }) {
  switch (head) {
    case 'CROSS':
      return (
        <path
          d={`M${-r * 0.55} 0H${r * 0.55}M0 ${-r * 0.55}V${r * 0.55}`}
          stroke={edge}
          strokeWidth={r * 0.27}
          strokeLinecap="round"
        />
      );
    case 'SLOTTED':
      return <path d={`M${-r * 0.8} 0H${r * 0.8}`} stroke={edge} strokeWidth={r * 0.24} />;
    case 'HEX':
      return <polygon points={star(6, r * 0.56, r * 0.56)} fill={edge} />;
    case 'TRI_WING':
      return (
        <path
          d={[90, 210, 330].map((angle) => `M0 0L${ray(angle, r * 0.62)}`).join('')}
          stroke={edge}
          strokeWidth={r * 0.26}
          strokeLinecap="round"
        />
      );
    case 'RIVET':
      return <circle r={r * 0.34} fill="none" stroke={edge} strokeWidth={r * 0.14} />;
    default:
      return (
        <>
          <polygon points={star(12, r * 0.6, r * 0.37)} fill={edge} stroke={edge} strokeLinejoin="round" />
          {head === 'HEXALOBULAR_SECURITY' && <circle r={r * 0.15} fill={light} />}
        </>
      );
  }
}

function ray(degrees: number, length: number): string {
  const angle = (degrees * Math.PI) / 180;
  return `${Math.cos(angle) * length} ${-Math.sin(angle) * length}`;
}

function star(points: number, outer: number, inner: number): string {
  return Array.from({ length: points }, (_, n) =>
    ray((n * 360) / points, n % 2 ? inner : outer).replace(' ', ','),
  ).join(' ');
}

function Side({
  group,
  shape,
  scale,
  x,
  y,
  body,
  edge,
  light,
}: { group: Group; shape: Shape; scale: number; x: number; y: number } & Tones) {
  const half = (shape.headDiameterMm * scale) / 2;
  const neck = x + shape.headHeightMm * scale;
  const r = (group.diameterMm * scale) / 2;
  const end = neck + group.lengthMm * scale;
  const tip = group.thread === 'TAPPING' ? Math.min(r * 1.9, (end - neck) * 0.4) : Math.min(1.2, r * 0.4);
  const nose = group.thread === 'TAPPING' ? 0 : r - tip;
  const shaft = `M${neck} ${y - r}H${end - tip}L${end} ${y - nose}V${y + nose}L${end - tip} ${y + r}H${neck}Z`;
  const head = `M${neck} ${y - half}Q${x} ${y - half} ${x} ${y}Q${x} ${y + half} ${neck} ${y + half}Z`;
  return (
    <>
      <path d={shaft} fill={body} stroke={edge} />
      <path d={`M${neck} ${y - r * 0.4}H${end - tip}`} stroke={light} strokeWidth={r * 0.3} opacity={0.5} />
      <path
        d={threads(group, shape, scale, neck, end - tip, y, r)}
        stroke={edge}
        strokeWidth={Math.max(0.7, shape.pitchMm * scale * 0.24)}
        fill="none"
      />
      <path d={head} fill={body} stroke={edge} />
    </>
  );
}

/** One slanted line a turn; tapping threads are coarse and stand out of the shaft. */
function threads(
  group: Group,
  shape: Shape,
  scale: number,
  from: number,
  to: number,
  y: number,
  r: number,
): string {
  const pitch = shape.pitchMm * scale;
  if (pitch <= 0) {
    return '';
  }
  const out = group.thread === 'TAPPING' ? r * 1.28 : r;
  let path = '';
  for (let at = from + pitch * 0.8; at < to; at += pitch) {
    path += `M${at} ${y - out}L${at - pitch * 0.45} ${y + out}`;
  }
  return path;
}
