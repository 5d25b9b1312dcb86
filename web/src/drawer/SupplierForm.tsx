import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';

/** Somebody who sells parts, new or known. */
export function SupplierForm({ supplier, done }: { supplier?: Schemas['Supplier']; done: () => void }) {
  const form = useSending({
    blank: {
      name: supplier?.name ?? '',
      mail: supplier?.mail ?? '',
      number: supplier?.number ?? '',
      address: supplier?.address ?? '',
    },
    check: z.object({
      name: said.words('Say what the supplier is called'),
      mail: z.string(),
      number: z.string(),
      address: z.string(),
    }),
    kept: supplier ? `supplier ${supplier.id} ${supplier.version}` : 'supplier',
    send: (body) =>
      answer(
        supplier
          ? api.PUT('/api/suppliers/{supplier}', {
              params: { path: { supplier: supplier.id }, header: seen(supplier.version) },
              body,
            })
          : api.POST('/api/suppliers', { body }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name={supplier ? `Supplier ${supplier.name}` : 'A supplier'} my="8px">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="name" label="Name" />
        <TextIn of={form} at="number" label="Our number there" />
        <TextIn of={form} at="mail" label="Mail for orders" />
        <TextIn
          of={form}
          at="address"
          label="Takes orders at"
          hint="http://…, https://…, or folder:name. A lead sets it."
        />
      </Box>
      <Sends of={form} go="Keep it" />
    </Form>
  );
}
