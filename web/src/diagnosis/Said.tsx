import { Box } from '@chakra-ui/react';

/** What is asked next. */
export function Said({ bench, children }: { bench?: boolean; children: string }) {
  return (
    <Box fontSize="md" color={bench ? 'chalkDust' : 'muted'}>
      {children}
    </Box>
  );
}
