import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { ChipDrawing, sides } from '../drawing/ChipDrawing';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { quantity } from '../typed/quantity';
import { ChipForm } from './ChipForm';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { MeterInput } from './meter';
import { useTyped } from './useTyped';

type Level = NonNullable<Schemas['PinRead']['state']>;
type Rule = Schemas['LogicAsked']['rule'];

const RULES: Record<Rule, string> = { BENCH: 'bench rule', DATASHEET: 'data sheet' };
const STATES: Record<string, Level> = { h: 'HIGH', l: 'LOW', n: 'NOISY', b: 'BETWEEN' };

/** Volts, or a letter for what a probe shows; two letters for what it shows first and then, on request: "lh". */
function read(typed: string): Schemas['PinRead'] | undefined {
  const [first = '', second = ''] = typed.trim().toLowerCase().split('');
  const [state, then] = [STATES[first], STATES[second]];
  if (state && typed.trim().length === 1) {
    return { state };
  }
  if (state && then && typed.trim().length === 2) {
    return { state, then };
  }
  const volts = quantity(typed, 'V');
  return volts === undefined ? undefined : { volts };
}

const BLANK = { chip: '', rule: 'BENCH' as Rule, supply: '5', sure: '', pins: {} as Record<number, string> };
/** A made-up chip of a sick unit: the second of its four gates is stuck low. */
const SICK = {
  ...BLANK,
  chip: '74LS32',
  pins: {
    14: '5.03',
    7: '0.0',
    1: '3.41',
    2: '0.18',
    3: '3.52',
    4: '3.38',
    5: '0.21',
    6: '0.31',
    9: '0.19',
    10: 'n',
    8: '0.24',
  } as Record<number, string>,
};

export function LogicPage() {
  const [said, say, set] = useTyped('logic', BLANK);
  const [adding, setAdding] = useState(false);
  const { chip, rule, pins } = said;
  const known = Object.fromEntries(
    Object.entries(pins).flatMap(([pin, typed]) => {
      const one = read(typed);
      return one ? [[pin, one]] : [];
    }),
  );
  const asked =
    chip.trim().length > 1
      ? {
          chip,
          rule,
          supply: quantity(said.supply, 'V'),
          pins: known,
          uncertaintyVolts: quantity(said.sure, 'V'),
        }
      : undefined;
  const query = useGauge('logic', asked, () =>
    answer(api.POST('/api/gauges/logic', { body: asked as Schemas['LogicAsked'] })),
  );
  const on = query.data?.chip;
  const [left, right] = sides(on?.pins ?? 14);
  const field = (pin: number) => (
    <MeterInput
      key={pin}
      label={`Pin ${pin}`}
      metered={{ fn: 'VOLTS_DC', at: `logic/${pin}` }}
      value={pins[pin] ?? ''}
      placeholder={pin === (on?.ground ?? 7) ? 'gnd' : pin === (on?.supply ?? 14) ? 'supply' : 'V h l n'}
      w="92px"
      minH="34px"
      set={(typed) => say((now) => ({ ...now, pins: { ...now.pins, [pin]: typed } }))}
    />
  );
  return (
    <Gauge
      name="logic"
      metered
      asked={asked}
      typed={said}
      query={query}
      example={() => say(SICK)}
      clear={() => say(BLANK)}
      lay={(known) =>
        'good' in known && say({ ...BLANK, chip: String(known.good.read.typed.chip ?? ''), pins: {} })
      }
      toRead={() => say({ ...SICK, pins: {} })}
      fields={
        <>
          <Text
            label="Chip"
            value={chip}
            placeholder="74LS32"
            problem={problemOf(query, 'chip')}
            onChange={(event) => set('chip')(event.target.value)}
          />
          <Box my="6px" display="flex" gap="8px" alignItems="center" flexWrap="wrap">
            <OneOf label="Levels by" words={RULES} picked={rule} pick={(one) => one && set('rule')(one)} />
            <Act look="quiet" minH="30px" aria-expanded={adding} onClick={() => setAdding(!adding)}>
              another chip
            </Act>
          </Box>
          {adding && (
            <ChipForm
              done={(number) => {
                setAdding(false);
                set('chip')(`74${number}`);
              }}
            />
          )}
          <Measure
            label="supply"
            unit="V"
            value={said.supply}
            set={set('supply')}
            problem={problemOf(query, 'supply')}
          />
          <Measure
            label="meter known to ±"
            unit="V"
            value={said.sure}
            set={set('sure')}
            problem={problemOf(query, 'uncertaintyVolts')}
          />
          <Box color="muted" fontSize="sm">
            Type the volts of each pin, or h, l, n for high, low, noisy; lh for low, then high on request.
            What is not read stays open.
          </Box>
          {/* Down the left side and up the right one, as the pins are counted: so goes Enter. */}
          <Box
            display="grid"
            gridAutoFlow="column"
            gridTemplateRows={`repeat(${left.length}, auto)`}
            gridTemplateColumns="20px 92px 1fr 92px 20px"
            gap="4px"
            mt="6px"
            alignItems="center"
          >
            {left.map((pin) => (
              <span key={pin}>{pin}</span>
            ))}
            {left.map(field)}
            {left.map((pin) => (
              <span key={`between ${pin}`} />
            ))}
            {upwards(right).map((pin) => (
              <Box key={pin} gridColumn={4} gridRow={right.indexOf(pin) + 1}>
                {field(pin)}
              </Box>
            ))}
            {right.map((pin, row) => (
              <Box as="span" key={pin} gridColumn={5} gridRow={row + 1}>
                {pin}
              </Box>
            ))}
          </Box>
        </>
      }
    >
      {(now) => (
        <Box display="grid" gridTemplateColumns="330px 1fr" gap="24px">
          <ChipDrawing found={now} />
          <Box>
            <Box fontSize="xl" mb="6px">
              <VerdictOf
                verdict={now.verdict === 'SUSPECT' ? 'BAD' : now.verdict}
                words={{ GOOD: 'good', SUSPECT: 'suspect', CAN_NOT_SAY: 'cannot say' }[now.verdict]}
              />{' '}
              {chip.toUpperCase()}: {kinds(now.chip)}
              {now.chip.openCollector && ', open collector'}
            </Box>
            <Reasons reasons={now.reasons} />
            {now.gates.map((gate) => (
              <Box key={gate.gate.output} borderTop="1px solid" borderColor="line" py="4px" fontSize="sm">
                <VerdictOf verdict={gate.verdict} />{' '}
                <b>
                  {gate.gate.inputs.join(', ')} → {gate.gate.output}
                </b>{' '}
                wants {floor.PinLevel[gate.expected]}, is {floor.PinLevel[gate.found]}. {gate.why}
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </Gauge>
  );
}

/** "4 × nand"; of several kinds each. */
function kinds(chip: Schemas['LogicChip']): string {
  const all = chip.gates.map((gate) => floor.LogicFunction[gate.function ?? chip.function]);
  return [...new Set(all)].map((one) => `${all.filter((other) => other === one).length} × ${one}`).join(', ');
}

function upwards(pins: number[]): number[] {
  return [...pins].reverse();
}
