import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { span } from '../api/words';
import { OddsBar } from '../drawing/OddsBar';

/** A place to go to: how likely something is wrong there, how far it is, what the way breaks, and whether the part is here. */
export function AimRow({
  to,
  on,
  keyName,
  pick,
}: {
  to: Schemas['WorthGoing'];
  on: boolean;
  keyName?: string;
  pick: () => void;
}) {
  const here = to.parts.find((part) => part.there > 0);
  return (
    <chakra.button
      type="button"
      aria-pressed={on}
      display="grid"
      gridTemplateColumns="38px 1fr 26% 62px"
      gap="12px"
      alignItems="center"
      minH="56px"
      px="9px"
      py="4px"
      textAlign="left"
      border="1px solid"
      borderColor={on ? 'brassLight' : 'matLine'}
      bg={on ? 'matDeep' : 'transparent'}
      borderRadius="sm"
      cursor="pointer"
      _hover={{ bg: 'matDeep' }}
      onClick={pick}
    >
      <chakra.kbd
        fontFamily="mono"
        fontSize="lg"
        lineHeight="36px"
        textAlign="center"
        border="1px solid"
        borderColor={on ? 'brassLight' : 'matLine'}
        bg={on ? 'brassLight' : 'transparent'}
        color={on ? 'onBrass' : 'bone'}
        borderRadius="sm"
        aria-hidden="true"
      >
        {keyName}
      </chakra.kbd>
      <Box minW={0}>
        <chakra.b fontSize="lg" lineHeight={1.15}>
          {to.name}
        </chakra.b>
        <Box fontSize="sm" color="chalkDust" lineHeight={1.25}>
          {to.faults.map((one) => one.wrong).join(' or ')}
          {here ? ` · ${here.there} × ${here.name} here` : to.parts.length > 0 ? ' · its part is out' : ''}
        </Box>
        {to.breaks.length > 0 && (
          <Box fontSize="sm" color="hazardLight">
            breaks: {to.breaks.join(', ')}
          </Box>
        )}
      </Box>
      <OddsBar bench probability={to.probability} low={to.probability} high={to.probability} />
      <Box textAlign="right" fontFamily="mono" fontSize="sm" lineHeight={1.2}>
        {to.minutes === 0 ? 'open' : span(to.minutes)}
        <Box color="chalkDust">{to.steps > 0 && `${to.steps} step${to.steps === 1 ? '' : 's'}`}</Box>
      </Box>
    </chakra.button>
  );
}
