import { Box, chakra } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';

// The page's content policy allows no code made at run time, not even as a try.
z.config({ jitless: true });

const entry = z.object({
  name: z.string().trim().min(1, 'Say who you are'),
  password: z.string().min(1, 'The password is missing'),
});

/** The door. On the very first visit it makes the shop's first lead. */
export function SignIn({ session }: { session: Schemas['SessionView'] }) {
  const client = useQueryClient();
  const form = useForm({ resolver: zodResolver(entry), defaultValues: { name: '', password: '' } });
  const enter = useMutation({
    mutationFn: (body: z.infer<typeof entry>) =>
      answer(
        session.firstVisit ? api.POST('/api/session/first', { body }) : api.POST('/api/session', { body }),
      ),
    onSuccess: (now) => client.setQueryData(answers.session(), now),
  });
  const { errors } = form.formState;
  return (
    <Box minH="100vh" display="grid" placeItems="center" bg="matSurface" p="20px">
      <chakra.form
        w="400px"
        maxW="100%"
        bg="card"
        borderRadius="sm"
        p="26px"
        display="grid"
        gap="14px"
        onSubmit={form.handleSubmit((body) => enter.mutate(body))}
      >
        <Box>
          <Tag text="Wrench Notes" size={20} />
        </Box>
        <chakra.h1>{session.firstVisit ? 'Nobody works here yet' : 'Who is at work?'}</chakra.h1>
        {session.firstVisit && (
          <Box color="muted">
            You are the first: choose a name and a password, and you lead this shop. You add the others later.
          </Box>
        )}
        <Text label="Name" autoFocus problem={errors.name?.message} {...form.register('name')} />
        <Text
          label="Password"
          type="password"
          problem={errors.password?.message}
          {...form.register('password')}
        />
        <Trouble error={enter.error} />
        <Act look="main" type="submit" disabled={enter.isPending} justifyContent="center">
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
                  onClick={() => enter.mutate({ name, password: session.demoPassword ?? '' })}
                >
                  {name}
                </Chip>
              ))}
            </Box>
          </Box>
        )}
      </chakra.form>
    </Box>
  );
}
