import { Box, chakra } from '@chakra-ui/react';
import type { FallbackProps } from 'react-error-boundary';
import { Act } from '../parts/Buttons';

/** A room that cannot be shown: the others stand, and nothing that was sent is lost. */
export function Broken({ error, resetErrorBoundary }: FallbackProps) {
  const words = error instanceof Error ? error.message : String(error);
  return (
    <Box p="24px" role="alert" maxW="720px">
      <chakra.h1>This room cannot be shown</chakra.h1>
      <Box py="8px">
        Something broke in the screen, not in the shop’s record. Try it once more; the other rooms stand.
      </Box>
      <Box py="4px" fontFamily="mono" fontSize="sm" color="muted">
        {words}
      </Box>
      <Box display="flex" gap="8px" pt="8px">
        <Act look="main" onClick={resetErrorBoundary}>
          Try it again
        </Act>
        <Act onClick={() => window.location.reload()}>Load the page anew</Act>
      </Box>
    </Box>
  );
}
