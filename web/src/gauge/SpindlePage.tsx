import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { StrobeDisc } from '../drawing/StrobeDisc';
import { short } from '../drawing/short';
import { OneOf } from '../parts/OneOf';
import { Caution } from '../parts/States';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

type Drift = NonNullable<Schemas['SpindleAsked']['direction']>;

const WAYS: Record<Drift, string> = { FORWARD: 'drift forward', BACKWARD: 'drift backward' };
const BLANK = {
  rpm: '',
  flashes: '100',
  drift: '',
  bars: '',
  limit: '1',
  sure: '',
  wide: '120',
  direction: undefined as Drift | undefined,
};

export function SpindlePage() {
  const [said, say, set] = useTyped('spindle', BLANK);
  const { direction } = said;
  const [nominalRpm, flashesPerSecond] = [quantity(said.rpm), quantity(said.flashes)];
  const asked =
    nominalRpm !== undefined && flashesPerSecond !== undefined
      ? {
          nominalRpm,
          flashesPerSecond,
          bars: quantity(said.bars),
          driftBarsPerSecond: quantity(said.drift),
          direction,
          limitPercent: quantity(said.limit),
          uncertaintyPercent: quantity(said.sure),
        }
      : undefined;
  const query = useGauge('spindle', asked, () =>
    answer(api.POST('/api/gauges/spindle', { body: asked as Schemas['SpindleAsked'] })),
  );
  return (
    <Gauge
      name="spindle"
      asked={asked}
      typed={said}
      query={query}
      example={() => say({ ...BLANK, rpm: '45', flashes: '120', drift: '0.9', direction: 'BACKWARD' })}
      clear={() => say(BLANK)}
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
          <Box color="muted" fontSize="xs">
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
          <OneOf label="Which way they drift" words={WAYS} picked={direction} pick={set('direction')} />
          {problemOf(query, 'direction') && (
            <Box color="hazard" role="alert">
              {problemOf(query, 'direction')}
            </Box>
          )}
          <Measure
            label="good within ± %"
            value={said.limit}
            set={set('limit')}
            problem={problemOf(query, 'limitPercent')}
          />
          <Measure
            label="known to ± %"
            value={said.sure}
            set={set('sure')}
            problem={problemOf(query, 'uncertaintyPercent')}
          />
        </>
      }
    >
      {(found) => (
        <Box display="grid" gridTemplateColumns="1fr 220px" gap="20px">
          <Box gridColumn="1 / -1">
            <Caution>{found.caution}</Caution>
          </Box>
          <StrobeDisc bars={found.bars} />
          <Box>
            {found.verdict ? (
              <>
                <VerdictOf verdict={found.verdict} />
                <Figure name="turns at" value={`${short(found.actualRpm, 5)} rpm`} />
                <Figure
                  name="off by"
                  value={`${found.errorPercent > 0 ? '+' : ''}${short(found.errorPercent, 2)} %`}
                />
              </>
            ) : (
              <Figure name="bars stand at" value={`${short(found.standsAtRpm, 5)} rpm`} />
            )}
            <Box fontWeight={700}>{found.turn}</Box>
            <Reasons reasons={found.reasons} />
            <Box className="noprint" mt="14px" borderTop="1px solid" borderColor="line" pt="6px">
              <b>The disc on paper, to scale</b>
              <Measure label="wide" unit="mm" value={said.wide} set={set('wide')} />
              <Papers
                asked={asked as Schemas['SpindleAsked']}
                found={found}
                wide={quantity(said.wide, 'mm')}
              />
            </Box>
          </Box>
        </Box>
      )}
    </Gauge>
  );
}

/** A sheet of A4 takes a disc of 190 mm; anything larger comes as a drawing. */
const WIDEST = { pdf: 190, svg: 280 };

function Papers({
  asked,
  found,
  wide = 100,
}: {
  asked: Schemas['SpindleAsked'];
  found: Schemas['SpindleFound'];
  wide?: number;
}) {
  if (wide < found.leastDiscMm) {
    return (
      <Box role="alert" color="hazard" fontSize="sm">
        {found.bars} bars need a disc of at least {found.leastDiscMm} mm
        {found.leastDiscMm > WIDEST.svg && ', more than a sheet has: take fewer flashes'}.
      </Box>
    );
  }
  const query = `rpm=${asked.nominalRpm}&flashes=${asked.flashesPerSecond}&diameterMm=${wide}`;
  return (
    <Box display="flex" gap="14px">
      {(['pdf', 'svg'] as const)
        .filter((kind) => wide <= WIDEST[kind])
        .map((kind) => (
          <a key={kind} href={`/api/gauges/spindle/disc.${kind}?${query}`} target="_blank" rel="noopener">
            <Box as="span" display="inline-block" py="8px" color="chalk" textDecoration="underline">
              {kind.toUpperCase()}
            </Box>
          </a>
        ))}
      {wide > WIDEST.svg && <Box color="hazard">At most {WIDEST.svg} mm.</Box>}
    </Box>
  );
}
