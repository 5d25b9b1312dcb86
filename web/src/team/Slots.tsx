import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

type Slot = Schemas['RackSlot'];

/** The places of the rack: one is picked to be called otherwise, or taken away if nothing stands in it. */
export function Slots({ slots, changeable }: { slots: Slot[]; changeable: boolean }) {
  const client = useQueryClient();
  const [picked, setPicked] = useState<Slot>();
  const [name, setName] = useState('');
  const write = useMutation({
    mutationFn: (act: 'add' | 'rename' | 'remove') => {
      const params = { path: { slot: picked?.name ?? '' } };
      return answer(
        act === 'add'
          ? api.POST('/api/shop/slots', { body: { name } })
          : act === 'rename'
            ? api.PUT('/api/shop/slots/{slot}', { params, body: { name } })
            : api.DELETE('/api/shop/slots/{slot}', { params }),
      );
    },
    onSuccess: (shop) => {
      client.setQueryData(answers.shop(), shop);
      client.invalidateQueries({ queryKey: answers.rack() });
      client.invalidateQueries({ queryKey: answers.counter() });
      setPicked(undefined);
      setName('');
    },
  });
  const pick = (slot: Slot) => {
    const again = slot.name === picked?.name;
    setPicked(again ? undefined : slot);
    setName(again ? '' : slot.name);
    write.reset();
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
                onClick={() => pick(slot)}
              >
                <b>{slot.name}</b>
                <Box fontSize="xs">{slot.tag ?? 'empty'}</Box>
              </Chip>
            ))}
        </Box>
      ))}
      {changeable && (
        <chakra.form
          aria-label="A slot"
          display="flex"
          gap="8px"
          alignItems="end"
          mt="10px"
          flexWrap="wrap"
          onSubmit={(event) => {
            event.preventDefault();
            write.mutate(picked ? 'rename' : 'add');
          }}
        >
          <Box w="180px">
            <Text
              label={picked ? `${picked.name} is called` : 'A new slot'}
              compact
              maxLength={12}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </Box>
          <Act
            look="main"
            type="submit"
            disabled={!name.trim() || name.trim() === picked?.name || write.isPending}
          >
            {picked ? 'Rename it' : 'Add it'}
          </Act>
          {picked && (
            <Act
              disabled={picked.tag !== undefined || write.isPending}
              onClick={() => write.mutate('remove')}
            >
              {picked.tag ? `${picked.tag} stands in it` : 'Take it away'}
            </Act>
          )}
          <Box flexBasis="100%">
            <Trouble error={write.error} />
          </Box>
        </chakra.form>
      )}
    </Box>
  );
}
