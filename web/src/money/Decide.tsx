import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { Chip } from '../parts/Buttons';
import { Trouble } from '../parts/States';

type Way = Schemas['Way']['way'];

/** What is to become of a unit: one tap, kept with the figures as they stood. */
export function Decide({
  job,
  triage,
  expectedMinor,
}: {
  job: number;
  triage?: Schemas['TriageRow'];
  expectedMinor?: number;
}) {
  const decide = useJobWrite((way: Way) =>
    answer(
      api.POST('/api/jobs/{job}/triage', {
        params: { path: { job } },
        body: { way, why: '', expectedMinor },
      }),
    ),
  );
  return (
    <Box>
      <Box display="flex" gap="4px" flexWrap="wrap" role="group" aria-label="What to do with it" mt="4px">
        {(Object.keys(floor.Triage) as Way[]).map((way) => (
          <Chip
            key={way}
            on={triage?.way === way}
            disabled={decide.isPending}
            onClick={() => decide.mutate(way)}
          >
            {floor.Triage[way]}
          </Chip>
        ))}
      </Box>
      {triage && (
        <Box fontSize="xs" color="muted">
          Decided by {triage.by}.
        </Box>
      )}
      <Trouble error={decide.error} />
    </Box>
  );
}
