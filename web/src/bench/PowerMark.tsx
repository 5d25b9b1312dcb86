import { Box } from '@chakra-ui/react';
import { moment } from '../api/shopWide';
import type { Bench } from './press';

/** Whether the unit has power, and since when: a fact, not a guess. However narrow it gets, LIVE is read whole. */
export function PowerMark({ power }: { power: Bench['stand']['power'] }) {
  const live = power.state === 'LIVE';
  const words = live
    ? `LIVE${power.why ? `: ${power.why}` : ''}`
    : power.state === 'OFF'
      ? 'OFF, STILL PLUGGED IN'
      : 'OFF, UNPLUGGED';
  return (
    <Box
      role="status"
      aria-label="Power"
      fontFamily="mono"
      fontWeight={600}
      fontSize="sm"
      px="8px"
      py="2px"
      borderRadius="sm"
      border="1px solid"
      borderColor={live ? 'hazardLight' : 'matLine'}
      bg={live ? 'hazard' : 'transparent'}
      color={live ? 'onMat' : power.state === 'OFF' ? 'brassLight' : 'chalkDust'}
      title={power.since && `since ${moment(power.since)}`}
      minW="76px"
      mr="auto"
      overflow="hidden"
      textOverflow="ellipsis"
      whiteSpace="nowrap"
    >
      {words}
    </Box>
  );
}
