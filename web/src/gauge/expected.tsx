import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { figure, figures } from '../api/shopWide';
import { Chip } from '../parts/Buttons';

export type Point = Schemas['TestPoint'];
export type GoodPlace = Schemas['GoodPlace'];

/** What is known here before it is measured: points of the notes, or what a good unit read at one place. */
export type Known = { points: Point[] } | { good: GoodPlace };

/** Where it is measured, as far as that is known: it goes into what is kept. */
export type Here = { place: string; componentId?: number; about?: string };

/** What a component of the notes is right at, in a few words. */
export function rightAt(point: Point): string {
  const unit = point.unit || 'V';
  if (point.kind !== 'OTHER') {
    return point.nominal === undefined ? floor.PointKind[point.kind] : `${figure(point.nominal)} V`;
  }
  const { least, most } = point;
  return least !== undefined && most !== undefined
    ? `${figure(least)} to ${figure(most)} ${unit}`
    : least !== undefined
      ? `from ${figure(least)} ${unit}`
      : `up to ${figure(most ?? 0)} ${unit}`;
}

function about(point: Point): string {
  return [point.probes && `Probes: ${point.probes}`, point.conditions && `Holds: ${point.conditions}`]
    .filter(Boolean)
    .join('. ');
}

/** What the notes and good units say is right on the unit in hand; one tap lays it out, and the probes are all that is left. */
export function ExpectedHere({
  job,
  gauge,
  lay,
  here,
  setHere,
}: {
  job: number;
  gauge: Schemas['MeasurementRow']['gauge'];
  lay: (known: Known) => void;
  here?: Here;
  setHere: (here: Here) => void;
}) {
  const [search] = useSearchParams();
  const asked = search.get('point');
  const laid = useRef('');
  const [on, setOn] = useState('');
  const expected = useQuery({
    queryKey: answers.expected(job, gauge),
    queryFn: () =>
      answer(
        api.GET('/api/jobs/{job}/measurements/expected', {
          params: { path: { job }, query: { gauge } },
        }),
      ),
  });
  const { points = [], good = [] } = expected.data ?? {};
  const byPoint = (point: Point) => {
    const all = gauge === 'RAILS' ? points : [point];
    lay({ points: all });
    setOn(`point ${gauge === 'RAILS' ? '' : point.name}`);
    setHere({
      place: gauge === 'RAILS' ? 'rails' : point.name,
      componentId: gauge === 'RAILS' ? undefined : point.component,
      about: gauge === 'RAILS' ? point.conditions : about(point),
    });
  };
  // Opened for one point: laid out once, and what is typed then stands.
  useEffect(() => {
    const point = points.find((one) => one.name === asked);
    if (point && laid.current !== `${gauge} ${asked}`) {
      laid.current = `${gauge} ${asked}`;
      byPoint(point);
    }
  });
  if (points.length + good.length === 0) {
    return null;
  }
  return (
    <Box role="group" aria-label="Known here" mb="6px">
      <Box fontSize="xs" fontWeight={700} mb="3px">
        Known here
      </Box>
      <Box display="flex" gap="4px" flexWrap="wrap">
        {(gauge === 'RAILS' ? points.slice(0, 1) : points).map((point) => (
          <Chip
            key={point.name}
            on={on === `point ${gauge === 'RAILS' ? '' : point.name}`}
            minH="44px"
            onClick={() => byPoint(point)}
          >
            {gauge === 'RAILS' ? `${points.length} rails of the notes` : `${point.name}: ${rightAt(point)}`}
          </Chip>
        ))}
        {good.map((one) => (
          <Chip
            key={`good ${one.read.id}`}
            on={on === `good ${one.read.id}`}
            minH="44px"
            onClick={() => {
              lay({ good: one });
              setOn(`good ${one.read.id}`);
              setHere({
                place: one.read.place,
                componentId: one.read.componentId,
                about: one.read.readings.map((read) => `${read.what} ${read.words}`).join(', '),
              });
            }}
          >
            as on a good unit{one.read.place && `, ${one.read.place}`}
          </Chip>
        ))}
      </Box>
      {here?.about && (
        <chakra.div fontSize="sm" color="muted" mt="4px">
          {figures(here.about)}
        </chakra.div>
      )}
    </Box>
  );
}
