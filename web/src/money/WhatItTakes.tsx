import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { useCurrency } from '../api/session';
import { span } from '../api/words';
import { money } from '../typed/sum';

const LEVELS = {
  REVISION: 'of this revision',
  MODEL: 'of this model',
  KIND: 'of its kind',
  ALL: 'of all',
  SHIPPED: '',
};

/** Hours and price, half and four-fifths likely, and the parts that will be wanted. */
export function WhatItTakes({ takes }: { takes: Schemas['Money'] }) {
  const currency = useCurrency();
  const { estimate } = takes;
  return (
    <Box role="group" aria-label="What it will take">
      <chakra.h2>What it will take</chakra.h2>
      <Box fontSize="md">
        <Figure>{span(estimate.halfMinutes)}</Figure> half likely,{' '}
        <Figure>{span(estimate.fourFifthsMinutes)}</Figure> four in five
      </Box>
      <Box fontSize="md">
        <Figure>{money(estimate.halfMinor, currency)}</Figure> to{' '}
        <Figure>{money(estimate.fourFifthsMinor, currency)}</Figure> with parts
      </Box>
      <Box color="muted" fontSize="xs">
        {estimate.jobs > 0
          ? `From ${estimate.jobs} jobs ${LEVELS[estimate.level]}.`
          : 'Common practice: no job like it has been timed here.'}{' '}
        The quote covers what is known; ask again before {money(estimate.askAgainMinor, currency)} or{' '}
        {span(estimate.askAgainMinutes)}.
      </Box>
      {takes.parts.map((part) => (
        <Box
          key={part.partId}
          borderLeft="4px solid"
          borderColor={part.count > 0 ? 'tape' : 'amber'}
          pl="10px"
          mt="6px"
          fontSize="sm"
        >
          <b>{part.part}</b>:{' '}
          {part.count > 0
            ? `${part.count} in drawer ${part.drawer}`
            : `none left, here within ${part.daysToGet} days half the time, ${part.daysAtMost} four times in five`}
        </Box>
      ))}
    </Box>
  );
}

function Figure({ children }: { children: string }) {
  return (
    <chakra.b fontFamily="mono" fontWeight={600}>
      {children}
    </chakra.b>
  );
}
