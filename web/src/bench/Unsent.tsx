import { Box, chakra } from '@chakra-ui/react';
import type { Problem } from '../api/client';
import { useConnection } from '../api/connection';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { type Bench, pressWords } from './press';
import type { Made } from './queue';

/** What was pressed and has not got through: said at once and why. What was refused waits for a word, and those behind it with it. */
export function Unsent({
  bench,
  made,
  why,
  refused,
  again,
  leaveOut,
}: {
  bench: Bench;
  made: readonly Made[];
  why?: Problem;
  refused?: Problem;
  again: () => void;
  leaveOut: (all: boolean) => void;
}) {
  const connection = useConnection();
  const [first, ...behind] = made;
  if (refused && first) {
    return (
      <Refused
        bench={bench}
        first={first}
        behind={behind}
        refused={refused}
        again={again}
        leaveOut={leaveOut}
      />
    );
  }
  if (connection === 'there' && !why) {
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
    <Strip>
      {trouble}{' '}
      {made.length === 0
        ? 'Go on: what you press is kept.'
        : made.length === 1 && first
          ? `Kept: ${pressWords(first.press, bench)}. It goes through once, as soon as it can.`
          : `Kept, not yet sent: ${made.length} presses, the last ${pressWords((made.at(-1) as Made).press, bench)}. Each goes through once, in this order.`}
    </Strip>
  );
}

function Strip({ children }: { children: React.ReactNode }) {
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
      zIndex={2}
    >
      {children}
    </Box>
  );
}

/** One press that does not fit the bench as it is now: what was pressed, what the shop says, and what becomes of it. */
function Refused({
  bench,
  first,
  behind,
  refused,
  again,
  leaveOut,
}: {
  bench: Bench;
  first: Made;
  behind: Made[];
  refused: Problem;
  again: () => void;
  leaveOut: (all: boolean) => void;
}) {
  useKeys([
    { key: '1', label: 'Press it again, on the bench as it is now', act: again },
    { key: '2', label: 'Leave it out', act: () => leaveOut(false) },
    { key: '3', label: 'Leave all of them out', act: () => leaveOut(true), off: behind.length === 0 },
  ]);
  return (
    <Strip>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="6px 24px">
        <Box>
          You pressed: {pressWords(first.press, bench)}
          {behind.length > 0 && (
            <chakra.ol
              fontWeight={400}
              fontSize="md"
              pl="22px"
              m={0}
              maxH="84px"
              overflowY="auto"
              aria-label="Pressed after it"
            >
              {behind.map((one) => (
                <li key={one.id}>{pressWords(one.press, bench)}</li>
              ))}
            </chakra.ol>
          )}
        </Box>
        <Box>
          The shop says: {refused.reasons.length > 0 ? refused.reasons.join(' ') : refused.message}
          <Box fontWeight={400} fontSize="md">
            Above is the bench as it is now, without what you pressed.
          </Box>
        </Box>
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap" mt="8px">
        <Act look="onTape" minH="56px" keyName="1" onClick={again}>
          Press it again{behind.length > 0 && ', then the rest'}
        </Act>
        <Act look="onTape" minH="56px" keyName="2" onClick={() => leaveOut(false)}>
          Leave it out{behind.length > 0 && ', go on with the rest'}
        </Act>
        {behind.length > 0 && (
          <Act look="onTape" minH="56px" keyName="3" onClick={() => leaveOut(true)}>
            Leave all {behind.length + 1} out
          </Act>
        )}
      </Box>
    </Strip>
  );
}
