import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { moment, span } from '../api/words';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

type Gap = Schemas['GapInWork'];

/** How long was worked so far, and the long gaps that count nothing until somebody says how much of them was work. */
export function TimeWorked({ job }: { job: number }) {
  const time = useQuery({
    queryKey: answers.time(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/time', { params: { path: { job } } })),
  });
  const say = useJobWrite((said: { from: string; minutes: number }) =>
    answer(api.POST('/api/jobs/{job}/time/gaps', { params: { path: { job } }, body: said })),
  );
  if (time.error) {
    return <Trouble error={time.error} />;
  }
  if (!time.data || (time.data.minutes === 0 && time.data.gaps.length === 0)) {
    return null;
  }
  return (
    <Box role="group" aria-label="Time worked" mt="8px" fontSize="sm">
      Worked so far: <b>{span(time.data.minutes)}</b>
      {time.data.gaps.map((gap) => (
        <GapLine
          key={gap.from}
          gap={gap}
          say={(minutes) => say.mutate({ from: gap.from, minutes })}
          off={say.isPending}
        />
      ))}
      <Trouble error={say.error} />
    </Box>
  );
}

function GapLine({ gap, say, off }: { gap: Gap; say: (minutes: number) => void; off: boolean }) {
  const words = `${moment(gap.from)} to ${moment(gap.to)}`;
  return (
    <Box
      role="group"
      aria-label={`Gap ${words}`}
      borderLeft="4px solid"
      borderColor={gap.minutes === undefined ? 'amber' : 'tape'}
      pl="10px"
      mt="6px"
    >
      {words}, nothing pressed: {gap.minutes === undefined ? 'does not count' : `${span(gap.minutes)} count`}
      <Box display="flex" gap="6px" mt="2px" flexWrap="wrap">
        {gap.offers.map((minutes) => (
          <Act
            key={minutes}
            minH="34px"
            px="9px"
            disabled={off || gap.minutes === minutes}
            onClick={() => say(minutes)}
          >
            {minutes === 0 ? 'no work' : `${span(minutes)} of work`}
          </Act>
        ))}
      </Box>
    </Box>
  );
}
