import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';

type Level = NonNullable<Schemas['PinRead']['state']>;

const MARKS: Record<Level, string> = {
  HIGH: 'H',
  LOW: 'L',
  BETWEEN: '–',
  NOISY: '≈',
  UNSURE: '?',
  OUTSIDE: '!',
  UNKNOWN: '?',
};
/** The usual signs of the gates (IEC 60617). */
const SYMBOLS: Record<Schemas['LogicChip']['function'], string> = {
  NAND: '&',
  AND: '&',
  NOR: '≥1',
  OR: '≥1',
  XOR: '=1',
  NOT: '1',
  BUFFER: '1',
};
const NEGATED = ['NAND', 'NOR', 'NOT'];
/** The pins of each side, as they lie seen from above. */
export function sides(pins: number): [number[], number[]] {
  const rows = Array.from({ length: pins / 2 }, (_, row) => row);
  return [rows.map((row) => row + 1), rows.map((row) => pins - row)];
}

/** The chip from above with its pins, each with its level; the gates inside, bad ones in red. */
export function ChipDrawing({ found }: { found: Schemas['LogicFound'] }) {
  const { pins } = found.chip;
  const [left, right] = sides(pins);
  const y = (row: number) => 40 + (row * 312) / (pins / 2 - 1);
  const at = (pin: number): [number, number] => (pin <= pins / 2 ? [60, y(pin - 1)] : [250, y(pins - pin)]);
  const middle = (gate: Schemas['GateRead']) => {
    const all = gate.gate.inputs.map((pin) => at(pin)[1]);
    return all.length > 1
      ? all.reduce((sum, one) => sum + one, 0) / all.length
      : ((all[0] ?? 0) + at(gate.gate.output)[1]) / 2;
  };
  const level = (pin: number) => found.levels[`${pin}`] as Level | undefined;
  const fill = (one?: Level) =>
    one === 'HIGH'
      ? colours.brassLight
      : one === 'LOW'
        ? colours.chalk
        : one === 'OUTSIDE'
          ? colours.hazard
          : one
            ? colours.tape
            : colours.card;
  return (
    <svg
      viewBox="0 0 310 400"
      width="100%"
      role="img"
      aria-label={`Chip ${found.chip.number}: ${found.verdict}`}
    >
      <rect x={70} y={10} width={170} height={376} rx={6} fill={colours.chipBody} />
      <circle cx={155} cy={12} r={14} fill={colours.paper} />
      {found.gates.map((gate) => {
        const [ox, oy] = at(gate.gate.output);
        const colour =
          gate.verdict === 'BAD'
            ? colours.chipBad
            : gate.verdict === 'GOOD'
              ? colours.chipGood
              : colours.tape;
        const does = gate.gate.function ?? found.chip.function;
        const open = gate.verdict === 'CAN_NOT_SAY';
        return (
          <g
            key={gate.gate.output}
            stroke={colour}
            strokeWidth={gate.verdict === 'BAD' ? 5 : 2.5}
            fill="none"
          >
            {gate.gate.inputs.map((pin) => {
              const [ix, iy] = at(pin);
              const left = ix < 155;
              const body =
                (found.chip.gates.find((one) => one.output === gate.gate.output)?.inputs.length ?? 1) > 1;
              return (
                <path
                  key={pin}
                  d={`M${left ? 70 : 240} ${iy}H${left ? 92 : 218}L${left ? 100 : 210} ${body ? (iy + middle(gate)) / 2 : middle(gate)}H${left ? 112 : 198}`}
                />
              );
            })}
            <path
              d={`M${ox < 155 ? 70 : 240} ${oy}H${ox < 155 ? 128 : 182}V${middle(gate)}`}
              strokeDasharray="5 3"
            />
            {NEGATED.includes(does) && (
              <circle cx={ox < 155 ? 128 : 182} cy={middle(gate) + 21} r={5} fill={colours.chipBody} />
            )}
            <rect
              x={ox < 155 ? 112 : 168}
              y={middle(gate) - 16}
              width={30}
              height={32}
              fill={colours.chipBody}
              strokeDasharray={open ? '4 4' : undefined}
            />
            <Lettering
              x={ox < 155 ? 127 : 183}
              y={middle(gate) + 6}
              textAnchor="middle"
              stroke="none"
              fill={colour}
              size={15}
            >
              {open ? '?' : SYMBOLS[does]}
            </Lettering>
          </g>
        );
      })}
      {[...left, ...right].map((pin) => {
        const py = at(pin)[1];
        const onLeft = pin <= pins / 2;
        const one = level(pin);
        // What it goes to on request stands beside what it was.
        const then = found.then[`${pin}`] as Level | undefined;
        return (
          <g key={pin}>
            <rect
              x={onLeft ? 38 : 240}
              y={py - 12}
              width={32}
              height={24}
              rx={2}
              fill={fill(one)}
              stroke={colours.muted}
            />
            <Lettering
              x={onLeft ? 54 : 256}
              y={py + 6}
              textAnchor="middle"
              fill={one === 'LOW' ? colours.field : colours.ink}
              size={16}
              bold
              hand
            >
              {one ? `${MARKS[one]}${then ? MARKS[then] : ''}` : ''}
            </Lettering>
            <Lettering x={onLeft ? 26 : 288} y={py + 5} textAnchor="middle" fill={colours.muted} size={13}>
              {pin}
            </Lettering>
          </g>
        );
      })}
    </svg>
  );
}
