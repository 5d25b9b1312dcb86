import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import type { Absent, Account } from './heaps';

/** What is not there, outlined below the mat: broken, lost, missing, or left out on purpose. */
export function AbsentStrip({
  absent,
  pick,
}: {
  absent: Absent[];
  pick: (thing: Schemas['ThingView'], from: Account) => void;
}) {
  if (absent.length === 0) {
    return null;
  }
  return (
    <Box px="26px" pb="10px" display="flex" gap="10px" flexWrap="wrap" aria-label="Not there" role="group">
      {absent.map(({ thing, account, count }) => (
        <chakra.button
          key={thing.id + account}
          type="button"
          border="2px dashed"
          borderColor={account === 'LEFT_OUT' ? 'chalkDust' : 'hazardLight'}
          borderRadius="sm"
          color="bone"
          px="12px"
          py="6px"
          minH="44px"
          textAlign="left"
          cursor="pointer"
          onClick={() => pick(thing, account)}
        >
          <b>
            {count} × {thing.label}
          </b>{' '}
          {floor.Account[account]}
        </chakra.button>
      ))}
    </Box>
  );
}
