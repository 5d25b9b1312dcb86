import { Box, chakra } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';

const choice = z.object({
  now: z.string().min(1, 'Your password now is missing'),
  next: z.string().min(1, 'Choose one'),
});

/** Another password of one's own; every other browser is signed out by it. */
export function OwnPassword() {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState(false);
  const form = useSending({
    blank: { now: '', next: '' },
    check: choice,
    send: (body) => answer(api.PUT('/api/sign-ins/password', { body })),
    done: (signIns) => {
      client.setQueryData(answers.signIns(), signIns);
      form.forget();
      setOpen(false);
      setChosen(true);
    },
    leave: () => setOpen(false),
  });
  return (
    <Box mb="18px" maxW="460px" role="group" aria-label="Your password">
      <chakra.h1 mb="6px">Your password</chakra.h1>
      {open ? (
        <Form of={form} name="Choose another password">
          <TextIn of={form} at="now" label="Password now" type="password" />
          <TextIn
            of={form}
            at="next"
            label="From now on"
            type="password"
            hint="Ten letters at least; three or four words that do not belong together are a good one."
          />
          <Sends of={form} go="Take this one" />
        </Form>
      ) : (
        <Box display="flex" gap="10px" alignItems="center">
          <Act
            onClick={() => {
              setOpen(true);
              setChosen(false);
            }}
          >
            Choose another
          </Act>
          {chosen && <Box role="status">It is changed; every other browser of yours is signed out.</Box>}
        </Box>
      )}
    </Box>
  );
}
