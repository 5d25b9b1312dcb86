import { Fastener } from './Fastener';
import { Lettering } from './Lettering';
import { type Heap, layOut, type Placed } from './matLayout';

const WIDTH = 1050;
const HEIGHT = 700;

/** The mat on paper, one landscape page: a cell for each step, with what belongs in it drawn in outline. */
export function PaperMat({ heaps }: { heaps: Heap[] }) {
  const layout = layOut(heaps, HEIGHT, WIDTH, [3, 4]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${layout.height}`}
      width="100%"
      style={{ display: 'block', maxHeight: '182mm' }}
      role="img"
      aria-label="The mat, to be printed"
    >
      {layout.cells.map(({ heap, x, y, width, height, placed }, n) => (
        <g key={heap.key}>
          <rect
            x={x}
            y={y}
            width={width}
            height={height}
            rx={5}
            fill="white"
            stroke="#555"
            strokeWidth={1.4}
          />
          <rect
            x={x + 8}
            y={y - 11}
            width={Math.min(width - 16, label(n + 1, heap.label, width).length * 9.2 + 18)}
            height={24}
            fill="white"
            stroke="#555"
          />
          <Lettering x={x + 16} y={y + 6} hand bold size={15} fill="#111">
            {label(n + 1, heap.label, width)}
          </Lettering>
          {placed.map((one) => (
            <Group key={one.lying.thing.id} placed={one} scale={layout.scale} />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** As much of the name as the cell is wide. */
function label(n: number, name: string, width: number): string {
  const all = `${n}  ${name}`;
  const most = Math.floor((width - 40) / 9.2);
  return all.length > most ? `${all.slice(0, most - 1)}…` : all;
}

function Group({ placed, scale }: { placed: Placed; scale: number }) {
  const { thing } = placed.lying;
  const { group, shape } = thing;
  return (
    <g opacity={0.7}>
      {placed.spots.map((spot, n) =>
        group && shape ? (
          <Fastener key={n} group={group} shape={shape} scale={scale} x={spot.x} y={spot.y} turn={0} />
        ) : (
          <g key={n} transform={`translate(${spot.x} ${spot.y - 8})`}>
            <rect width={16} height={16} rx={thing.kind === 'PIECE' ? 8 : 2} fill="none" stroke="#111" />
            <Lettering x={24} y={13} size={15} fill="#111">
              {thing.label}
            </Lettering>
          </g>
        ),
      )}
    </g>
  );
}
