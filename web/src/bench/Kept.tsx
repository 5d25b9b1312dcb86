import { Box } from '@chakra-ui/react';
import { useConnectionLost } from '../api/connection';

/** The connection is gone: said at once, with what is kept until it is back. */
export function Kept({ waiting }: { waiting?: string }) {
  const lost = useConnectionLost();
  if (!lost && !waiting) {
    return null;
  }
  return (
    <Box
      role="alert"
      gridColumn="1 / -1"
      bg="brassLight"
      color="#221a05"
      px="24px"
      py="9px"
      fontSize="18px"
      fontWeight={700}
    >
      The shop’s server does not answer.{' '}
      {waiting ? `Kept: ${waiting}. It goes through once, when the connection is back.` : 'Trying again…'}
    </Box>
  );
}
