import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { LimitBand } from '../drawing/LimitBand';
import { short } from '../drawing/short';
import { OneOf } from '../parts/OneOf';
import { quantity } from '../typed/quantity';
import type { GoodPlace, Point } from './expected';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import type { Metered } from './meter';
import { useTyped } from './useTyped';

type Unit = '%' | 'V' | 'V~' | 'mV' | 'Ω' | 'µF' | 'mm' | 'other';
const UNITS: Record<Unit, string> = {
  '%': '%',
  V: 'V',
  'V~': 'V~',
  mV: 'mV',
  Ω: 'Ω',
  µF: 'µF',
  mm: 'mm',
  other: 'other',
};
const METERED: Partial<Record<Unit, Metered['fn']>> = {
  V: 'VOLTS_DC',
  mV: 'VOLTS_DC',
  'V~': 'VOLTS_AC',
  Ω: 'OHMS',
  µF: 'FARADS',
};
/** Beside the first reading, before a probe is put there. */
const CAUTIONS: Partial<Record<Unit, string>> = {
  Ω: 'Off, unplugged and discharged first: what is charged hurts whoever measures it, and the meter.',
  µF: 'Off, unplugged and discharged first: what is charged hurts whoever measures it, and the meter.',
  V: 'Above 60 V clip on with it unplugged, then power; one hand free of it.',
  'V~': 'Above 30 V~ clip on with it unplugged. Mains-side points only if you are qualified where you are.',
};
const BLANK = { readings: [''], min: '', max: '', u: '', unit: 'V' as Unit };

const typedOf = (value?: number) => (value === undefined ? '' : `${value}`);

function unitOf(unit: string): Unit {
  return (Object.keys(UNITS) as Unit[]).find((one) => one === (unit || 'V')) ?? 'other';
}

function byPoint(point?: Point): typeof BLANK {
  return point
    ? { ...BLANK, unit: unitOf(point.unit), min: typedOf(point.least), max: typedOf(point.most) }
    : BLANK;
}

/** Within what a good unit read, as the shop's rule for the same has it. */
function byGood(good: GoodPlace): typeof BLANK {
  const limits = good.right[0]?.limits;
  return {
    ...BLANK,
    unit: unitOf(good.read.readings[0]?.unit ?? ''),
    min: typedOf(limits?.min),
    max: typedOf(limits?.max),
  };
}

export function LimitPage() {
  const [said, say, set] = useTyped('limit', BLANK);
  const base = said.unit === 'V~' ? 'V' : said.unit === 'other' ? '' : said.unit;
  const readings = said.readings.map((one) => quantity(one, base)).filter((one) => one !== undefined);
  const [min, max] = [quantity(said.min, base), quantity(said.max, base)];
  const asked =
    readings.length > 0
      ? {
          readings,
          limit: min !== undefined || max !== undefined ? { min, max } : undefined,
          uncertainty: quantity(said.u, base),
          unit: base,
        }
      : undefined;
  const query = useGauge('limit', asked, () =>
    answer(api.POST('/api/gauges/limit', { body: asked as Schemas['LimitAsked'] })),
  );
  const metered = METERED[said.unit];
  // There is always one empty field more.
  const type = (at: number) => (typed: string) =>
    say((now) => {
      const typedIn = now.readings.map((one, n) => (n === at ? typed : one));
      return {
        ...now,
        readings: [
          ...typedIn.filter((one, n) => one !== '' || n === at),
          ...(typed && at === typedIn.length - 1 ? [''] : []),
        ],
      };
    });
  return (
    <Gauge
      name="limit"
      metered
      asked={asked}
      typed={said}
      query={query}
      lay={(known) => say('points' in known ? byPoint(known.points[0]) : byGood(known.good))}
      example={() => say({ ...BLANK, readings: ['41', '44', '43', ''], max: '50', u: '2', unit: 'mV' })}
      clear={() => say(BLANK)}
      fields={
        <>
          <OneOf label="Unit" words={UNITS} picked={said.unit} pick={(one) => one && set('unit')(one)} />
          {said.readings.map((one, at) => (
            <Measure
              key={at}
              label={`reading ${at + 1}`}
              unit={base}
              value={one}
              set={type(at)}
              metered={metered && { fn: metered, at: `limit/${at}` }}
              caution={at === 0 ? CAUTIONS[said.unit] : undefined}
              problem={problemOf(query, `readings[${at}]`)}
            />
          ))}
          <Measure
            label="good from"
            unit={base}
            value={said.min}
            set={set('min')}
            problem={problemOf(query, 'min')}
          />
          <Measure
            label="good up to"
            unit={base}
            value={said.max}
            set={set('max')}
            problem={problemOf(query, 'max')}
          />
          <Measure
            label="uncertainty ±"
            unit={base}
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
            u={found.meanUncertainty ?? 0}
            unit={base}
          />
          <Box display="flex" gap="30px" mt="10px" alignItems="flex-start">
            {found.verdict && <VerdictOf verdict={found.verdict} />}
            <Figure name="mean" value={`${short(found.mean, 5)} ${base}`} />
            <Figure name="spread" value={`${short(found.spread)} ${base}`} />
            {found.deviation !== undefined && (
              <Figure name="standard deviation" value={`${short(found.deviation)} ${base}`} />
            )}
          </Box>
          <Reasons reasons={found.reasons} />
        </>
      )}
    </Gauge>
  );
}
