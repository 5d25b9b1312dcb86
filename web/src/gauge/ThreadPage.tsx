import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { figures } from '../api/shopWide';
import { fastenerWords } from '../api/words';
import { MeasuredScrew } from '../drawing/MeasuredScrew';
import { short } from '../drawing/short';
import { OneOf } from '../parts/OneOf';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { useJobInHand } from './KeepBar';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

type Head = NonNullable<Schemas['ScrewHead']>['type'];

const HEADS = {
  CROSS: 'cross',
  HEXALOBULAR: 'hexalobular',
  HEXALOBULAR_SECURITY: 'hexalobular, pin',
} as Record<Head, string>;
const FLANKS: Record<NonNullable<Schemas['ThreadAsked']['flank']>, string> = {
  WIDE: 'wide, 60°',
  NARROW: 'narrow, 30°',
};
const BLANK = {
  diameter: '',
  caliper: '',
  count: '',
  counted: '',
  over: '',
  length: '',
  across: '',
  head: undefined as Head | undefined,
  flank: undefined as keyof typeof FLANKS | undefined,
};

export function ThreadPage() {
  const [said, say, set] = useTyped('thread', BLANK);
  const job = useJobInHand();
  const { head } = said;
  const mm = (field: Exclude<keyof typeof BLANK, 'head' | 'flank'>) => quantity(said[field], 'mm');
  const [diameterMm, count, overMm] = [mm('diameter'), quantity(said.count), mm('over')];
  const asked =
    diameterMm !== undefined
      ? {
          diameterMm,
          threads:
            count !== undefined && overMm !== undefined
              ? { count: Math.round(count), overMm, uncertainty: quantity(said.counted) }
              : undefined,
          lengthMm: mm('length'),
          head:
            head && (head === 'CROSS' || mm('across') !== undefined)
              ? { type: head, acrossMm: mm('across') }
              : undefined,
          flank: said.flank,
          uncertaintyMm: mm('caliper'),
        }
      : undefined;
  const query = useGauge('thread', asked && { ...asked, job }, () =>
    answer(
      api.POST('/api/gauges/thread', {
        params: { query: { job } },
        body: asked as Schemas['ThreadAsked'],
      }),
    ),
  );
  return (
    <Gauge
      name="thread"
      asked={asked}
      typed={said}
      query={query}
      example={() => say({ ...BLANK, diameter: '2.85', count: '8', over: '8.8', length: '12' })}
      clear={() => say(BLANK)}
      fields={
        <>
          <Measure
            label="across the thread"
            unit="mm"
            value={said.diameter}
            set={set('diameter')}
            problem={problemOf(query, 'diameterMm')}
          />
          <Measure
            label="caliper known to ±"
            unit="mm"
            value={said.caliper}
            set={set('caliper')}
            problem={problemOf(query, 'uncertaintyMm')}
          />
          <Measure
            label="threads counted"
            value={said.count}
            set={set('count')}
            problem={problemOf(query, 'count')}
          />
          <Measure
            label="over a length of"
            unit="mm"
            value={said.over}
            set={set('over')}
            problem={problemOf(query, 'overMm')}
          />
          <Measure
            label="count known to ±"
            value={said.counted}
            set={set('counted')}
            problem={problemOf(query, 'uncertainty')}
          />
          <Measure
            label="long"
            unit="mm"
            value={said.length}
            set={set('length')}
            problem={problemOf(query, 'lengthMm')}
          />
          <OneOf
            label="Flanks of a coarse thread"
            name="flanks"
            words={FLANKS}
            picked={said.flank}
            pick={set('flank')}
          />
          <OneOf label="Head" words={HEADS} picked={head} pick={set('head')} />
          {head && head !== 'CROSS' && (
            <Measure
              label="across the points"
              unit="mm"
              value={said.across}
              set={set('across')}
              problem={problemOf(query, 'acrossMm')}
            />
          )}
        </>
      }
    >
      {({ found, places }) => (
        <>
          <Box display="grid" gridTemplateColumns="1fr 320px" gap="20px">
            <MeasuredScrew
              diameter={asked?.diameterMm ?? 2}
              pitch={found.pitchMm}
              length={asked?.lengthMm ?? 10}
              coarse={found.form === 'TAPPING'}
            />
            <Box>
              {!found.form && (
                <Box mb="8px">
                  <VerdictOf verdict="CAN_NOT_SAY" words={found.nearest ? 'nothing near' : 'left open'} />
                </Box>
              )}
              {found.goesInto && <Figure name="goes into" value={floor.GoesInto[found.goesInto]} />}
              {found.pitchMm !== undefined && <Figure name="pitch" value={`${short(found.pitchMm)} mm`} />}
              {found.driver && <Figure name="driver" value={found.driver} />}
              <Reasons reasons={found.reasons} />
              {found.designations.map((one, n) => (
                <Box
                  key={one.designation}
                  borderTop="1px solid"
                  borderColor="line"
                  py="3px"
                  fontWeight={n === 0 && found.form ? 700 : 400}
                >
                  {one.designation}{' '}
                  <Box as="span" color="muted" fontSize="xs" fontWeight={400}>
                    {one.standard}, {one.how}
                  </Box>
                </Box>
              ))}
            </Box>
          </Box>
          {places && <Places places={places} />}
        </>
      )}
    </Gauge>
  );
}

/** Which open place of the unit in hand it came out of. */
function Places({ places }: { places: NonNullable<Schemas['ThreadAnswer']['places']> }) {
  return (
    <Box mt="12px" role="group" aria-label="Open places">
      <b>{figures(places.words)}</b>
      {places.fits.map((fit) => (
        <Box key={fit.group.id} borderTop="1px solid" borderColor="line" py="3px">
          <b>{fit.group.label}</b>, {fit.open} open: {fastenerWords(fit.group)}.{' '}
          {fit.agrees.length > 0 && figures(`Agrees: ${fit.agrees.join(', ')}. `)}
          {fit.differs.length > 0 && figures(`Differs: ${fit.differs.join(', ')}.`)}
        </Box>
      ))}
    </Box>
  );
}
