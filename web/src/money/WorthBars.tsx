import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useCurrency } from '../api/session';
import { colours } from '../theme';
import { money } from '../typed/sum';

type Worth = Schemas['Worth'];

/** What each way leaves, as bars from nothing: to the left is a loss. */
export function WorthBars({
  worth,
  paidMinor,
  said = [],
}: {
  worth: Worth;
  paidMinor?: number;
  /** reasons that stand elsewhere already */
  said?: string[];
}) {
  const currency = useCurrency();
  const most = Math.max(1, ...worth.ways.map((way) => Math.abs(way.leavesMinor)));
  return (
    <Box role="group" aria-label="Worth it?">
      {worth.price && (
        <Box fontSize="sm">
          Fetches <b>{money(worth.price.likely, currency)}</b>
          {worth.price.low !== worth.price.high &&
            `, ${money(worth.price.low, currency)} to ${money(worth.price.high, currency)}`}
          {paidMinor !== undefined && `; paid ${money(paidMinor, currency)}`}
          {worth.margin !== undefined && (
            <>
              ; leaves <b>{money(worth.margin, currency)}</b>
            </>
          )}
        </Box>
      )}
      {worth.ways.map((way, n) => (
        <Box key={way.way} display="grid" gridTemplateColumns="170px 1fr 84px" gap="8px" alignItems="center">
          <chakra.span fontWeight={n === 0 ? 700 : 400} fontSize="sm">
            {floor.Triage[way.way]}
          </chakra.span>
          <svg viewBox="-100 0 200 12" preserveAspectRatio="none" width="100%" height={12} aria-hidden="true">
            <rect
              x={Math.min(0, (100 * way.leavesMinor) / most)}
              width={Math.abs((100 * way.leavesMinor) / most)}
              height={12}
              fill={way.leavesMinor < 0 ? colours.hazard : n === 0 ? colours.mat : colours.matFaded}
            />
            <path d="M0 0V12" stroke={colours.ink} vectorEffect="non-scaling-stroke" />
          </svg>
          <chakra.span fontFamily="mono" fontSize="xs" textAlign="right">
            {money(way.leavesMinor, currency)}
          </chakra.span>
        </Box>
      ))}
      <Box color="muted" fontSize="xs">
        {worth.reasons.filter((reason) => !said.includes(reason)).join(' ')}
      </Box>
    </Box>
  );
}
