import { Box, chakra } from '@chakra-ui/react';
import { lazy, Suspense } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { useMay, useSession } from '../api/session';
import { useTitle } from '../app/useTitle';
import { OwnPassword } from './OwnPassword';
import { People } from './People';
import { Ringing } from './Ringing';
import { SignIns } from './SignIns';

/** A lead's own, loaded when one looks. */
const WhoGetsIn = lazy(() => import('./WhoGetsIn'));
const JournalPart = lazy(() => import('./JournalPart'));
const Kept = lazy(() => import('./Kept'));

const PARTS = [
  ['', 'People'],
  ['gate', 'Who gets in'],
  ['journal', 'Journal'],
  ['kept', 'Kept safe'],
] as const;

/** Who works here; for a lead besides who gets in, what was written, and how safe it is. */
export default function TeamPage() {
  useTitle('Team');
  const { part = '' } = useParams();
  const trusted = useMay('TRUST');
  return (
    <Box flex="1" display="flex" flexDirection="column">
      {trusted && (
        <chakra.nav
          aria-label="Parts of the team’s room"
          display="flex"
          gap="4px"
          px="16px"
          bg="card"
          borderBottom="1px solid"
          borderColor="line"
          overflowX="auto"
          whiteSpace="nowrap"
        >
          {PARTS.map(([to, name]) => (
            <NavLink key={to} to={to ? `/team/${to}` : '/team'} end>
              {({ isActive }) => (
                <chakra.span
                  display="inline-block"
                  px="10px"
                  py="9px"
                  borderBottom="3px solid"
                  borderColor={isActive ? 'chalk' : 'transparent'}
                  fontWeight={isActive ? 700 : 400}
                >
                  {name}
                </chakra.span>
              )}
            </NavLink>
          ))}
        </chakra.nav>
      )}
      <Suspense
        fallback={
          <Box p="24px" data-page="fetching">
            Fetching…
          </Box>
        }
      >
        {trusted && part === 'gate' ? (
          <WhoGetsIn />
        ) : trusted && part === 'journal' ? (
          <JournalPart />
        ) : part === 'kept' ? (
          <Kept />
        ) : (
          <Everybody />
        )}
      </Suspense>
    </Box>
  );
}

const LINKS = [
  ['/shop', 'The shop: name, money, clock, hours, rack'],
  ['/past', 'Past jobs from a spreadsheet'],
  ['/team/kept', 'Backups and the practice shop'],
] as const;

function Everybody() {
  const build = useSession().data?.build;
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '660px 1fr' }} flex="1">
      <Box bg="card" p="18px 22px" borderRight="1px solid" borderColor="line">
        <People />
        <Ringing />
      </Box>
      <Box p="18px 22px" minW={0} display="flex" flexDirection="column">
        <Box mb="18px" display="grid" gap="4px">
          {LINKS.map(([to, words]) => (
            <Link
              key={to}
              to={to}
              style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}
            >
              {words}
            </Link>
          ))}
        </Box>
        <OwnPassword />
        <SignIns />
        <Box flex="1" />
        <Box color="muted" fontSize="xs" textAlign="right">
          Wrench Notes {build}
        </Box>
      </Box>
    </Box>
  );
}
