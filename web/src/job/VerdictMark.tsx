import { chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';

const LOOKS = {
  PASSED: { bg: 'mat', color: 'onMat', borderStyle: 'solid', borderColor: 'mat' },
  FAILED: { bg: 'hazard', color: 'onMat', borderStyle: 'solid', borderColor: 'hazard' },
  NOT_TESTED: { bg: 'transparent', color: 'ink', borderStyle: 'dashed', borderColor: 'ink' },
} as const;

/** A verdict in a word; not tested looks nothing like passed. */
export function VerdictMark({ verdict }: { verdict: Schemas['Check']['verdict'] }) {
  return (
    <chakra.span
      display="inline-block"
      px="7px"
      border="1px solid"
      borderRadius="sm"
      fontSize="xs"
      fontWeight={700}
      {...LOOKS[verdict]}
    >
      {floor.Verdict[verdict]}
    </chakra.span>
  );
}
