import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { colours } from '../theme';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

const BLANK = { readings: '', min: '', max: '', u: '', unit: '' };

export function LimitPage() {
  const [said, say] = useState(BLANK);
  const set = (field: keyof typeof BLANK) => (typed: string) => say((now) => ({ ...now, [field]: typed }));
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
          <Band
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

/** Good is green only where the uncertainty lets it be; between the bands nothing can be said. */
function Band({
  found,
  readings,
  min,
  max,
  u,
}: {
  found: Schemas['LimitFound'];
  readings: number[];
  min?: number;
  max?: number;
  u: number;
}) {
  const all = [
    ...readings,
    found.mean,
    ...(min === undefined ? [] : [min]),
    ...(max === undefined ? [] : [max]),
  ];
  const reach = Math.max(...all) - Math.min(...all) || 1;
  const from = Math.min(...all) - reach * 0.4 - u;
  const to = Math.max(...all) + reach * 0.4 + u;
  const x = (value: number) => (600 * (value - from)) / (to - from);
  const good = [min === undefined ? from : min + u, max === undefined ? to : max - u] as const;
  return (
    <svg
      viewBox="0 0 600 120"
      width="100%"
      role="img"
      aria-label={`Mean ${short(found.mean, 5)}: ${found.verdict}`}
    >
      <rect y={40} width={600} height={40} fill="#F1D9D5" />
      <rect
        x={x(min === undefined ? from : min - u)}
        y={40}
        width={x(max === undefined ? to : max + u) - x(min === undefined ? from : min - u)}
        height={40}
        fill="#F3E2B8"
      />
      {good[1] > good[0] && (
        <rect x={x(good[0])} y={40} width={x(good[1]) - x(good[0])} height={40} fill="#B9D3CA" />
      )}
      {[min, max].map((limit, n) =>
        limit === undefined ? null : (
          <g key={n === 0 ? 'min' : 'max'}>
            <path d={`M${x(limit)} 30V90`} stroke={colours.ink} strokeWidth={2} />
            <Lettering x={x(limit)} y={106} textAnchor="middle" fill={colours.ink} size={14}>
              {limit}
            </Lettering>
          </g>
        ),
      )}
      {readings.map((reading, n) => (
        <circle key={n} cx={x(reading)} cy={60} r={5} fill="none" stroke={colours.chalk} strokeWidth={2} />
      ))}
      <circle cx={x(found.mean)} cy={60} r={8} fill={colours.mat} />
    </svg>
  );
}
