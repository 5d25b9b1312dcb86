import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { MarkedPhoto } from '../drawing/MarkedPhoto';

/** The revisions of a model side by side, so that the counter can tell which one stands on it. */
export function Looks({ revisions, picked }: { revisions: Schemas['Revision'][]; picked?: number }) {
  const seen = revisions.flatMap((one) => (one.look ? [{ ...one, look: one.look }] : []));
  if (revisions.length < 2 || picked !== undefined || seen.length === 0) {
    return null;
  }
  return (
    <Box
      display="grid"
      gridTemplateColumns="repeat(2, 1fr)"
      gap="10px"
      mt="8px"
      aria-label="From outside"
      role="group"
    >
      {seen.map((one) => (
        <Box key={one.id}>
          <b>{one.name}</b>
          <MarkedPhoto photo={one.look} />
        </Box>
      ))}
    </Box>
  );
}
