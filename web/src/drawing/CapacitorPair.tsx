import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';
import { short } from './short';

/** Both bodies on the board, to one scale, and where the one at hand lies in what would do. */
export function CapacitorPair({
  original,
  candidate,
  found,
}: {
  original: Schemas['Capacitor'];
  candidate?: Schemas['Capacitor'];
  found: Schemas['CapacitorFound'];
}) {
  const bodies = candidate ? [original, candidate] : [original];
  const size = (one: Schemas['Capacitor']) => ({
    wide: one.diameterMm ?? original.diameterMm ?? 10,
    high: one.heightMm ?? original.heightMm ?? 12,
    lead: one.leadMm ?? original.leadMm ?? 5,
  });
  const tallest = Math.max(...bodies.map((one) => size(one).high), 8);
  const widest = Math.max(...bodies.map((one) => Math.max(size(one).wide, size(one).lead)), 8);
  const scale = Math.min(110 / tallest, 130 / widest);
  return (
    <svg
      viewBox="0 0 640 215"
      width="100%"
      style={{ maxWidth: 760 }}
      role="img"
      aria-label={`Capacitor of ${short(original.microfarads)} µF, ${short(original.volts)} V${
        candidate ? ` beside one of ${short(candidate.microfarads)} µF, ${short(candidate.volts)} V` : ''
      }`}
    >
      <rect x={10} y={140} width={330} height={9} fill={colours.mat} />
      {bodies.map((one, n) => (
        <Body key={n === 0 ? 'was' : 'is'} one={one} {...size(one)} scale={scale} x={95 + n * 160} />
      ))}
      {bodies.map((one, n) => (
        <Lettering
          key={n === 0 ? 'was' : 'is'}
          x={95 + n * 160}
          y={196}
          textAnchor="middle"
          fill={colours.ink}
          size={15}
        >
          {n === 0 ? 'was in' : 'at hand'}
          {one.safetyClass ? `, ${one.safetyClass}` : ''}
        </Lettering>
      ))}
      <Range
        y={30}
        name="µF"
        value={candidate?.microfarads}
        was={original.microfarads}
        from={found.microfarads.min}
        to={found.microfarads.max}
      />
      <Range y={90} name="V" value={candidate?.volts} was={original.volts} from={found.leastVolts} />
      {found.leastCelsius !== undefined && (
        <Range
          y={150}
          name="°C"
          value={candidate?.celsius}
          was={found.leastCelsius}
          from={found.leastCelsius}
        />
      )}
    </svg>
  );
}

function Body({
  one,
  wide,
  high,
  lead,
  scale,
  x,
}: {
  one: Schemas['Capacitor'];
  wide: number;
  high: number;
  lead: number;
  scale: number;
  x: number;
}) {
  const [w, h, l] = [wide * scale, high * scale, (lead * scale) / 2];
  const top = 136 - h;
  const round = one.kind === 'ELECTROLYTIC' || one.kind === 'TANTALUM';
  return (
    <g>
      <path
        d={`M${x - l} 130V172M${x + l} 130V172`}
        stroke={colours.muted}
        strokeWidth={3}
        strokeLinecap="round"
      />
      <rect
        x={x - w / 2}
        y={top}
        width={w}
        height={h}
        rx={round ? 8 : 2}
        fill={round ? colours.chalk : colours.tape}
        stroke={colours.ink}
      />
      {one.kind === 'ELECTROLYTIC' && (
        <rect x={x + w / 2 - 11} y={top + 8} width={7} height={Math.max(0, h - 16)} fill={colours.paper} />
      )}
      <Lettering
        x={x}
        y={top + h / 2 - 2}
        textAnchor="middle"
        fill={round ? colours.onMat : colours.onTape}
        size={13}
        bold
      >
        {short(one.microfarads)} µF
      </Lettering>
      <Lettering
        x={x}
        y={top + h / 2 + 14}
        textAnchor="middle"
        fill={round ? colours.onMat : colours.onTape}
        size={13}
      >
        {short(one.volts)} V
      </Lettering>
    </g>
  );
}

/** A bar of what would do; the value at hand on it, the value that was in as a notch. */
function Range({
  y,
  name,
  value,
  was,
  from = 0,
  to,
}: {
  y: number;
  name: string;
  value?: number;
  was: number;
  from?: number;
  to?: number;
}) {
  const far = Math.max(to ?? 0, value ?? 0, was) * 1.25;
  const near = Math.min(from, value ?? from, was) * 0.75;
  const x = (at: number) => 400 + (210 * (at - near)) / (far - near || 1);
  const fits = value === undefined || (value >= from && value <= (to ?? Number.POSITIVE_INFINITY));
  return (
    <g>
      <Lettering x={370} y={y + 12} fill={colours.ink} size={14}>
        {name}
      </Lettering>
      <rect x={400} y={y} width={210} height={14} fill={colours.track} />
      <rect
        x={x(from)}
        y={y}
        width={(to === undefined ? 610 : x(to)) - x(from)}
        height={14}
        fill={colours.matPale}
      />
      <path d={`M${x(was)} ${y - 4}v22`} stroke={colours.ink} strokeWidth={2} />
      {value !== undefined && (
        <path
          d={
            fits
              ? `M${x(value) - 6} ${y + 7}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0`
              : `M${x(value) - 6} ${y + 1}l12 12m0 -12l-12 12`
          }
          fill={fits ? colours.mat : 'none'}
          stroke={fits ? colours.mat : colours.hazard}
          strokeWidth={3}
        />
      )}
      <Lettering x={400} y={y + 31} fill={colours.muted} size={12.5}>
        {to === undefined ? `from ${short(from)} up` : `${short(from)} to ${short(to)}`}
      </Lettering>
    </g>
  );
}
