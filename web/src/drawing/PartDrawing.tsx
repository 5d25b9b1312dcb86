import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Fastener } from './Fastener';

type Lies = Schemas['Lies'];
type Shape = Schemas['PartShape'];

/** What nobody knows the look of lies in a bag. */
const BAG: Shape = { wideMm: 24, highMm: 24, holeMm: 0, count: 0, known: false };

/** Leads and threads stand out of a body by so much, in mm. */
const LEADS = 4;

export function shapeOf(lies: Lies): Shape {
  return lies.shape ?? BAG;
}

/** One part to scale, its upper left corner at x, y; what is out is only its outline. */
export function PartDrawing({ lies, scale, x, y }: { lies: Lies; scale: number; x: number; y: number }) {
  const shape = shapeOf(lies);
  const [w, h] = [shape.wideMm * scale, shape.highMm * scale];
  const out = lies.part.count === 0;
  const edge = out ? colours.amber : colours.ink;
  const dash = out ? '4 3' : shape.known ? undefined : '2 2';
  if (lies.group && lies.fastener && !out) {
    return <Fastener group={lies.group} shape={lies.fastener} scale={scale} x={x} y={y + h / 2} />;
  }
  const look = { stroke: edge, strokeDasharray: dash, fill: out ? 'none' : colours.card };
  switch (lies.part.spec?.kind) {
    case 'BELT': {
      const thick = Math.max(1.5, ((shape.wideMm - shape.holeMm) / 2) * scale);
      return (
        <circle
          cx={x + w / 2}
          cy={y + h / 2}
          r={Math.max(1, w / 2 - thick / 2)}
          fill="none"
          stroke={edge}
          strokeDasharray={dash}
          strokeWidth={out ? 1.5 : thick}
        />
      );
    }
    case 'GEAR':
      return (
        <g transform={`translate(${x + w / 2} ${y + h / 2})`}>
          <path d={teeth(shape.count, w / 2)} {...look} strokeWidth={1.2} />
          <circle r={(shape.holeMm * scale) / 2} fill={colours.paper} stroke={edge} />
        </g>
      );
    case 'ROLLER':
      return (
        <g transform={`translate(${x + w / 2} ${y + h / 2})`}>
          <circle r={w / 2} stroke={edge} strokeDasharray={dash} fill={out ? 'none' : colours.ink} />
          <circle r={(shape.holeMm * scale) / 2} fill={colours.paper} stroke={edge} />
        </g>
      );
    case 'CAPACITOR':
      return (
        <g>
          <path
            d={`M${x + w * 0.3} ${y + h}v${LEADS}M${x + w * 0.7} ${y + h}v${LEADS}`}
            stroke={colours.muted}
            strokeWidth={1.4}
          />
          <rect
            x={x}
            y={y}
            width={w}
            height={h}
            rx={Math.min(3, w / 4)}
            {...look}
            fill={out ? 'none' : colours.chalk}
          />
          {!out && (
            <rect
              x={x}
              y={y + 2}
              width={w * 0.24}
              height={Math.max(0, h - 4)}
              fill={colours.paper}
              opacity={0.6}
            />
          )}
        </g>
      );
    case 'RESISTOR':
    case 'FUSE':
      return (
        <g>
          <path
            d={`M${x - LEADS} ${y + h / 2}H${x}M${x + w} ${y + h / 2}h${LEADS}`}
            stroke={colours.muted}
            strokeWidth={1.4}
          />
          <rect x={x} y={y} width={w} height={h} rx={h / 3} {...look} />
          {!out && (
            <path
              d={
                lies.part.spec.kind === 'FUSE'
                  ? `M${x + w * 0.2} ${y + h / 2}h${w * 0.6}`
                  : `M${x + w * 0.25} ${y}v${h}M${x + w * 0.42} ${y}v${h}M${x + w * 0.6} ${y}v${h}`
              }
              stroke={colours.brass}
              strokeWidth={lies.part.spec.kind === 'FUSE' ? 1 : 2}
            />
          )}
        </g>
      );
    case 'CHIP':
      return (
        <g>
          <path d={pins(shape.count, x, y, w, h)} stroke={colours.muted} strokeWidth={1.6} />
          <rect x={x} y={y} width={w} height={h} rx={1} {...look} fill={out ? 'none' : colours.chipBody} />
          <path d={`M${x} ${y + h / 2 - 2}a2 2 0 0 1 0 4`} fill={colours.muted} />
        </g>
      );
    case 'LAMP':
      return (
        <g>
          <path
            d={`M${x + w * 0.35} ${y + h}v${LEADS}M${x + w * 0.65} ${y + h}v${LEADS}`}
            stroke={colours.muted}
            strokeWidth={1.2}
          />
          <path
            d={`M${x} ${y + h}V${y + w / 2}a${w / 2} ${w / 2} 0 0 1 ${w} 0V${y + h}Z`}
            {...look}
            fill={out ? 'none' : colours.differs}
          />
        </g>
      );
    case 'LEAD':
      return (
        <g>
          <rect x={x} y={y} width={w} height={h} {...look} fill={out ? 'none' : colours.idle} />
          {Array.from(
            { length: Math.min(shape.count, 40) - 1 },
            (_, n) => y + ((n + 1) * h) / shape.count,
          ).map((at) => (
            <path key={at} d={`M${x} ${at}h${w}`} stroke={colours.edge} strokeWidth={0.4} />
          ))}
        </g>
      );
    case 'LENS':
      return (
        <g transform={`translate(${x + w / 2} ${y + h / 2})`}>
          <circle r={w / 2} {...look} />
          <circle r={w / 3.4} fill={out ? 'none' : colours.meterPaper} stroke={edge} />
        </g>
      );
    case 'CONSUMABLE':
      return (
        <g>
          <path
            d={`M${x + w * 0.35} ${y}h${w * 0.3}v${h * 0.2}h${w * 0.25}q${w * 0.1} 0 ${w * 0.1} ${h * 0.1}V${y + h}h${-w}V${y + h * 0.3}q0 ${-h * 0.1} ${w * 0.1} ${-h * 0.1}h${w * 0.25}Z`}
            {...look}
          />
        </g>
      );
    default:
      return <rect x={x} y={y} width={w} height={h} rx={2} {...look} fill={out ? 'none' : colours.bar} />;
  }
}

function teeth(count: number, radius: number): string {
  const n = Math.max(6, Math.min(count, 60));
  let path = '';
  for (let at = 0; at < n * 4; at++) {
    const r = at % 4 < 2 ? radius : radius * (1 - 4.5 / (n + 2));
    const angle = (at * Math.PI) / (2 * n);
    path += `${at ? 'L' : 'M'}${Math.cos(angle) * r} ${Math.sin(angle) * r}`;
  }
  return `${path}Z`;
}

function pins(count: number, x: number, y: number, w: number, h: number): string {
  const row = Math.max(2, Math.floor(count / 2));
  return Array.from({ length: row }, (_, n) => x + ((n + 0.5) * w) / row)
    .map((at) => `M${at} ${y - 3}v3M${at} ${y + h}v3`)
    .join('');
}
