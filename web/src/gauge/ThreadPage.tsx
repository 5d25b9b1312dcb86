import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { MeasuredScrew } from '../drawing/MeasuredScrew';
import { OneOf } from '../parts/OneOf';
import { Figure, Gauge, problemOf, Reasons, useGauge } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';
import { useTyped } from './useTyped';

type Head = NonNullable<Schemas['ScrewHead']>['type'];

const HEADS = {
  CROSS: 'cross',
  HEXALOBULAR: 'hexalobular',
  HEXALOBULAR_SECURITY: 'hexalobular, pin',
} as Record<Head, string>;
const BLANK = { diameter: '', count: '', over: '', length: '', across: '' };

export function ThreadPage() {
  const [said, say, set] = useTyped(BLANK);
  const [head, setHead] = useState<Head>();
  const mm = (field: keyof typeof BLANK) => quantity(said[field], 'mm');
  const [diameterMm, count, overMm] = [mm('diameter'), quantity(said.count), mm('over')];
  const asked =
    diameterMm !== undefined
      ? {
          diameterMm,
          threads:
            count !== undefined && overMm !== undefined ? { count: Math.round(count), overMm } : undefined,
          lengthMm: mm('length'),
          head:
            head && (head === 'CROSS' || mm('across') !== undefined)
              ? { type: head, acrossMm: mm('across') }
              : undefined,
        }
      : undefined;
  const query = useGauge('thread', asked, () =>
    answer(api.POST('/api/gauges/thread', { body: asked as Schemas['ThreadAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => say({ diameter: '2.85', count: '8', over: '8.8', length: '12', across: '' })}
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
          <Measure label="long" unit="mm" value={said.length} set={set('length')} />
          <OneOf label="Head" words={HEADS} picked={head} pick={setHead} />
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
      {(found) => (
        <Box display="grid" gridTemplateColumns="1fr 240px" gap="20px">
          <MeasuredScrew
            diameter={asked?.diameterMm ?? 2}
            pitch={found.pitchMm ?? found.designations[0]?.pitchMm ?? 0.5}
            length={asked?.lengthMm ?? 10}
            coarse={found.form === 'TAPPING'}
          />
          <Box>
            {found.goesInto && <Figure name="goes into" value={found.goesInto.toLowerCase()} />}
            {found.pitchMm !== undefined && <Figure name="pitch" value={`${short(found.pitchMm)} mm`} />}
            {found.driver && <Figure name="driver" value={found.driver} />}
            <Reasons reasons={found.reasons} />
            {found.designations.map((one, n) => (
              <Box
                key={one.designation}
                borderTop="1px solid"
                borderColor="line"
                py="3px"
                fontWeight={n === 0 ? 700 : 400}
              >
                {one.designation}{' '}
                <Box as="span" color="muted" fontSize="13.5px" fontWeight={400}>
                  {one.how}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </Gauge>
  );
}
