import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { OneOf } from '../parts/OneOf';
import { colours } from '../theme';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

type Drift = NonNullable<Schemas['SpindleAsked']['direction']>;

const WAYS: Record<Drift, string> = { FORWARD: 'drift forward', BACKWARD: 'drift backward' };
const BLANK = { rpm: '', flashes: '100', drift: '', bars: '' };

export function SpindlePage() {
  const [said, say] = useState(BLANK);
  const [direction, setDirection] = useState<Drift>();
  const set = (field: keyof typeof BLANK) => (typed: string) => say((now) => ({ ...now, [field]: typed }));
  const [nominalRpm, flashesPerSecond] = [quantity(said.rpm), quantity(said.flashes)];
  const asked =
    nominalRpm !== undefined && flashesPerSecond !== undefined
      ? {
          nominalRpm,
          flashesPerSecond,
          bars: quantity(said.bars),
          driftBarsPerSecond: quantity(said.drift),
          direction,
        }
      : undefined;
  const query = useGauge('spindle', asked, () =>
    answer(api.POST('/api/gauges/spindle', { body: asked as Schemas['SpindleAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => {
        say({ rpm: '300', flashes: '100', drift: '0.4', bars: '' });
        setDirection('FORWARD');
      }}
      fields={
        <>
          <Measure
            label="should turn, rpm"
            value={said.rpm}
            set={set('rpm')}
            problem={problemOf(query, 'nominalRpm')}
          />
          <Measure
            label="flashes a second"
            value={said.flashes}
            set={set('flashes')}
            problem={problemOf(query, 'flashesPerSecond')}
          />
          <Box color="muted" fontSize="13.5px">
            Lamp on 50 Hz mains 100, on 60 Hz 120; a camera as many as its frames.
          </Box>
          <Measure
            label="bars (empty: the nearest)"
            value={said.bars}
            set={set('bars')}
            problem={problemOf(query, 'bars')}
          />
          <Measure
            label="bars drift, a second"
            value={said.drift}
            set={set('drift')}
            problem={problemOf(query, 'driftBarsPerSecond')}
          />
          <OneOf label="Which way they drift" words={WAYS} picked={direction} pick={setDirection} />
          {problemOf(query, 'direction') && (
            <Box color="hazard" role="alert">
              {problemOf(query, 'direction')}
            </Box>
          )}
        </>
      }
    >
      {(found) => (
        <Box display="grid" gridTemplateColumns="1fr 220px" gap="20px">
          <Strobe bars={found.bars} />
          <Box>
            <VerdictOf verdict={found.verdict} />
            <Figure name="turns at" value={`${short(found.actualRpm, 5)} rpm`} />
            <Figure
              name="off by"
              value={`${found.errorPercent > 0 ? '+' : ''}${short(found.errorPercent, 2)} %`}
            />
            <Box fontWeight={700}>{found.turn}</Box>
            <Reasons reasons={found.reasons} />
          </Box>
        </Box>
      )}
    </Gauge>
  );
}

/** A disc with as many bars: it can be printed and laid on. */
function Strobe({ bars }: { bars: number }) {
  const shown = Math.min(bars, 720);
  const wedge = (n: number) => {
    const from = (2 * Math.PI * n) / shown;
    const to = from + Math.PI / shown;
    const at = (angle: number, r: number) => `${r * Math.sin(angle)} ${-r * Math.cos(angle)}`;
    return `M${at(from, 60)}L${at(from, 96)}A96 96 0 0 1 ${at(to, 96)}L${at(to, 60)}Z`;
  };
  return (
    <svg
      viewBox="-100 -100 200 200"
      width="100%"
      style={{ maxHeight: 460 }}
      role="img"
      aria-label={`Strobe disc with ${bars} bars`}
    >
      <circle r={98} fill="white" stroke={colours.ink} strokeWidth={0.5} />
      <path d={Array.from({ length: shown }, (_, n) => wedge(n)).join('')} fill={colours.ink} />
      <circle r={3.6} fill="none" stroke={colours.ink} strokeWidth={0.5} />
      <Lettering y={-20} textAnchor="middle" fill={colours.ink} size={11}>
        {bars} bars
      </Lettering>
    </svg>
  );
}
