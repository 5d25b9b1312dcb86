import { METALS, ON_THE_MAT } from '../palette';
import { colours, onMat } from '../theme';
import { Fastener } from './Fastener';
import { countWords, howMany } from './howMany';
import { Lettering } from './Lettering';
import { type Cell, type Heap, type Lying, layOut, MAT_WIDTH, type Placed } from './matLayout';

/** The cutting mat with everything that is off the unit, drawn from its data to one scale. */
export function Mat({
  heaps,
  height,
  pick,
}: {
  heaps: Heap[];
  /** pixels there are; the scale shrinks to fit, and below the smallest scale the mat grows */
  height: number;
  /** called when something on the mat is pointed at */
  pick?: (lying: Lying, heap: Heap) => void;
}) {
  const layout = layOut(heaps, height);
  const five = layout.scale * 5;
  return (
    <svg
      viewBox={`0 0 ${MAT_WIDTH} ${layout.height}`}
      width="100%"
      role="group"
      aria-label="The mat"
      style={{ ...onMat, display: 'block', minWidth: 480 }}
    >
      <defs>
        <pattern id="grid" width={five} height={five} patternUnits="userSpaceOnUse">
          <path d={`M${five} 0H0V${five}`} fill="none" stroke={colours.matGrid} />
        </pattern>
        <pattern id="gridBold" width={five * 5} height={five * 5} patternUnits="userSpaceOnUse">
          <path d={`M${five * 5} 0H0V${five * 5}`} fill="none" stroke={ON_THE_MAT.bold} strokeWidth={1.4} />
        </pattern>
      </defs>
      <rect width={MAT_WIDTH} height={layout.height} fill={colours.matSurface} />
      <rect width={MAT_WIDTH} height={layout.height} fill="url(#grid)" />
      <rect width={MAT_WIDTH} height={layout.height} fill="url(#gridBold)" />
      <Edge width={MAT_WIDTH} height={layout.height} scale={layout.scale} />
      {layout.cells.map((cell) => (
        <CellDrawing key={cell.heap.key} cell={cell} scale={layout.scale} pick={pick} />
      ))}
      <Ruler x={MAT_WIDTH - EDGE_RIGHT - layout.scale * 15} y={layout.height - 32} scale={layout.scale} />
    </svg>
  );
}

const EDGE_RIGHT = 74;
const EDGE_LINE = 20;

/** The printed edge of a cutting mat: a line with ticks every 5 mm and numbers every 25. */
function Edge({ width, height, scale }: { width: number; height: number; scale: number }) {
  const across = Math.floor((width - 2 * EDGE_LINE) / (scale * 5));
  const down = Math.floor((height - 2 * EDGE_LINE) / (scale * 5));
  const ticks: string[] = [];
  for (let n = 1; n <= across; n++) {
    ticks.push(`M${EDGE_LINE + n * scale * 5} ${EDGE_LINE}v${n % 5 === 0 ? -9 : -4}`);
  }
  for (let n = 1; n <= down; n++) {
    ticks.push(`M${EDGE_LINE} ${EDGE_LINE + n * scale * 5}h${n % 5 === 0 ? -9 : -4}`);
  }
  const numbers = Array.from({ length: Math.floor(across / 5) }, (_, n) => (n + 1) * 25);
  return (
    <g>
      <rect
        x={EDGE_LINE}
        y={EDGE_LINE}
        width={width - 2 * EDGE_LINE}
        height={height - 2 * EDGE_LINE}
        rx={4}
        fill="none"
        stroke={ON_THE_MAT.edge}
        strokeWidth={1.4}
      />
      <path d={ticks.join('')} stroke={ON_THE_MAT.edge} strokeWidth={1} />
      {numbers.map((mm) => (
        <Lettering
          key={mm}
          x={EDGE_LINE + mm * scale + 3}
          y={EDGE_LINE - 7}
          hand
          size={9.5}
          fill={ON_THE_MAT.figures}
        >
          {mm}
        </Lettering>
      ))}
    </g>
  );
}

function Ruler({ x, y, scale }: { x: number; y: number; scale: number }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <path d={`M0 -4V4M0 0H${scale * 15}M${scale * 15} -4V4`} stroke={colours.chalkDust} />
      <Lettering x={scale * 15 + 7} y={4} hand size={12} fill={colours.chalkDust}>
        15 mm
      </Lettering>
    </g>
  );
}

function CellDrawing({
  cell,
  scale,
  pick,
}: {
  cell: Cell;
  scale: number;
  pick?: (lying: Lying, heap: Heap) => void;
}) {
  const { heap, x, y, width, height } = cell;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={5}
        fill={heap.ghost ? ON_THE_MAT.trayAskedFor : colours.matDeep}
        fillOpacity={heap.ghost ? 0.9 : 0.82}
        stroke={heap.ghost ? colours.brassLight : ON_THE_MAT.bold}
        strokeWidth={heap.ghost ? 2 : 1}
        strokeDasharray={heap.ghost ? '7 5' : undefined}
      />
      {!heap.ghost && (
        <>
          {/* Shallow trays: the light falls from above left. */}
          <path
            d={`M${x + 2} ${y + height - 5}V${y + 6}Q${x + 2} ${y + 2} ${x + 6} ${y + 2}H${x + width - 5}`}
            fill="none"
            stroke={ON_THE_MAT.shade}
            strokeWidth={2.4}
          />
          <path
            d={`M${x + 5} ${y + height - 1.5}H${x + width - 6}Q${x + width - 1.5} ${y + height - 1.5} ${x + width - 1.5} ${y + height - 6}V${y + 5}`}
            fill="none"
            stroke={ON_THE_MAT.edge}
            strokeWidth={1.2}
          />
        </>
      )}
      {cell.placed.map((placed) => (
        <Group
          key={placed.lying.thing.id}
          placed={placed}
          heap={heap}
          scale={scale}
          width={width}
          pick={pick}
        />
      ))}
      <Label x={x + 10} y={y - 13} text={heap.label} />
      <Lettering x={x + width - 10} y={y + height - 9} textAnchor="end" size={14} fill={colours.chalkDust}>
        {summary(heap)}
      </Lettering>
    </g>
  );
}

/** What is in the cell, in words: also what a screen reader says of it. */
function summary(heap: Heap): string {
  const all = heap.lying.map(({ thing, count }) => ({ kind: thing.kind, count, counted: thing.counted }));
  return `${countWords(all)}${heap.ghost ? ' to come' : ''}`;
}

function Label({ x, y, text }: { x: number; y: number; text: string }) {
  const shown = text.length > 34 ? `${text.slice(0, 33)}…` : text;
  const wide = shown.length * 8.6 + 22;
  return (
    <g transform={`translate(${x} ${y}) rotate(-0.8)`}>
      <path
        d={`M0 3L4 0L9 3H${wide - 6}L${wide} 0L${wide - 3} 13L${wide} 26L${wide - 5} 24H5L1 27L-1 14Z`}
        fill={colours.tape}
      />
      <Lettering x={11} y={18} hand bold size={14} fill={colours.onTape}>
        {shown}
      </Lettering>
    </g>
  );
}

function Group({
  placed,
  heap,
  scale,
  width,
  pick,
}: {
  placed: Placed;
  heap: Heap;
  scale: number;
  width: number;
  pick?: (lying: Lying, heap: Heap) => void;
}) {
  const { lying, spots, rowHeight } = placed;
  const first = spots[0];
  const last = spots[spots.length - 1];
  if (!first || !last) {
    return null;
  }
  const act = pick && !heap.ghost ? () => pick(lying, heap) : undefined;
  const area = {
    x: first.x - 8,
    y: first.y - rowHeight / 2,
    width: width - 20,
    height: last.y - first.y + rowHeight,
  };
  return (
    <g
      role={act ? 'button' : 'img'}
      tabIndex={act ? 0 : undefined}
      aria-label={`${howMany(lying.thing, lying.count)}${act ? ', in the tray' : ''}`}
      opacity={heap.ghost ? 0.42 : 1}
      style={{ cursor: act ? 'pointer' : undefined }}
      onClick={act}
      onKeyDown={(event) => event.key === 'Enter' && act?.()}
    >
      <rect {...area} fill="transparent" rx={3} />
      {!lying.thing.counted && (
        <Lettering x={first.x + 150} y={first.y + 5} hand size={15} fill={colours.brassLight}>
          how many?
        </Lettering>
      )}
      {spots.map((spot, n) => (
        <One key={n} lying={lying} x={spot.x} y={spot.y} scale={scale} turn={tilt(lying.thing.id, n)} />
      ))}
    </g>
  );
}

/** Nothing lies quite straight on a real mat; the same screw always lies the same way. */
function tilt(id: string, n: number): number {
  let hash = n * 7919;
  for (const letter of id) {
    hash = (hash * 31 + letter.charCodeAt(0)) % 10007;
  }
  return ((hash % 100) / 100 - 0.5) * 8;
}

function One({
  lying,
  x,
  y,
  scale,
  turn,
}: {
  lying: Lying;
  x: number;
  y: number;
  scale: number;
  turn: number;
}) {
  const { thing } = lying;
  if (thing.group && thing.shape) {
    return <Fastener group={thing.group} shape={thing.shape} scale={scale} x={x} y={y} turn={turn} />;
  }
  const label = thing.label.length > 18 ? `${thing.label.slice(0, 17)}…` : thing.label;
  return (
    <g transform={`translate(${x} ${y - 14})`}>
      {thing.kind === 'CONNECTOR' ? <Plug /> : <Piece />}
      <Lettering y={34} size={14} fill={colours.bone}>
        {label}
      </Lettering>
    </g>
  );
}

/** A plug with the mark on its first wire. */
function Plug() {
  return (
    <g transform="translate(0 -8)">
      <rect width={50} height={18} rx={3} fill={colours.bone} stroke={ON_THE_MAT.plugEdge} />
      {[0, 1, 2, 3, 4].map((n) => (
        <path
          key={n}
          d={`M${9 + n * 8} 18V29`}
          stroke={n === 0 ? colours.hazardLight : ON_THE_MAT.wire}
          strokeWidth={4}
        />
      ))}
    </g>
  );
}

function Piece() {
  const [body, edge] = METALS.SILVER;
  return (
    <g transform="translate(13 6)">
      <circle r={12} fill={body} stroke={edge} />
      <circle r={4.5} fill={colours.matSurface} stroke={edge} />
    </g>
  );
}
