import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { KeyCap } from '../parts/Buttons';
import { TestOnly } from './PartPick';
import { Picture } from './Picture';

/** One part in a list: as it looks, what it is, how many there are; a press opens it. */
export function PartRow({
  lies,
  takes,
  open,
  opened,
  keyName,
}: {
  lies: Schemas['Lies'];
  /** what takes it */
  takes?: string;
  open: () => void;
  opened?: boolean;
  keyName?: string;
}) {
  const { part } = lies;
  return (
    <chakra.button
      type="button"
      onClick={open}
      aria-pressed={opened}
      display="grid"
      gridTemplateColumns="64px 44px 1fr auto"
      gap="10px"
      alignItems="center"
      w="100%"
      textAlign="left"
      borderTop="1px solid"
      borderColor="line"
      bg={opened ? 'matPaper' : undefined}
      px="4px"
      py="5px"
      cursor="pointer"
    >
      <Picture lies={lies} width={60} height={34} />
      <chakra.span fontFamily="mono">{part.drawer}</chakra.span>
      <Box>
        <b>{part.name}</b>
        <TestOnly is={part.care.temporary} />
        <Box fontSize="sm" color="muted">
          {takes || part.told || part.what || 'nobody has said what it is'}
        </Box>
      </Box>
      <Left part={part} keyName={keyName} />
    </chakra.button>
  );
}

function Left({ part, keyName }: { part: Schemas['Part']; keyName?: string }) {
  return (
    <Box textAlign="right" whiteSpace="nowrap">
      <chakra.span fontFamily="mono" fontWeight={600} color={part.count === 0 ? 'hazard' : 'brassInk'}>
        {part.count === 0 ? 'none left' : part.count}
      </chakra.span>
      {keyName && (
        <>
          {' '}
          <KeyCap name={keyName} />
        </>
      )}
      {part.promised > 0 && (
        <Box fontSize="xs" color="amberInk">
          {part.promised} promised
        </Box>
      )}
    </Box>
  );
}
