import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { colours } from '../theme';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { quantity } from './quantity';

type Level = NonNullable<Schemas['PinRead']['state']>;
type Rule = Schemas['LogicAsked']['rule'];

const RULES: Record<Rule, string> = { BENCH: 'bench rule', DATASHEET: 'data sheet' };
const STATES: Record<string, Level> = { h: 'HIGH', l: 'LOW', n: 'NOISY', b: 'BETWEEN' };
const MARKS: Record<Level, string> = { HIGH: 'H', LOW: 'L', BETWEEN: '–', NOISY: '≈', UNKNOWN: '?' };
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
const LEFT = [1, 2, 3, 4, 5, 6, 7];
const RIGHT = [14, 13, 12, 11, 10, 9, 8];

/** Volts, or a letter for what a probe shows. */
function read(typed: string): Schemas['PinRead'] | undefined {
  const state = STATES[typed.trim().toLowerCase()];
  if (state) {
    return { state };
  }
  const volts = quantity(typed, 'V');
  return volts === undefined ? undefined : { volts };
}

export function LogicPage() {
  const [chip, setChip] = useState('7406');
  const [rule, setRule] = useState<Rule>('BENCH');
  const [pins, setPins] = useState<Record<number, string>>({});
  const known = Object.fromEntries(
    Object.entries(pins).flatMap(([pin, typed]) => {
      const said = read(typed);
      return said ? [[pin, said]] : [];
    }),
  );
  const asked = chip.trim().length > 3 ? { chip, rule, pins: known } : undefined;
  const query = useGauge('logic', asked, () =>
    answer(api.POST('/api/gauges/logic', { body: asked as Schemas['LogicAsked'] })),
  );
  const found = query.data;
  const field = (pin: number) => (
    <chakra.input
      key={pin}
      aria-label={`Pin ${pin}`}
      value={pins[pin] ?? ''}
      placeholder={pin === 7 ? 'gnd' : pin === 14 ? 'supply' : 'V, h, l, n'}
      w="86px"
      minH="34px"
      px="6px"
      fontFamily="mono"
      bg="white"
      border="1px solid"
      borderColor="#8B8771"
      borderRadius="sm"
      onChange={(event) => setPins((now) => ({ ...now, [pin]: event.target.value }))}
    />
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => {
        setChip('74LS00');
        setRule('DATASHEET');
        setPins({
          14: '5.0',
          7: '0.0',
          1: '0.2',
          2: '3.4',
          3: '3.3',
          4: '3.5',
          5: '3.6',
          6: '3.4',
          9: '3.5',
          10: 'n',
          8: '1.4',
        });
      }}
      fields={
        <>
          <Text
            label="Chip"
            value={chip}
            problem={problemOf(query, 'chip')}
            onChange={(event) => setChip(event.target.value)}
          />
          <Box my="6px">
            <OneOf label="Levels by" words={RULES} picked={rule} pick={(one) => one && setRule(one)} />
          </Box>
          <Box color="muted" fontSize="14px">
            Type the volts of each pin, or h, l, n for high, low, noisy. What is not read stays open.
          </Box>
          <Box
            display="grid"
            gridTemplateColumns="20px 86px 1fr 86px 20px"
            gap="4px"
            mt="6px"
            alignItems="center"
          >
            {LEFT.map((pin, row) => [
              <span key={`l${pin}`}>{pin}</span>,
              field(pin),
              <span key={`m${pin}`} />,
              field(RIGHT[row] as number),
              <span key={`r${pin}`}>{RIGHT[row]}</span>,
            ])}
          </Box>
        </>
      }
    >
      {(now) => (
        <Box display="grid" gridTemplateColumns="330px 1fr" gap="24px">
          <Chip found={found ?? now} />
          <Box>
            <Box fontSize="20px" mb="6px">
              <VerdictOf
                verdict={now.verdict === 'SUSPECT' ? 'BAD' : now.verdict}
                words={{ GOOD: 'good', SUSPECT: 'suspect', CAN_NOT_SAY: 'cannot say' }[now.verdict]}
              />{' '}
              74 … {now.chip.number}, {now.chip.function.toLowerCase()}
              {now.chip.openCollector && ', open collector'}
            </Box>
            <Reasons reasons={now.reasons} />
            {now.gates.map((gate) => (
              <Box key={gate.gate.output} borderTop="1px solid" borderColor="line" py="4px" fontSize="14.5px">
                <VerdictOf verdict={gate.verdict} />{' '}
                <b>
                  {gate.gate.inputs.join(', ')} → {gate.gate.output}
                </b>{' '}
                wants {gate.expected.toLowerCase()}, is {gate.found.toLowerCase()}. {gate.why}
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </Gauge>
  );
}

/** The chip from above with its pins, each with its level; the gates inside, bad ones in red. */
function Chip({ found }: { found: Schemas['LogicFound'] }) {
  const y = (row: number) => 40 + row * 52;
  const at = (pin: number): [number, number] => (pin <= 7 ? [60, y(pin - 1)] : [250, y(14 - pin)]);
  const middle = (gate: Schemas['GateRead']) => {
    const all = gate.gate.inputs.map((pin) => at(pin)[1]);
    return all.length > 1
      ? ((all[0] ?? 0) + (all[1] ?? 0)) / 2
      : ((all[0] ?? 0) + at(gate.gate.output)[1]) / 2;
  };
  const level = (pin: number) => found.levels[`${pin}`] as Level | undefined;
  const fill = (one?: Level) =>
    one === 'HIGH' ? colours.brassLight : one === 'LOW' ? colours.chalk : one ? '#C9B18A' : colours.card;
  return (
    <svg
      viewBox="0 0 310 400"
      width="100%"
      role="img"
      aria-label={`Chip ${found.chip.number}: ${found.verdict}`}
    >
      <rect x={70} y={10} width={170} height={376} rx={6} fill={colours.ink} />
      <circle cx={155} cy={12} r={14} fill={colours.paper} />
      {found.gates.map((gate) => {
        const [ox, oy] = at(gate.gate.output);
        const colour =
          gate.verdict === 'BAD'
            ? colours.hazardLight
            : gate.verdict === 'GOOD'
              ? '#8FC9B4'
              : colours.brassLight;
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
            {NEGATED.includes(found.chip.function) && (
              <circle cx={ox < 155 ? 128 : 182} cy={middle(gate) + 21} r={5} fill={colours.ink} />
            )}
            <rect x={ox < 155 ? 112 : 168} y={middle(gate) - 16} width={30} height={32} fill={colours.ink} />
            <Lettering
              x={ox < 155 ? 127 : 183}
              y={middle(gate) + 6}
              textAnchor="middle"
              stroke="none"
              fill={colour}
              size={15}
            >
              {SYMBOLS[found.chip.function]}
            </Lettering>
          </g>
        );
      })}
      {[...LEFT, ...RIGHT].map((pin) => {
        const py = at(pin)[1];
        const left = pin <= 7;
        const one = level(pin);
        return (
          <g key={pin}>
            <rect
              x={left ? 38 : 240}
              y={py - 12}
              width={32}
              height={24}
              rx={2}
              fill={fill(one)}
              stroke={colours.muted}
            />
            <Lettering
              x={left ? 54 : 256}
              y={py + 6}
              textAnchor="middle"
              fill={one === 'LOW' ? 'white' : colours.ink}
              size={16}
              bold
              hand
            >
              {one ? MARKS[one] : ''}
            </Lettering>
            <Lettering x={left ? 26 : 288} y={py + 5} textAnchor="middle" fill={colours.muted} size={13}>
              {pin}
            </Lettering>
          </g>
        );
      })}
    </svg>
  );
}
