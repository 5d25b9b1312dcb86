import type { Schemas } from '../api/client';
import { WOOD } from '../palette';
import { colours } from '../theme';
import { Lettering } from './Lettering';

type Row = Schemas['RackRow'];

const LOOKS = {
  next: { fill: colours.card, edge: colours.ink, width: 2, word: '' },
  waits: { fill: 'url(#waits)', edge: colours.muted, width: 1, word: 'waits' },
  open: { fill: colours.mat, edge: colours.matSurface, width: 1, word: 'open' },
  lent: { fill: 'none', edge: colours.muted, width: 1, word: 'on loan' },
  ready: { fill: colours.waitPaper, edge: colours.muted, width: 1, word: 'ready' },
} as const;

type Look = keyof typeof LOOKS;

function lookOf(row: Row): Look {
  if (row.status.standing === 'ON_LOAN') {
    return 'lent';
  }
  if (row.turn === 'WAITS') {
    return 'waits';
  }
  if (row.turn === 'READY') {
    return 'ready';
  }
  return row.opened ? 'open' : 'next';
}

/** How high each kind of device stands, in pixels: a drive is flat, an all-in-one is not. */
const HEIGHT: Record<Row['kind'], number> = { DRIVE: 52, CONSOLE: 66, PLAYER: 78, COMPUTER: 94, OTHER: 70 };

/** The rack as it stands in the shop: shelves, slots, and what is in them. */
export function RackDrawing({
  slots,
  rows,
  open,
}: {
  slots: Schemas['Slot'][];
  rows: Row[];
  open: (row: Row) => void;
}) {
  const shelves = [...new Set(slots.map((slot) => slot.shelf))];
  const places = Math.max(1, ...slots.map((slot) => slot.place));
  const pitch = 468 / places;
  const shelfHeight = 164;
  const bySlot = new Map(rows.filter((row) => row.slot).map((row) => [row.slot, row]));
  return (
    <svg
      viewBox={`0 0 486 ${shelves.length * shelfHeight + 26}`}
      width="100%"
      role="group"
      aria-label="The rack"
    >
      <defs>
        <pattern id="waits" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={8} height={8} fill={colours.card} />
          <rect width={3} height={8} fill={colours.differs} />
        </pattern>
      </defs>
      {shelves.map((shelf, n) => (
        <g key={shelf} transform={`translate(0 ${n * shelfHeight})`}>
          <Lettering y={24} hand bold size={16} fill={colours.muted}>
            {shelf}
          </Lettering>
          <rect y={138} width={486} height={10} fill={WOOD.board} />
          <rect y={148} width={486} height={2} fill={WOOD.edge} />
          {slots
            .filter((slot) => slot.shelf === shelf)
            .map((slot) => {
              const row = bySlot.get(slot.name);
              const x = 18 + (slot.place - 1) * pitch;
              return row ? (
                <Unit key={slot.name} row={row} x={x} width={pitch - 8} open={open} />
              ) : (
                <Lettering
                  key={slot.name}
                  x={x + pitch / 2}
                  y={132}
                  textAnchor="middle"
                  hand
                  size={12}
                  fill={colours.muted}
                >
                  {slot.name}
                </Lettering>
              );
            })}
        </g>
      ))}
      <Legend y={shelves.length * shelfHeight + 12} />
    </svg>
  );
}

function Unit({ row, x, width, open }: { row: Row; x: number; width: number; open: (row: Row) => void }) {
  const look = LOOKS[lookOf(row)];
  const height = HEIGHT[row.kind];
  const top = 138 - height;
  return (
    <g
      role="link"
      tabIndex={0}
      aria-label={`${row.slot}: ${row.tag}, ${row.model}. ${row.status.words}`}
      style={{ cursor: 'pointer' }}
      onClick={() => open(row)}
      onKeyDown={(event) => event.key === 'Enter' && open(row)}
    >
      <title>{`${row.model}. ${row.status.words}`}</title>
      <rect
        x={x}
        y={top}
        width={width}
        height={height}
        rx={3}
        fill={look.fill}
        stroke={look.edge}
        strokeWidth={look.width}
        strokeDasharray={look === LOOKS.lent ? '5 4' : undefined}
      />
      <g transform={`translate(${x + 4} ${top + 9}) rotate(-1.5)`}>
        <path
          d={`M0 2L3 0H${width - 12}L${width - 8} 3L${width - 10} 11L${width - 8} 21L${width - 13} 20H4L0 22L2 11Z`}
          fill={colours.tape}
          stroke={colours.tapeEdge}
          strokeWidth={0.6}
        />
        <Lettering x={(width - 8) / 2} y={15.5} textAnchor="middle" hand bold size={13} fill={colours.onTape}>
          {row.tag.slice(3)}
        </Lettering>
      </g>
      {row.forNow && look !== LOOKS.lent && (
        <Lettering x={x + width / 2} y={top + 48} textAnchor="middle" size={13} fill={colours.amberInk}>
          for now
        </Lettering>
      )}
      {look.word && (
        <Lettering
          x={x + width / 2}
          y={131}
          textAnchor="middle"
          size={13}
          fill={look === LOOKS.open ? colours.onMat : colours.ink}
        >
          {look.word}
        </Lettering>
      )}
    </g>
  );
}

function Legend({ y }: { y: number }) {
  const words: [Look, string, number][] = [
    ['next', 'can be worked on', 0],
    ['waits', 'waits', 138],
    ['open', 'on a bench', 198],
    ['ready', 'ready to go', 290],
    ['lent', 'on loan', 388],
  ];
  return (
    <g transform={`translate(18 ${y})`}>
      {words.map(([look, word, x]) => (
        <g key={look} transform={`translate(${x} 0)`}>
          <rect
            y={-11}
            width={14}
            height={14}
            fill={LOOKS[look].fill}
            stroke={LOOKS[look].edge}
            strokeWidth={LOOKS[look].width}
            strokeDasharray={look === 'lent' ? '3 2' : undefined}
          />
          <Lettering x={20} size={13} fill={colours.muted}>
            {word}
          </Lettering>
        </g>
      ))}
    </g>
  );
}
