import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { momentOf, wallClock } from '../api/shopWide';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { useModel } from '../teardown/useModel';

type Kind = Schemas['HoldRow']['kind'];

/** Why the job cannot go on now, and until when. */
export function HoldForm({ job, model, done }: { job: number; model: number; done: () => void }) {
  const components = useModel(model).data?.components ?? [];
  const bench = useQuery({
    queryKey: answers.bench(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/bench', { params: { path: { job } } })),
  });
  const [held, setHeld] = useState('');
  const [kind, setKind] = useState<Kind>('PART');
  const [why, setWhy] = useState('');
  const [until, setUntil] = useState('');
  const usual = useQuery({
    queryKey: answers.usual(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/holds/usual', { params: { path: { job } } })),
  });
  const likely = usual.data?.find((one) => one.kind === kind);
  const write = useJobWrite(
    () =>
      answer(
        api.POST('/api/jobs/{job}/holds', {
          params: { path: { job } },
          body: {
            kind,
            why,
            until: until ? momentOf(until) : undefined,
            component: held.startsWith('component ') ? Number(held.slice(10)) : undefined,
            step: held.startsWith('step ') ? held.slice(5) : undefined,
          },
        }),
      ),
    done,
  );
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Hold"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <Box display="flex" gap="6px" flexWrap="wrap">
        {(Object.keys(floor.HoldKind) as Kind[]).map((one) => (
          <Chip key={one} on={kind === one} onClick={() => setKind(one)}>
            {floor.HoldKind[one]}
          </Chip>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 150px 210px" gap="8px">
        <Text label="What it waits for" value={why} onChange={(event) => setWhy(event.target.value)} />
        <Pick label="What is held" compact value={held} onChange={(event) => setHeld(event.target.value)}>
          <option value="">the whole job</option>
          {components.map((one) => (
            <option key={one.id} value={`component ${one.id}`}>
              {one.name}
            </option>
          ))}
          {bench.data?.way.steps.map((one) => (
            <option key={one.id} value={`step ${one.id}`}>
              {one.title}, and all inside it
            </option>
          ))}
        </Pick>
        <Text
          label="Until (empty: an event ends it)"
          compact
          type="datetime-local"
          value={until}
          onChange={(event) => setUntil(event.target.value)}
        />
      </Box>
      {likely?.minutes !== undefined && (
        <Act
          alignSelf="start"
          onClick={() => setUntil(wallClock(Date.now() + (likely.minutes ?? 0) * 60_000))}
        >
          Usual: {lengthWords(likely.minutes)} ({likely.words})
        </Act>
      )}
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={write.isPending}>
          It waits
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}

function lengthWords(minutes: number): string {
  return minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 60)} hours`;
}
