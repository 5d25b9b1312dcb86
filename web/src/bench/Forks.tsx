import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { experienceOf } from '../job/experience';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

type Fork = Schemas['Fork'];
type Chosen = Schemas['Chosen'];

/** What others chose who stood here; the same is chosen by one press. */
export function Forks({ job, after }: { job: number; after?: string }) {
  const experience = useQuery(experienceOf(job));
  const here = experience.data?.forks.filter((fork) => fork.after.includes(after ?? '')) ?? [];
  const decide = useJobWrite(({ fork, choice }: { fork: Fork; choice: Chosen }) =>
    answer(
      api.POST('/api/jobs/{job}/decisions', {
        params: { path: { job } },
        body: { fork: fork.fork, choice: choice.choice, why: choice.why, considered: '' },
      }),
    ),
  );
  if (here.length === 0) {
    return null;
  }
  return (
    <Box display="grid" gap="6px" role="group" aria-label="What others chose here">
      {here.map((fork) => (
        <Box key={fork.fork} borderLeft="5px solid" borderColor="brassLight" pl="12px">
          <Box fontSize="sm" color="brassLight">
            To decide: {fork.fork}
          </Box>
          <Box display="flex" flexWrap="wrap" gap="8px">
            {fork.here ? (
              <Box fontSize="md">Decided: {fork.here}</Box>
            ) : (
              fork.choices.map((choice) => (
                <Act
                  key={choice.choice}
                  look="bench"
                  minH="44px"
                  title={choice.why || undefined}
                  disabled={decide.isPending}
                  onClick={() => decide.mutate({ fork, choice })}
                >
                  <Box textAlign="left" lineHeight={1.2}>
                    {choice.choice}
                    <Box fontSize="xs" color="chalkDust">
                      {choice.times} of {fork.times},{' '}
                      {choice.regretted > 0 ? `${choice.regretted} regretted` : 'none regretted'}
                    </Box>
                  </Box>
                </Act>
              ))
            )}
          </Box>
        </Box>
      ))}
      <Trouble error={decide.error} />
    </Box>
  );
}
