import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { momentOf, wallClock } from '../api/shopWide';
import { useBench } from '../api/useBench';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, PickIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { useModel } from '../teardown/useModel';

type Said = { held: string; kind: Schemas['HoldRow']['kind']; why: string; until: string };

/** Why the job cannot go on now, and until when. */
export function HoldForm({ job, model, done }: { job: number; model: number; done: () => void }) {
  const components = useModel(model).data?.components ?? [];
  const bench = useBench(job);
  const usual = useQuery({
    queryKey: answers.usual(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/holds/usual', { params: { path: { job } } })),
  });
  const form = useSending({
    blank: { held: '', kind: 'PART', why: '', until: '' } as Said,
    kept: `hold ${job}`,
    send: ({ held = '', kind, why, until }) =>
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
    leave: done,
  });
  const likely = usual.data?.find((one) => one.kind === form.value.kind);
  return (
    <Form of={form} name="Hold">
      <ChoiceIn of={form} at="kind" label="What kind of wait" words={floor.HoldKind} />
      <Box display="grid" gridTemplateColumns="1fr 150px 210px" gap="8px">
        <TextIn of={form} at="why" label="What it waits for" />
        <PickIn of={form} at="held" label="What is held" compact>
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
        </PickIn>
        <TextIn of={form} at="until" label="Until (empty: an event ends it)" compact type="datetime-local" />
      </Box>
      {likely?.minutes !== undefined && (
        <Act
          alignSelf="start"
          onClick={() => form.put('until', wallClock(Date.now() + (likely.minutes ?? 0) * 60_000))}
        >
          Usual: {lengthWords(likely.minutes)} ({likely.words})
        </Act>
      )}
      <Sends of={form} go="It waits" />
    </Form>
  );
}

function lengthWords(minutes: number): string {
  return minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 60)} hours`;
}
