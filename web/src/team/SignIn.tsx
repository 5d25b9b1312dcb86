import { Box, chakra } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';
import { Tag } from '../parts/Tag';

const entry = z.object({
  name: said.words('Say who you are'),
  password: z.string().min(1, 'The password is missing'),
  code: z.string(),
});

/** The door. On the very first visit it makes the shop's first lead. */
export default function SignIn({ session }: { session: Schemas['SessionView'] }) {
  const client = useQueryClient();
  const enter = useSending({
    blank: { name: '', password: '', code: '' },
    check: entry,
    send: ({ code, ...who }) =>
      answer(
        session.firstVisit
          ? api.POST('/api/session/first', { body: { ...who, code } })
          : api.POST('/api/session', { body: who }),
      ),
    done: (now) => client.setQueryData(answers.session(), now),
  });
  return (
    <Box minH="100vh" display="grid" placeItems="center" bg="matSurface" p="20px">
      <Form of={enter} name="Sign in" w="400px" maxW="100%" bg="card" borderRadius="sm" p="26px" gap="14px">
        <Box>
          <Tag text="Wrench Notes" size={20} />
        </Box>
        <chakra.h1>{session.firstVisit ? 'Nobody works here yet' : 'Who is at work?'}</chakra.h1>
        {session.firstVisit && (
          <Box color="muted">
            You are the first: choose a name and a password, and you lead this shop. You add the others later.
          </Box>
        )}
        {session.firstVisit && (
          <TextIn
            of={enter}
            at="code"
            label="Code"
            hint="Printed where the program was started"
            fontFamily="mono"
            textTransform="uppercase"
          />
        )}
        <TextIn of={enter} at="name" label="Name" />
        <TextIn of={enter} at="password" label="Password" type="password" />
        <Act look="main" type="submit" disabled={enter.pending} justifyContent="center">
          {session.firstVisit ? 'Open the shop' : 'Sign in'}
        </Act>
        {session.demoPeople.length > 0 && (
          <Box borderTop="1px solid" borderColor="line" pt="12px" display="grid" gap="8px">
            <Box color="muted">Demo shop. Everybody’s password is “{session.demoPassword}”.</Box>
            <Box display="flex" gap="6px" flexWrap="wrap">
              {session.demoPeople.map((name) => (
                <Chip
                  key={name}
                  on={false}
                  onClick={() => {
                    enter.set({ name, password: session.demoPassword ?? '', code: '' });
                    enter.send();
                  }}
                >
                  {name}
                </Chip>
              ))}
            </Box>
          </Box>
        )}
        <Box color="muted" fontSize="xs" textAlign="right">
          {session.build}
        </Box>
      </Form>
    </Box>
  );
}
