import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { StrobeDisc } from '../drawing/StrobeDisc';
import { OneOf } from '../parts/OneOf';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';
import { useTyped } from './useTyped';

type Drift = NonNullable<Schemas['SpindleAsked']['direction']>;

const WAYS: Record<Drift, string> = { FORWARD: 'drift forward', BACKWARD: 'drift backward' };
const BLANK = { rpm: '', flashes: '100', drift: '', bars: '' };

export function SpindlePage() {
  const [said, say, set] = useTyped(BLANK);
  const [direction, setDirection] = useState<Drift>();
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
          <StrobeDisc bars={found.bars} />
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
