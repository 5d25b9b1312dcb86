import { Box, Dialog, Portal } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { Counter } from './Counter';
import { FromDrawer } from './FromDrawer';
import { type Account, inAccount } from './heaps';

export type Pointed = { thing: Schemas['ThingView']; from: Account };

/** One thing on the mat was pointed at: where does it go? */
export function MoveDialog({
  job,
  pointed,
  close,
  move,
  busy,
  error,
}: {
  job: number;
  pointed?: Pointed;
  close: () => void;
  move: (move: Schemas['MoveSaid']) => void;
  busy: boolean;
  error: unknown;
}) {
  const [count, setCount] = useState(1);
  const [reason, setReason] = useState('');
  const [partId, setPartId] = useState<number>();
  const there = pointed ? inAccount(pointed.thing, pointed.from) : 0;
  const offered = pointed?.thing.moves.filter((one) => one.from === pointed.from) ?? [];
  return (
    <Dialog.Root open={pointed !== undefined} onOpenChange={(now) => !now.open && close()} size="sm">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          {pointed && (
            <Dialog.Content bg="matDeep" color="bone" borderRadius="sm" data-bench="">
              <Dialog.Header>
                <Dialog.Title>
                  {pointed.thing.label}, {there} {floor.Account[pointed.from]}
                </Dialog.Title>
              </Dialog.Header>
              <Dialog.Body display="grid" gap="12px">
                {there > 1 && (
                  <Counter
                    label="how many"
                    value={count}
                    most={there}
                    set={(n) => setCount(Math.max(1, n))}
                  />
                )}
                <Text
                  label="Why (must be said when it is left out)"
                  value={reason}
                  onChange={(event) => setReason(event.target.value)}
                />
                <FromDrawer
                  job={job}
                  thing={pointed.thing.id}
                  count={count}
                  picked={partId}
                  pick={setPartId}
                />
                <Box display="grid" gap="8px">
                  {offered.map(({ to, most, wantsReason, words }) => (
                    <Act
                      key={to}
                      look="bench"
                      minH="48px"
                      disabled={busy || count > most || (wantsReason && !reason.trim())}
                      onClick={() =>
                        move({ thing: pointed.thing.id, from: pointed.from, to, count, reason, partId })
                      }
                    >
                      {words}
                    </Act>
                  ))}
                </Box>
                <Trouble error={error} />
              </Dialog.Body>
              <Dialog.Footer>
                <Act look="bench" onClick={close}>
                  Leave it
                </Act>
              </Dialog.Footer>
            </Dialog.Content>
          )}
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
