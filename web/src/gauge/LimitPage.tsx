import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { LimitBand } from '../drawing/LimitBand';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';
import { useTyped } from './useTyped';

const BLANK = { readings: '', min: '', max: '', u: '', unit: '' };

export function LimitPage() {
  const [said, say, set] = useTyped(BLANK);
  const readings = said.readings
    .split(/[;\s]+/)
    .filter(Boolean)
    .map((one) => quantity(one));
  const [min, max] = [quantity(said.min), quantity(said.max)];
  const whole = readings.length > 0 && readings.every((one) => one !== undefined);
  const asked =
    whole && (min !== undefined || max !== undefined)
      ? {
          readings: readings as number[],
          limit: { min, max },
          uncertainty: quantity(said.u),
          unit: said.unit,
        }
      : undefined;
  const query = useGauge('limit', asked, () =>
    answer(api.POST('/api/gauges/limit', { body: asked as Schemas['LimitAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => say({ readings: '79.2 78.8', min: '', max: '80', u: '0.5', unit: '%' })}
      fields={
        <>
          <Box fontWeight={700}>Readings, a blank between</Box>
          <input
            aria-label="Readings"
            value={said.readings}
            onChange={(event) => set('readings')(event.target.value)}
            style={{
              width: '100%',
              minHeight: 38,
              padding: '0 8px',
              border: '1px solid #8B8771',
              borderRadius: 3,
              background: 'white',
              fontFamily: 'IBM Plex Mono',
            }}
          />
          <Measure label="good from" value={said.min} set={set('min')} problem={problemOf(query, 'min')} />
          <Measure label="good up to" value={said.max} set={set('max')} problem={problemOf(query, 'max')} />
          <Measure
            label="uncertainty ±"
            value={said.u}
            set={set('u')}
            problem={problemOf(query, 'uncertainty')}
          />
          {problemOf(query, 'limit') && (
            <Box color="hazard" role="alert">
              {problemOf(query, 'limit')}
            </Box>
          )}
        </>
      }
    >
      {(found) => (
        <>
          <LimitBand
            found={found}
            readings={asked?.readings ?? []}
            min={min}
            max={max}
            u={quantity(said.u) ?? 0}
          />
          <Box display="flex" gap="30px" mt="10px" alignItems="flex-start">
            <VerdictOf verdict={found.verdict} />
            <Figure name="mean" value={short(found.mean, 5)} />
            <Figure name="spread" value={short(found.spread)} />
          </Box>
          <Reasons reasons={found.reasons} />
        </>
      )}
    </Gauge>
  );
}
