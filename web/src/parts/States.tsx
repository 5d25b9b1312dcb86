import { Box, chakra } from '@chakra-ui/react';
import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Problem } from '../api/client';
import { Act } from './Buttons';

/** Loading, error and the thing itself, in the same way on every screen. */
export function Loaded<T>({
  query,
  children,
}: {
  query: UseQueryResult<T>;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) {
    return (
      <>
        {query.isError && <Trouble error={query.error} again={() => query.refetch()} />}
        {children(query.data)}
      </>
    );
  }
  if (query.isError) {
    return <Trouble error={query.error} again={() => query.refetch()} />;
  }
  return (
    <Box
      p="24px"
      color="muted"
      css={{ '[data-bench] &': { color: 'var(--chakra-colors-chalk-dust)' } }}
      role="status"
      data-page="fetching"
    >
      Fetching…
    </Box>
  );
}

/** What went wrong, with every reason, and a way to go on. */
export function Trouble({ error, again }: { error: unknown; again?: () => void }) {
  if (!error) {
    return null;
  }
  const problem = error instanceof Problem ? error : null;
  const reasons = problem?.reasons ?? [];
  return (
    <Box
      role="alert"
      data-page="trouble"
      borderLeft="5px solid"
      borderColor="hazard"
      bg="hazardPaper"
      color="hazardInk"
      px="14px"
      py="8px"
      my="8px"
    >
      {reasons.length > 1 ? (
        <chakra.ul pl="18px" m={0}>
          {reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </chakra.ul>
      ) : (
        <Box>{problem?.message ?? 'Something broke in this page. Reload it; what was saved is safe.'}</Box>
      )}
      {again && (
        <Act look="plain" mt="6px" onClick={again}>
          Try again
        </Act>
      )}
    </Box>
  );
}

/** Nothing here yet, and what to do about it. */
export function Empty({ to, go, children }: { to?: string; go?: string; children: ReactNode }) {
  return (
    <Box color="muted" py="14px" data-page="empty">
      {children}
      {to && (
        <>
          {' '}
          <Link to={to} style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}>
            {go}
          </Link>
        </>
      )}
    </Box>
  );
}

/** The usual caution, shown before what it warns of; `still` when it is heeded and stands all the same. */
export function Caution({
  children,
  bench,
  still,
}: {
  children: ReactNode;
  bench?: boolean;
  still?: boolean;
}) {
  return (
    <Box
      role="note"
      borderLeft="5px solid"
      borderColor={bench ? 'hazardLight' : 'hazard'}
      bg={still ? 'transparent' : bench ? 'hazardDeep' : 'hazardPaper'}
      color={bench ? 'hazardPale' : 'hazardInk'}
      px="14px"
      py={still ? '2px' : '8px'}
      fontSize={bench && !still ? 'md' : 'sm'}
    >
      <chakra.b>Mind: </chakra.b>
      {children}
    </Box>
  );
}
