import { Box } from '@chakra-ui/react';
import { Reach } from './Reach';
import { SignIns } from './SignIns';
import { Tokens } from './Tokens';

/** Who gets in: every browser that is signed in, every script, and the network the shop is open to. */
export default function WhoGetsIn() {
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} flex="1">
      <Box bg="card" p="18px 22px" borderRight="1px solid" borderColor="line" minW={0}>
        <SignIns all />
      </Box>
      <Box p="18px 22px" minW={0} display="grid" gap="26px" alignContent="start">
        <Reach />
        <Tokens />
      </Box>
    </Box>
  );
}
