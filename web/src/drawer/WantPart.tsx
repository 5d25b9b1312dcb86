import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { CountIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { UnitPick } from './UnitPick';

/** Onto the list of what to order, for a unit that waits for it or for the drawer. */
export function WantPart({
  part,
  count,
  proposed,
  done,
}: {
  part: Schemas['Part'];
  count: number;
  /** whether the shop's own figures say so */
  proposed: boolean;
  done: () => void;
}) {
  const form = useSending({
    blank: { count, jobId: undefined as number | undefined, why: '' },
    check: z.object({ count: said.count(1, 9999), jobId: z.number().optional(), why: z.string() }),
    kept: `want ${part.id}`,
    send: (body) =>
      answer(
        api.POST('/api/order-lines', {
          body: { ...body, partId: part.id, proposed: proposed && body.jobId === undefined },
        }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Order" my="8px">
      <Box display="grid" gridTemplateColumns="100px 1fr 1fr" gap="8px">
        <CountIn of={form} at="count" label="How many" min={1} />
        <UnitPick of={form} at="jobId" label="For" nobody="the drawer" />
        <TextIn of={form} at="why" label="Why" placeholder="runs out" />
      </Box>
      <Sends of={form} go="Put it on the list" />
    </Form>
  );
}
