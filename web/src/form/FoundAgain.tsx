import { Box } from '@chakra-ui/react';
import { moment } from '../api/words';
import { Act } from '../parts/Buttons';

/** Says that what stands in a form was typed before and not sent. */
export function FoundAgain({ of }: { of: { foundAt?: number; forget: () => void } }) {
  if (of.foundAt === undefined) {
    return null;
  }
  return (
    <Box
      role="status"
      display="flex"
      alignItems="center"
      gap="8px"
      bg="tape"
      color="onTape"
      borderRadius="sm"
      px="10px"
      py="4px"
      mb="6px"
      fontSize="sm"
    >
      <Box flex="1">As you left it, {moment(new Date(of.foundAt).toISOString())}. It is not sent yet.</Box>
      <Act look="onTape" minH="34px" onClick={() => of.forget()}>
        Start anew
      </Act>
    </Box>
  );
}
