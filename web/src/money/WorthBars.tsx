import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useCurrency } from '../api/session';
import { colours } from '../theme';
import { money } from '../typed/sum';

type Worth = Schemas['Worth'];

/** What each way leaves, as bars from nothing: to the left is a loss. */
export function WorthBars({ worth, paidMinor }: { worth: Worth; paidMinor?: number }) {
  const currency = useCurrency();
  const most = Math.max(1, ...worth.ways.map((way) => Math.abs(way.leavesMinor)));
  return (
    <Box role="group" aria-label="Worth it?">
      {worth.price && (
        <Box fontSize="14.5px">
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
          <chakra.span fontWeight={n === 0 ? 700 : 400} fontSize="14.5px">
            {floor.Triage[way.way]}
          </chakra.span>
          <svg viewBox="-100 0 200 12" preserveAspectRatio="none" width="100%" height={12} aria-hidden="true">
            <rect
              x={Math.min(0, (100 * way.leavesMinor) / most)}
              width={Math.abs((100 * way.leavesMinor) / most)}
              height={12}
              fill={way.leavesMinor < 0 ? colours.hazard : n === 0 ? colours.mat : '#9DB5AC'}
            />
            <path d="M0 0V12" stroke={colours.ink} vectorEffect="non-scaling-stroke" />
          </svg>
          <chakra.span fontFamily="mono" fontSize="13.5px" textAlign="right">
            {money(way.leavesMinor, currency)}
          </chakra.span>
        </Box>
      ))}
      <Box color="muted" fontSize="13px">
        {worth.reasons.join(' ')}
      </Box>
    </Box>
  );
}
