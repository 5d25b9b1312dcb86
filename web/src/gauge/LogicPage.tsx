import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { ChipDrawing, LEFT, RIGHT } from '../drawing/ChipDrawing';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { quantity } from './quantity';

type Level = NonNullable<Schemas['PinRead']['state']>;
type Rule = Schemas['LogicAsked']['rule'];

const RULES: Record<Rule, string> = { BENCH: 'bench rule', DATASHEET: 'data sheet' };
const STATES: Record<string, Level> = { h: 'HIGH', l: 'LOW', n: 'NOISY', b: 'BETWEEN' };

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
          <ChipDrawing found={found ?? now} />
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
