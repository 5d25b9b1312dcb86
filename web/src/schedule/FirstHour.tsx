import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { Practice } from '../practice/Practice';

type Thing = Schemas['FirstThingView']['thing'];

const PLACES: Record<Thing, string> = {
  SHOP: '/shop',
  PEOPLE: '/team',
  PARTS: '/drawers',
  UNIT: '/checkin',
  BENCH: '/bench',
};

/** A new shop greets its lead with five things to do, in the order of the work, until all of them were done. */
export function FirstHour() {
  const lead = useMay('SETTINGS');
  const hour = useQuery({
    queryKey: answers.firstHour(),
    queryFn: () => answer(api.GET('/api/shop/first-hour')),
    enabled: lead,
  });
  const things = hour.data?.things ?? [];
  const next = things.find((one) => !one.done)?.thing;
  if (!next) {
    return null;
  }
  return (
    <Box mb="16px">
      <chakra.h1 mb="6px">The first hour</chakra.h1>
      <chakra.ol listStyleType="none" m={0} p={0} aria-label="The first hour">
        {things.map(({ thing, words, done }, n) => (
          <chakra.li key={thing} borderTop="1px solid" borderColor="line">
            <Link to={PLACES[thing]}>
              <Box
                display="grid"
                gridTemplateColumns="34px 1fr auto"
                alignItems="center"
                minH="52px"
                px="10px"
                bg={thing === next ? 'card' : undefined}
                borderLeft="5px solid"
                borderColor={thing === next ? 'mat' : 'transparent'}
                color={done ? 'muted' : undefined}
              >
                <chakra.span fontFamily="mono" fontWeight={600}>
                  {done ? '✓' : n + 1}
                </chakra.span>
                <chakra.span fontWeight={thing === next ? 700 : 400}>{words}</chakra.span>
                <chakra.span fontSize="sm" color="chalk" textDecoration="underline">
                  {done ? 'done' : 'go there'}
                </chakra.span>
              </Box>
            </Link>
          </chakra.li>
        ))}
      </chakra.ol>
      <Box mt="8px" color="muted">
        Jobs of years before?{' '}
        <Link to="/past" style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}>
          Bring them in from a spreadsheet
        </Link>
        , and the odds begin with them.
      </Box>
      <Practice />
    </Box>
  );
}
