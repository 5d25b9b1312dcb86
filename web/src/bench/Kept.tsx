import { Box } from '@chakra-ui/react';
import type { Problem } from '../api/client';
import { useConnection } from '../api/connection';

/** What was pressed does not get through: said at once and why, with what is kept until it does. */
export function Kept({ waiting, why }: { waiting?: string; why?: Problem }) {
  const connection = useConnection();
  if (connection === 'there' && !waiting) {
    return null;
  }
  const trouble =
    connection === 'busy'
      ? 'The shop’s database is busy with another program’s writing.'
      : connection === 'lost' || !why
        ? 'The shop’s server does not answer.'
        : why.isOfTheShop
          ? 'The shop’s data cannot be written at the moment.'
          : why.message;
  return (
    <Box
      role="alert"
      gridColumn="1 / -1"
      position="sticky"
      bottom={0}
      bg="brassLight"
      color="onBrass"
      px="24px"
      py="9px"
      fontSize="lg"
      fontWeight={700}
    >
      {trouble} {waiting ? `Kept: ${waiting}. It goes through once, as soon as it can.` : 'Trying again…'}
    </Box>
  );
}
