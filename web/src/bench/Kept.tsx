import { Box } from '@chakra-ui/react';
import { useConnection } from '../api/connection';

/** What was pressed does not get through: said at once and why, with what is kept until it does. */
export function Kept({ waiting, why }: { waiting?: string; why?: string }) {
  const connection = useConnection();
  if (connection === 'there' && !waiting) {
    return null;
  }
  const trouble =
    connection === 'busy'
      ? 'The shop’s database is busy with another program’s writing.'
      : connection === 'lost' || !why
        ? 'The shop’s server does not answer.'
        : why;
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
      {trouble} {waiting ? `Kept: ${waiting}. It goes through once, as soon as it can.` : 'Trying again…'}
    </Box>
  );
}
