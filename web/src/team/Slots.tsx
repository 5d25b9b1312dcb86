import { Box, chakra } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';

type Slot = Schemas['RackSlot'];

const called = z.object({ name: said.words('Say what the slot is called') });

/** The places of the rack: one is picked to be called otherwise, or taken away if nothing stands in it. */
export function Slots({ slots, changeable }: { slots: Slot[]; changeable: boolean }) {
  const client = useQueryClient();
  const [picked, setPicked] = useState<Slot>();
  const form = useSending({
    blank: { name: '' },
    check: called,
    send: ({ name }, act: 'add' | 'rename' | 'remove') => {
      const params = { path: { slot: picked?.name ?? '' } };
      return answer(
        act === 'add'
          ? api.POST('/api/shop/slots', { body: { name } })
          : act === 'rename'
            ? api.PUT('/api/shop/slots/{slot}', { params, body: { name } })
            : api.DELETE('/api/shop/slots/{slot}', { params }),
      );
    },
    done: (shop) => {
      client.setQueryData(answers.shop(), shop);
      choose(undefined);
    },
    leave: () => choose(undefined),
  });
  const choose = (slot?: Slot) => {
    setPicked(slot);
    form.begin({ name: slot?.name ?? '' });
  };
  const shelves = [...new Set(slots.map((slot) => slot.shelf))];
  return (
    <Box role="group" aria-label="The rack">
      <chakra.h1 mb="6px">The rack</chakra.h1>
      {shelves.map((shelf) => (
        <Box
          key={shelf}
          display="grid"
          gridTemplateColumns="repeat(auto-fill, minmax(86px, 1fr))"
          gap="6px"
          py="4px"
        >
          {slots
            .filter((slot) => slot.shelf === shelf)
            .map((slot) => (
              <Chip
                key={slot.name}
                on={picked?.name === slot.name}
                minH="48px"
                px="4px"
                lineHeight={1.2}
                disabled={!changeable}
                onClick={() => choose(slot.name === picked?.name ? undefined : slot)}
              >
                <b>{slot.name}</b>
                <Box fontSize="xs">{slot.tag ?? 'empty'}</Box>
              </Chip>
            ))}
        </Box>
      ))}
      {changeable && (
        <Form
          of={form}
          name="A slot"
          sends={picked ? 'rename' : 'add'}
          first={false}
          display="flex"
          alignItems="end"
          mt="10px"
          flexWrap="wrap"
        >
          <Box w="180px">
            <TextIn
              of={form}
              at="name"
              label={picked ? `${picked.name} is called` : 'A new slot'}
              compact
              maxLength={12}
            />
          </Box>
          <Act look="main" type="submit" disabled={form.value.name.trim() === picked?.name || form.pending}>
            {picked ? 'Rename it' : 'Add it'}
          </Act>
          {picked && (
            <Act disabled={picked.tag !== undefined || form.pending} onClick={() => form.send('remove')}>
              {picked.tag ? `${picked.tag} stands in it` : 'Take it away'}
            </Act>
          )}
        </Form>
      )}
    </Box>
  );
}
