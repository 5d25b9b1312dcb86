import { Box, Dialog, Portal } from '@chakra-ui/react';
import { z } from 'zod';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { Counter } from './Counter';
import { FromDrawer } from './FromDrawer';
import { type Account, inAccount } from './heaps';
import { ReasonChips } from './ReasonChips';

export type Pointed = { thing: Schemas['ThingView']; from: Account };

const moved = z.object({ count: z.number(), reason: z.string(), partId: z.number().optional() });

type Props = {
  job: number;
  close: () => void;
  move: (move: Schemas['MoveSaid']) => Promise<unknown>;
  busy: boolean;
  error: unknown;
};

/** One thing on the mat was pointed at: where does it go? */
export function MoveDialog({ pointed, ...rest }: Props & { pointed?: Pointed }) {
  return (
    <Dialog.Root open={pointed !== undefined} onOpenChange={(now) => !now.open && rest.close()} size="sm">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>{pointed && <Where {...rest} {...pointed} />}</Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

function Where({ job, thing, from, close, move, busy, error }: Props & Pointed) {
  const there = inAccount(thing, from);
  const offered = thing.moves.filter((one) => one.from === from);
  const form = useSending<z.input<typeof moved>, z.output<typeof moved>, Account>({
    blank: { count: 1, reason: '' },
    check: moved,
    send: (said, to) => move({ thing: thing.id, from, to, ...said }),
    leave: close,
  });
  const { count, reason, partId } = form.value;
  return (
    <Dialog.Content bg="matDeep" color="bone" borderRadius="sm" data-bench="">
      <Form of={form} name={thing.label} still quiet>
        <Dialog.Header>
          <Dialog.Title>
            {thing.label}, {there} {floor.Account[from]}
          </Dialog.Title>
        </Dialog.Header>
        <Dialog.Body display="grid" gap="12px">
          {there > 1 && (
            <Counter
              label="how many"
              value={count}
              most={there}
              set={(n) => form.put('count', Math.max(1, n))}
            />
          )}
          {offered.some((one) => one.wantsReason) && (
            <ReasonChips picked={reason} pick={(words) => form.put('reason', words)} />
          )}
          <TextIn of={form} at="reason" label="Why (must be said when it is left out)" />
          <FromDrawer
            job={job}
            thing={thing.id}
            count={count}
            picked={partId}
            pick={(part) => form.put('partId', part)}
          />
          <Box display="grid" gap="8px">
            {offered.map(({ to, most, wantsReason, words }) => (
              <Act
                key={to}
                look="bench"
                minH="48px"
                disabled={busy || count > most || (wantsReason && !reason.trim())}
                onClick={() => form.send(to)}
              >
                {words}
              </Act>
            ))}
          </Box>
          <Trouble error={error} />
        </Dialog.Body>
        <Dialog.Footer>
          <Act look="bench" onClick={form.leave}>
            Leave it
          </Act>
        </Dialog.Footer>
      </Form>
    </Dialog.Content>
  );
}
