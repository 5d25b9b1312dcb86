import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/shopWide';
import { Loaded } from '../parts/States';
import type { Looked, Query } from './useLooked';

/** Without a month, the newest few. */
const FEW = 9;
const MOST = 60;

/** The jobs behind what is drawn, the newest first; each opens. */
export function JobsBehind({
  query,
  looked,
  month,
}: {
  query: Query & { on: number; fault: number };
  looked: Looked;
  month?: number;
}) {
  const jobs = useQuery({
    queryKey: answers.patterns('jobs', query.on, query.fault, looked.asTable),
    queryFn: () => answer(api.GET('/api/patterns/jobs', { params: { query } })),
  });
  return (
    <Loaded query={jobs}>
      {(now) => {
        const those = now.jobs.filter((one) => month === undefined || one.month === month);
        const shown = those.slice(0, month === undefined ? FEW : MOST);
        const more = (month === undefined ? now.all : those.length) - shown.length;
        return (
          <Box
            role="group"
            aria-label="The jobs behind it"
            display="flex"
            gap="4px 10px"
            flexWrap="wrap"
            mb="8px"
          >
            {shown.map((one) =>
              one.id === undefined ? (
                <chakra.span key={one.handedOver} color="muted" fontSize="sm">
                  brought in, {day(one.handedOver)}
                </chakra.span>
              ) : (
                <chakra.span key={one.id} fontSize="sm" css={{ '& a': { textDecoration: 'underline' } }}>
                  <Link to={`/jobs/${one.id}`}>{one.tag}</Link>{' '}
                  <chakra.span color="muted">{day(one.handedOver)}</chakra.span>
                </chakra.span>
              ),
            )}
            {more > 0 && (
              <chakra.span fontSize="sm" color="muted">
                and {more} more{month === undefined && ': press a month'}
              </chakra.span>
            )}
          </Box>
        );
      }}
    </Loaded>
  );
}
