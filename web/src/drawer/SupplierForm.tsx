import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api } from '../api/client';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';

/** Somebody who sells parts. */
export function SupplierForm({ done }: { done: () => void }) {
  const form = useSending({
    blank: { name: '', mail: '', number: '' },
    check: z.object({
      name: said.words('Say what the supplier is called'),
      mail: z.string(),
      number: z.string(),
    }),
    kept: 'supplier',
    send: (body) => answer(api.POST('/api/suppliers', { body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="A supplier" my="8px">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="name" label="Name" />
        <TextIn of={form} at="number" label="Our number there" />
        <TextIn of={form} at="mail" label="Mail for orders" />
      </Box>
      <Sends of={form} go="Keep it" />
    </Form>
  );
}
