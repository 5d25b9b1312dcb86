import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { moment } from '../api/words';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';

/** The browsers that one is signed in on; with `all`, a lead's view of everybody's. */
export function SignIns({ all }: { all?: boolean }) {
  const client = useQueryClient();
  const signIns = useQuery({
    queryKey: answers.signIns(),
    queryFn: () => answer(api.GET('/api/sign-ins')),
    refetchInterval: 60_000,
  });
  const end = useMutation({
    mutationFn: (one: number | 'others') =>
      one === 'others'
        ? answer(api.DELETE('/api/sign-ins'))
        : answer(api.DELETE('/api/sign-ins/{signIn}', { params: { path: { signIn: one } } })),
    onSuccess: (now) => client.setQueryData(answers.signIns(), now),
  });
  return (
    <Box role="group" aria-label={all ? 'Everybody’s browsers' : 'Your browsers'}>
      <chakra.h1 mb="6px">{all ? 'Where everybody is signed in' : 'Where you are signed in'}</chakra.h1>
      <Loaded query={signIns}>
        {(now) => {
          const shown = all ? now : now.filter((one) => one.own);
          return (
            <>
              {shown.map((one) => (
                <OneSignIn
                  key={one.id}
                  one={one}
                  named={all}
                  end={() => end.mutate(one.id)}
                  off={end.isPending}
                />
              ))}
              {!all && shown.length > 1 && (
                <Act mt="8px" disabled={end.isPending} onClick={() => end.mutate('others')}>
                  Sign out everywhere else
                </Act>
              )}
            </>
          );
        }}
      </Loaded>
      <Trouble error={end.error} />
    </Box>
  );
}

function OneSignIn({
  one,
  named,
  end,
  off,
}: {
  one: Schemas['SignInOpen'];
  named?: boolean;
  end: () => void;
  off: boolean;
}) {
  return (
    <Box
      borderTop="1px solid"
      borderColor="line"
      py="4px"
      display="grid"
      gridTemplateColumns={{ base: '1fr 1fr', md: named ? '90px 120px 1fr auto' : '130px 1fr auto' }}
      gap="4px 14px"
      alignItems="center"
      minH="44px"
    >
      {named && <chakra.b>{one.name}</chakra.b>}
      <chakra.span fontFamily="mono" overflowWrap="anywhere">
        {one.address || 'before addresses were kept'}
      </chakra.span>
      <chakra.span color="muted">
        since {moment(one.at)}
        {one.seen && moment(one.seen) !== moment(one.at) && `, last used ${moment(one.seen)}`}
      </chakra.span>
      <Box justifySelf="end">
        {one.here ? (
          <chakra.b>this one</chakra.b>
        ) : (
          <Act
            look="quiet"
            color="chalk"
            disabled={off}
            onClick={end}
            aria-label={`Sign out ${one.name} at ${one.address}`}
          >
            Sign out
          </Act>
        )}
      </Box>
    </Box>
  );
}
