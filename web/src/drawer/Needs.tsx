import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { short } from '../drawing/short';
import { Empty, Loaded } from '../parts/States';
import { Tag } from '../parts/Tag';

const SHOWN = 12;

/** What the rack will need: how many of each part the open units may want, and how likely the drawer runs out. */
export function Needs({ open }: { open: (part: number) => void }) {
  const needs = useQuery({ queryKey: answers.needs(), queryFn: () => answer(api.GET('/api/rack-needs')) });
  return (
    <>
      <chakra.h1>What the rack will need</chakra.h1>
      <Loaded query={needs}>
        {(now) => (
          <>
            <Box fontSize="sm" color="muted" mb="6px">
              From the odds of the {now.jobs} units on it, each fault with the part that usually goes in. The
              bar is the chance that the drawer runs out.
            </Box>
            {now.needs.length === 0 && (
              <Empty>Nothing that is likely wrong on the rack has had a part from the drawers yet.</Empty>
            )}
            {now.needs.slice(0, SHOWN).map((one) => (
              <NeedRow key={one.partId} need={one} open={() => open(one.partId)} />
            ))}
            {now.needs.length > SHOWN && (
              <Empty>And {now.needs.length - SHOWN} more that hardly run out.</Empty>
            )}
          </>
        )}
      </Loaded>
    </>
  );
}

function NeedRow({ need, open }: { need: Schemas['Need']; open: () => void }) {
  const { shortage } = need;
  const percent = Math.round(100 * shortage.runsOut);
  return (
    <Box borderTop="1px solid" borderColor="line" py="7px">
      <Box display="grid" gridTemplateColumns="1fr 120px 110px" gap="10px" alignItems="center">
        <chakra.button type="button" textAlign="left" cursor="pointer" fontWeight={700} onClick={open}>
          {need.part}
        </chakra.button>
        <chakra.span fontFamily="mono" textAlign="right" whiteSpace="nowrap">
          {short(shortage.wanted, 2)} of {need.there}
        </chakra.span>
        <Box
          role="img"
          aria-label={`runs out in ${percent} of 100`}
          bg="track"
          h="14px"
          position="relative"
          borderRadius="sm"
        >
          <Box
            position="absolute"
            inset="0 auto 0 0"
            bg={percent >= 50 ? 'hazard' : 'amber'}
            borderRadius="sm"
            style={{ width: `${Math.max(percent, 1)}%` }}
          />
        </Box>
      </Box>
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center" mt="3px" fontSize="sm" color="muted">
        {need.asks.slice(0, 4).map((one) => (
          <Link key={one.job} to={`/jobs/${one.job}`}>
            <Tag text={one.tag} size={12} flag={one.mine ? 'set aside' : undefined} />{' '}
            {Math.round(100 * one.probability)} of 100
          </Link>
        ))}
        {need.asks.length > 4 && <span>and {need.asks.length - 4} more</span>}
      </Box>
    </Box>
  );
}
