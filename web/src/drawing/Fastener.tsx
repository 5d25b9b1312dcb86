import type { Schemas } from '../api/client';
import { METALS, UNSEEN } from '../palette';

type Group = Schemas['FastenerGroup'];
type Shape = Schemas['FastenerShape'];

type Head = NonNullable<Group['head']>;

/** Space between the head seen from above and the fastener seen from the side, in mm. */
const GAP_MM = 0.9;

/** How wide one fastener is drawn: its head from above, and beside it its side. */
export function fastenerWidthMm(shape: Shape): number {
  return shape.headDiameterMm + (shape.lengthMm > 0 ? GAP_MM + shape.headHeightMm + shape.lengthMm : 0);
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
  const [body, edge, light] = group.finish ? METALS[group.finish] : UNSEEN;
  const radius = (shape.headDiameterMm * scale) / 2;
  const side = x + (shape.headDiameterMm + GAP_MM) * scale;
  return (
    <g transform={`rotate(${turn} ${x + radius} ${y})`}>
      <g transform={`translate(${x + radius} ${y})`}>
        <Top group={group} radius={radius} body={body} edge={edge} light={light} />
      </g>
      {shape.lengthMm > 0 && (
        <Side
          group={group}
          shape={shape}
          scale={scale}
          x={side}
          y={y}
          body={body}
          edge={edge}
          light={light}
        />
      )}
    </g>
  );
}

/** One fastener as a picture of its own, in a line of text or a list. */
export function FastenerPicture({ group, shape, scale }: { group: Group; shape: Shape; scale: number }) {
  return (
    <svg
      width={fastenerWidthMm(shape) * scale + 6}
      height={shape.headDiameterMm * scale + 6}
      aria-hidden="true"
    >
      <Fastener group={group} shape={shape} scale={scale} x={2} y={(shape.headDiameterMm * scale) / 2 + 3} />
    </svg>
  );
}

type Tones = { body: string; edge: string; light: string };

function Top({ group, radius: r, body, edge, light }: { group: Group; radius: number } & Tones) {
  if (group.head && group.head in OTHER) {
    return <Other head={group.head} r={r} body={body} edge={edge} light={light} />;
  }
  const shine = `M${-r * 0.72} ${-r * 0.38}A${r * 0.82} ${r * 0.82} 0 0 1 ${r * 0.38} ${-r * 0.72}`;
  return (
    <>
      <circle r={r} fill={body} stroke={edge} strokeDasharray={group.head ? undefined : '3 3'} />
      <path d={shine} stroke={light} strokeWidth={r * 0.13} fill="none" opacity={0.85} />
      {group.head && <Recess head={group.head} r={r} edge={edge} light={light} />}
    </>
  );
}

/** What holds without being a screw: how wide it is for its height, and how round. */
const OTHER: Partial<Record<Head, [wide: number, high: number, round: number]>> = {
  CLIP: [1, 0.55, 0.3],
  SPRING: [1, 0.4, 0],
  WASHER: [1, 1, 1],
  SOLDER: [1, 0.7, 1],
  GLUE: [1.1, 0.6, 0.9],
  SEAL: [1.2, 0.7, 0.1],
  STICKER: [1.2, 0.8, 0],
  FELT_FOOT: [1, 1, 1],
  RUBBER_FOOT: [1, 1, 0.5],
  CABLE_TIE: [1.2, 0.45, 0.45],
};

function Other({ head, r, body, edge, light }: { head: Head; r: number } & Tones) {
  const [wide, high, round] = OTHER[head] ?? [1, 1, 1];
  const [w, h] = [r * wide, r * high];
  if (head === 'SPRING') {
    const turns = [0, 1, 2, 3, 4, 5].map((n) => `L${-w + (n + 0.5) * (w / 3)} ${n % 2 ? h : -h}`).join('');
    return <path d={`M${-w} 0${turns}L${w} 0`} fill="none" stroke={edge} strokeWidth={r * 0.16} />;
  }
  return (
    <>
      <rect x={-w} y={-h} width={2 * w} height={2 * h} rx={h * round} fill={body} stroke={edge} />
      {(head === 'WASHER' || head === 'CABLE_TIE') && (
        <ellipse rx={w * 0.5} ry={h * 0.5} fill="none" stroke={edge} strokeWidth={r * 0.12} />
      )}
      {(head === 'SEAL' || head === 'STICKER') && (
        <path d={`M${-w * 0.7} 0H${w * 0.7}`} stroke={edge} strokeDasharray="3 2" />
      )}
      {head === 'FELT_FOOT' && <circle r={r * 0.7} fill="none" stroke={light} strokeDasharray="1 2" />}
    </>
  );
}

function Recess({ head, r, edge, light }: { head: Head; r: number; edge: string; light: string }) {
  switch (head) {
    case 'CROSS_SLOTTED':
      return (
        <>
          <path d={`M${-r * 0.9} 0H${r * 0.9}`} stroke={edge} strokeWidth={r * 0.16} />
          <path d={`M0 ${-r * 0.5}V${r * 0.5}`} stroke={edge} strokeWidth={r * 0.27} strokeLinecap="round" />
        </>
      );
    case 'HEX_SLOTTED':
      return (
        <>
          <polygon points={star(6, r * 0.8, r * 0.8)} fill="none" stroke={edge} strokeWidth={r * 0.12} />
          <path d={`M${-r * 0.6} 0H${r * 0.6}`} stroke={edge} strokeWidth={r * 0.2} />
        </>
      );
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
  const r = (shape.diameterMm * scale) / 2;
  const end = neck + shape.lengthMm * scale;
  const tip = group.thread === 'TAPPING' ? Math.min(r * 1.9, (end - neck) * 0.4) : Math.min(1.2, r * 0.4);
  const nose = group.thread === 'TAPPING' ? 0 : r - tip;
  const shaft = `M${neck} ${y - r}H${end - tip}L${end} ${y - nose}V${y + nose}L${end - tip} ${y + r}H${neck}Z`;
  const head = `M${neck} ${y - half}Q${x} ${y - half} ${x} ${y}Q${x} ${y + half} ${neck} ${y + half}Z`;
  const measured = group.lengthMm !== undefined && group.diameterMm !== undefined;
  return (
    <>
      <path d={shaft} fill={body} stroke={edge} strokeDasharray={measured ? undefined : '4 3'} />
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
