import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { Act } from '../parts/Buttons';
import { colours } from '../theme';
import { Figure, Gauge, Reasons, useGauge } from './Frame';
import { quantity, short } from './quantity';

type Signal = Schemas['ChainStage']['out'];
type Stage = { name: string; out: Signal; odds: string; minutes: string };

const TURN: Record<Signal, Signal> = { UNKNOWN: 'GOOD', GOOD: 'BAD', BAD: 'UNKNOWN' };
const WORDS: Record<Signal, string> = { UNKNOWN: '? open', GOOD: '✓ good', BAD: '✗ bad' };
const EXAMPLE: Stage[] = [
  { name: 'pick-up', out: 'GOOD', odds: '3', minutes: '4' },
  { name: 'first stage', out: 'UNKNOWN', odds: '1', minutes: '2' },
  { name: 'slicer', out: 'UNKNOWN', odds: '1', minutes: '2' },
  { name: 'decoder', out: 'UNKNOWN', odds: '1', minutes: '1' },
  { name: 'converter', out: 'UNKNOWN', odds: '2', minutes: '1' },
  { name: 'output', out: 'BAD', odds: '1', minutes: '1' },
];

export function ChainPage() {
  const [stages, setStages] = useState<Stage[]>([
    { name: 'first', out: 'UNKNOWN', odds: '1', minutes: '1' },
    { name: 'last', out: 'BAD', odds: '1', minutes: '1' },
  ]);
  const set = (at: number, part: Partial<Stage>) =>
    setStages((now) => now.map((one, n) => (n === at ? { ...one, ...part } : one)));
  const asked = stages.every((one) => one.name.trim())
    ? {
        stages: stages.map((one, at) => ({
          name: one.name,
          in: at === 0 ? ('GOOD' as Signal) : ('UNKNOWN' as Signal),
          out: one.out,
          priorBad: quantity(one.odds),
          minutes: quantity(one.minutes),
        })),
      }
    : undefined;
  const query = useGauge('chain', asked, () =>
    answer(api.POST('/api/gauges/chain', { body: asked as Schemas['ChainAsked'] })),
  );
  const small = {
    bg: 'white',
    border: '1px solid',
    borderColor: '#8B8771',
    borderRadius: 'sm',
    px: '5px',
    minH: '36px',
  };
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => setStages(EXAMPLE)}
      fields={
        <>
          <Box color="muted" fontSize="14px">
            The stages in the order of the signal. Tap what its output shows; odds and minutes to probe move
            the next place.
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
          <Line stages={stages} found={found} />
          {found.faulty !== undefined ? (
            <Box fontSize="20px">
              It is <b>{stages[found.faulty]?.name}</b>.
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

/** The chain in rows of six: where the fault may lie is light, and an arrow says where to put the probe. */
function Line({ stages, found }: { stages: Stage[]; found: Schemas['ChainFound'] }) {
  const rows = Math.ceil(stages.length / 6);
  return (
    <svg viewBox={`0 0 840 ${rows * 120}`} width="100%" role="img" aria-label={found.reasons.join(' ')}>
      {stages.map((stage, at) => {
        const x = (at % 6) * 138 + 8;
        const y = Math.floor(at / 6) * 120 + 34;
        const may = at >= found.from && at <= found.to;
        const it = found.faulty === at;
        return (
          <g key={at}>
            <rect
              x={x}
              y={y}
              width={104}
              height={48}
              rx={3}
              fill={it ? '#F1D9D5' : may ? colours.card : '#E4DECF'}
              stroke={it ? colours.hazard : may ? colours.mat : colours.line}
              strokeWidth={it ? 4 : 2}
            />
            <Lettering x={x + 52} y={y + 29} textAnchor="middle" fill={colours.ink} size={14}>
              {stage.name.slice(0, 14)}
            </Lettering>
            <path d={`M${x + 104} ${y + 24}h34`} stroke={colours.ink} strokeWidth={2} />
            <Lettering
              x={x + 121}
              y={y + 16}
              textAnchor="middle"
              fill={stage.out === 'BAD' ? colours.hazard : stage.out === 'GOOD' ? colours.mat : colours.muted}
              size={18}
            >
              {WORDS[stage.out].slice(0, 1)}
            </Lettering>
            {found.probeAfter === at && (
              <>
                <path
                  d={`M${x + 121} ${y + 66}V${y + 32}m-6 9l6 -9l6 9`}
                  fill="none"
                  stroke={colours.chalk}
                  strokeWidth={3}
                />
                <Lettering x={x + 121} y={y + 82} textAnchor="middle" fill={colours.chalk} size={13}>
                  probe here
                </Lettering>
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}
