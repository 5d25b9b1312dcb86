import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { ChainLine } from '../drawing/ChainLine';
import { short } from '../drawing/short';
import { type Signal, type Stage, SIGNALS as WORDS } from '../drawing/signals';
import { Act } from '../parts/Buttons';
import { bareField } from '../parts/Fields';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, Reasons, useGauge, VerdictOf } from './Frame';
import { useTyped } from './useTyped';

const TURN: Record<Signal, Signal> = { UNKNOWN: 'GOOD', GOOD: 'BAD', BAD: 'UNKNOWN' };
/** A bad one is not this chain's fault, and is not asked about. */
const TURN_INPUT: Record<Signal, Signal> = { UNKNOWN: 'GOOD', GOOD: 'UNKNOWN', BAD: 'UNKNOWN' };
const EXAMPLE: Stage[] = [
  { name: 'pick-up', out: 'GOOD', odds: '3', minutes: '4' },
  { name: 'first stage', out: 'UNKNOWN', odds: '1', minutes: '2' },
  { name: 'slicer', out: 'UNKNOWN', odds: '1', minutes: '2' },
  { name: 'decoder', out: 'UNKNOWN', odds: '1', minutes: '1' },
  { name: 'converter', out: 'UNKNOWN', odds: '2', minutes: '1' },
  { name: 'output', out: 'BAD', odds: '1', minutes: '1' },
];

const BLANK: { input: Signal; stages: Stage[] } = {
  input: 'UNKNOWN',
  stages: [
    { name: 'first', out: 'UNKNOWN', odds: '1', minutes: '1' },
    { name: 'last', out: 'BAD', odds: '1', minutes: '1' },
  ],
};

export function ChainPage() {
  const [said, say] = useTyped('chain', BLANK);
  const { stages, input } = said;
  const setStages = (next: Stage[] | ((now: Stage[]) => Stage[])) =>
    say((now) => ({ ...now, stages: typeof next === 'function' ? next(now.stages) : next }));
  const set = (at: number, part: Partial<Stage>) =>
    setStages((now) => now.map((one, n) => (n === at ? { ...one, ...part } : one)));
  const asked = stages.every((one) => one.name.trim())
    ? {
        stages: stages.map((one, at) => ({
          name: one.name,
          in: at === 0 ? input : ('UNKNOWN' as Signal),
          out: one.out,
          priorBad: quantity(one.odds),
          minutes: quantity(one.minutes),
        })),
      }
    : undefined;
  const query = useGauge('chain', asked, () =>
    answer(api.POST('/api/gauges/chain', { body: asked as Schemas['ChainAsked'] })),
  );
  const small = { ...bareField, minH: '36px' };
  return (
    <Gauge
      name="chain"
      asked={asked}
      typed={said}
      query={query}
      lay={(known) =>
        'good' in known &&
        setStages(
          ((known.good.read.typed.stages ?? []) as Stage[]).map((one) => ({
            ...one,
            out: 'UNKNOWN' as Signal,
          })),
        )
      }
      example={() => say({ input: 'GOOD', stages: EXAMPLE })}
      clear={() => say(BLANK)}
      fields={
        <>
          <Box color="muted" fontSize="sm">
            The stages in the order of the signal. Tap what its output shows; odds and minutes to probe move
            the next place.
          </Box>
          <Box display="flex" alignItems="center" justifyContent="space-between" py="4px">
            <span>what goes in</span>
            <Act
              minH="36px"
              w="92px"
              px="6px"
              aria-label={`What goes in: ${WORDS[input]}`}
              onClick={() => say((now) => ({ ...now, input: TURN_INPUT[now.input] }))}
            >
              {WORDS[input]}
            </Act>
          </Box>
          {stages.map((one, at) => (
            <Box
              key={at}
              display="grid"
              gridTemplateColumns="minmax(0, 1fr) 44px 44px 92px"
              gap="4px"
              py="4px"
              borderTop="1px solid"
              borderColor="line"
            >
              <chakra.input
                {...small}
                aria-label={`Stage ${at + 1}`}
                value={one.name}
                onChange={(e) => set(at, { name: e.target.value })}
              />
              <chakra.input
                {...small}
                aria-label={`Odds of ${one.name}`}
                title="odds"
                value={one.odds}
                onChange={(e) => set(at, { odds: e.target.value })}
              />
              <chakra.input
                {...small}
                aria-label={`Minutes to probe ${one.name}`}
                title="minutes"
                value={one.minutes}
                onChange={(e) => set(at, { minutes: e.target.value })}
              />
              <Act
                minH="36px"
                px="6px"
                aria-label={`Output of ${one.name}: ${WORDS[one.out]}`}
                onClick={() => set(at, { out: TURN[one.out] })}
              >
                {WORDS[one.out]}
              </Act>
            </Box>
          ))}
          <Box display="flex" gap="6px" mt="6px">
            <Act
              onClick={() =>
                setStages([
                  ...stages.slice(0, -1),
                  { name: `stage ${stages.length}`, out: 'UNKNOWN', odds: '1', minutes: '1' },
                  ...stages.slice(-1),
                ])
              }
            >
              A stage more
            </Act>
            <Act
              disabled={stages.length < 3}
              onClick={() => setStages([...stages.slice(0, -2), ...stages.slice(-1)])}
            >
              One less
            </Act>
          </Box>
        </>
      }
    >
      {(found) => (
        <>
          <ChainLine stages={stages} found={found} />
          {found.faulty !== undefined ? (
            <Box fontSize="xl">
              {found.faults.length > 1 ? (
                <>
                  <VerdictOf verdict="CAN_NOT_SAY" words="more than one" /> The first is{' '}
                </>
              ) : (
                'It is '
              )}
              <b>{stages[found.faulty]?.name}</b>.
            </Box>
          ) : (
            found.probeAfter !== undefined && (
              <Box display="flex" gap="40px">
                <Figure name="probe next" value={`after ${stages[found.probeAfter]?.name ?? ''}`} />
                <Figure name="about, until it is found" value={`${short(found.expectedMinutes)} min`} />
              </Box>
            )
          )}
          <Reasons reasons={found.reasons} />
        </>
      )}
    </Gauge>
  );
}
