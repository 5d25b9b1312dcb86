import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { moment } from '../api/words';

/** One line of the sheet, with what can be done about it. */
export function Line({ struck, children, act }: { struck?: boolean; children: ReactNode; act?: ReactNode }) {
  return (
    <Box
      display="flex"
      gap="10px"
      justifyContent="space-between"
      alignItems="center"
      borderTop="1px solid"
      borderColor="line"
      py="4px"
    >
      <Box textDecoration={struck ? 'line-through' : undefined} color={struck ? 'muted' : undefined} minW={0}>
        {children}
      </Box>
      {act}
    </Box>
  );
}

/** Who said it, and when. */
export function Who({ by, at }: { by: string; at: string }) {
  return (
    <chakra.span color="muted" fontSize="xs" whiteSpace="nowrap">
      {by}, {moment(at)}
    </chakra.span>
  );
}
