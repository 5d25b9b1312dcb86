import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { PowerMark } from './PowerMark';
import type { Bench } from './press';
import { StepClock } from './StepClock';

/** The left half of the bench: which unit, whether it has power, where one is; and what is done. */
export function LeftHalf({
  bench,
  position,
  error,
  usual,
  children,
}: {
  bench: Bench;
  position: string;
  /** minutes that the step in hand takes usually */
  usual?: number;
  error: unknown;
  children: ReactNode;
}) {
  return (
    <Box
      p="18px 24px"
      borderRight="1px solid"
      borderColor="matGrid"
      display="flex"
      flexDirection="column"
      gap="12px"
      overflowY="auto"
      maxH={{ lg: 'calc(100vh - 128px)' }}
    >
      <Box display="flex" justifyContent="space-between" alignItems="center" gap="10px">
        <Tag text={bench.unit.tag} />
        {!isOut(bench) && <PowerMark power={bench.stand.power} />}
        <Box textAlign="right">
          <Box fontFamily="mono" fontWeight={600} fontSize="sm" color="chalkDust" whiteSpace="nowrap">
            {position}
          </Box>
          <StepClock bench={bench} usual={usual} />
        </Box>
      </Box>
      {children}
      <Trouble error={error} />
    </Box>
  );
}

/** Whether the unit is out with its owner, unfinished. */
export function isOut(bench: Bench): boolean {
  return bench.stand.status.standing === 'ON_LOAN';
}
