import { Box, Dialog, Portal } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded } from '../parts/States';

const entry = z.object({ name: z.string(), password: z.string().min(1, 'The password is missing') });

/** Somebody else takes over at this device, on the screen that is open: a name and a password. */
export default function WhoIsAtWork({ now, close }: { now: string; close: () => void }) {
  const people = useQuery({ queryKey: answers.people(), queryFn: () => answer(api.GET('/api/people')) });
  const [name, setName] = useState<string>();
  return (
    <Dialog.Root open onOpenChange={(shown) => !shown.open && close()} size="sm">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="card" borderRadius="sm">
            <Dialog.Header>
              <Dialog.Title>Who is at work?</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              {name === undefined ? (
                <Loaded query={people}>
                  {(all) => (
                    <Box display="grid" gap="8px">
                      {all.map((one) => (
                        <Act
                          key={one.id}
                          minH="56px"
                          disabled={one.name === now}
                          onClick={() => setName(one.name)}
                        >
                          {one.name}
                          {one.name === now && ', now'}
                        </Act>
                      ))}
                    </Box>
                  )}
                </Loaded>
              ) : (
                <Enter name={name} done={close} leave={() => setName(undefined)} />
              )}
            </Dialog.Body>
            <Dialog.Footer>
              <Act onClick={close}>Nobody else</Act>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

function Enter({ name, done, leave }: { name: string; done: () => void; leave: () => void }) {
  const client = useQueryClient();
  const form = useSending({
    blank: { name, password: '' },
    check: entry,
    send: (body) => answer(api.POST('/api/session', { body })),
    done: (session) => {
      client.setQueryData(answers.session(), session);
      done();
    },
    leave,
  });
  return (
    <Form of={form} name={`${name} is at work`} gap="10px">
      <TextIn of={form} at="password" label={`Password of ${name}`} type="password" />
      <Sends of={form} go={`${name} is at work`} />
    </Form>
  );
}
