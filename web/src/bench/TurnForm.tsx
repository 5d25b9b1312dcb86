import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Aim } from './Aim';
import type { Bench, Presses } from './press';

/** On the way in to something else: what is open stays open. */
export function TurnForm({
  bench,
  press,
  busy,
  leave,
}: {
  bench: Bench;
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  const [aim, setAim] = useState({ targets: bench.run?.targets ?? [] });
  const go = () => press({ act: 'turn', said: aim });
  useKeys([
    { key: 'Space', label: 'That way', act: go, off: busy },
    { key: 'Escape', label: 'Leave it', act: leave },
  ]);
  return (
    <Box display="grid" gap="12px">
      <chakra.h1 fontSize="3xl">Go elsewhere</chakra.h1>
      <Aim bench={bench} aim={aim} set={setAim} digits />
      <Box display="flex" gap="9px">
        <Act look="benchMain" flex="1" minH="56px" keyName="Space" disabled={busy} onClick={go}>
          That way
        </Act>
        <Act look="bench" minH="56px" keyName="Esc" onClick={leave}>
          Leave it
        </Act>
      </Box>
    </Box>
  );
}
