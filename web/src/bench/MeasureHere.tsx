import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { figures } from '../api/shopWide';
import { rightAt } from '../gauge/expected';

/** More than these are found in the gauge that any of them opens. */
const MOST = 2;

/** Where can be measured as it stands, with what is right there: each opens its gauge, which then knows unit, component and step. */
export function MeasureHere({ bench }: { bench: Schemas['BenchView'] }) {
  const { points } = bench.way;
  const to = (gauge: string, point?: Schemas['TestPoint']) =>
    `/gauges/${gauge}?${new URLSearchParams({
      job: `${bench.unit.jobId}`,
      ...(bench.way.nextOut && { step: bench.way.nextOut }),
      ...(point && { point: point.name, component: `${point.component}` }),
    })}`;
  if (points.length === 0) {
    return null;
  }
  const rails = points.filter((point) => point.kind !== 'OTHER');
  return (
    <Box role="group" aria-label="Measure here" display="flex" gap="8px" fontSize="sm" whiteSpace="nowrap">
      {points
        .filter((point) => point.kind === 'OTHER')
        .slice(0, MOST)
        .map((point) => (
          <Link key={point.name} to={to('limit', point)}>
            <Target>
              {point.name}: {figures(rightAt(point))}
            </Target>
          </Link>
        ))}
      {rails[0] && (
        <Link to={to('rails', rails[0])}>
          <Target>Rails: {rails.length}</Target>
        </Link>
      )}
    </Box>
  );
}

function Target({ children }: { children: React.ReactNode }) {
  return (
    <Box
      as="span"
      display="inline-flex"
      alignItems="center"
      minH="44px"
      px="12px"
      border="1px solid"
      borderColor="matLine"
      borderRadius="sm"
      color="bone"
    >
      {children}
    </Box>
  );
}
