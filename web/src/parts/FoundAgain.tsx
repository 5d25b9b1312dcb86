import { Box } from '@chakra-ui/react';
import { moment } from '../api/words';
import { Act } from './Buttons';
import type { Draft } from './useDraft';

/** Says that what stands in a form was typed before and not sent. */
export function FoundAgain<T>({ draft }: { draft: Draft<T> }) {
  if (draft.foundAt === undefined) {
    return null;
  }
  return (
    <Box
      role="status"
      display="flex"
      alignItems="center"
      gap="8px"
      bg="tape"
      color="ink"
      borderRadius="sm"
      px="10px"
      py="4px"
      mb="6px"
      fontSize="sm"
    >
      <Box flex="1">As you left it, {moment(new Date(draft.foundAt).toISOString())}. It is not sent yet.</Box>
      <Act minH="34px" onClick={() => draft.forget()}>
        Start anew
      </Act>
    </Box>
  );
}
