import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { CountIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';

/** The book is wrong: how many there are, and why. */
export function CountPart({ part, done }: { part: Schemas['Part']; done: () => void }) {
  const form = useSending({
    blank: { count: part.count, why: 'counted' },
    check: z.object({ count: said.count(0, 99_999), why: said.words('Say why the book was wrong') }),
    kept: `count ${part.id}`,
    send: (body) =>
      answer(api.POST('/api/parts/{part}/count', { params: { path: { part: part.id } }, body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Count" my="8px">
      <Box display="grid" gridTemplateColumns="120px 1fr" gap="8px">
        <CountIn of={form} at="count" label="How many there are" min={0} />
        <TextIn of={form} at="why" label="Why" />
      </Box>
      <Sends of={form} go={`Put the book right, from ${part.count}`} />
    </Form>
  );
}
