import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { CountIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';

/** Some came in: a pack of them, if nothing else is said. */
export function BookIn({ part, pack, done }: { part: Schemas['Part']; pack: number; done: () => void }) {
  const form = useSending({
    blank: { count: pack, why: '' },
    check: z.object({ count: said.count(1, 9999), why: z.string() }),
    kept: `book in ${part.id}`,
    send: (body) =>
      answer(api.POST('/api/parts/{part}/stock', { params: { path: { part: part.id } }, body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Book in" my="8px">
      <Box display="grid" gridTemplateColumns="120px 1fr" gap="8px">
        <CountIn of={form} at="count" label="How many come in" min={1} />
        <TextIn of={form} at="why" label="From where" />
      </Box>
      <Sends of={form} go="Book them in" />
    </Form>
  );
}
