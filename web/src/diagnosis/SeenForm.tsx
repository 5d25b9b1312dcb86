import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { useModel } from '../teardown/useModel';

type Means = Schemas['ComponentSeen']['means'];
type Said = { component: string; means: Means; words: string };

const seen = z.object({
  component: z.string().min(1, 'Pick the component').transform(Number),
  means: z.custom<Means>(),
  words: z.string(),
});

/** A component seen good or bad, and how one knows: a look is not a measurement. */
export function SeenForm({ job, modelId, done }: { job: number; modelId: number; done: () => void }) {
  const model = useModel(modelId);
  const form = useSending({
    blank: { component: '', means: 'LOOKED', words: '' } as Said,
    check: seen,
    kept: `seen ${job}`,
    send: ({ component, means, words }, good: boolean) =>
      answer(
        api.POST('/api/jobs/{job}/looks', {
          params: { path: { job } },
          body: { componentId: component, good, means, words },
        }),
      ),
    done,
    leave: done,
  });
  const components = Object.fromEntries((model.data?.components ?? []).map((one) => [`${one.id}`, one.name]));
  return (
    <Form
      of={form}
      name="Seen good or bad"
      still
      border="2px solid"
      borderColor="mat"
      borderRadius="sm"
      p="10px"
      my="6px"
      bg="card"
      gap="6px"
    >
      <ChoiceIn of={form} at="component" label="Component" words={components} />
      <ChoiceIn of={form} at="means" label="How one knows" words={floor.Means} />
      <TextIn of={form} at="words" label="Reading or remark" compact />
      <Box display="flex" gap="6px">
        <Act look="main" disabled={form.pending} onClick={() => form.send(true)}>
          Good
        </Act>
        <Act disabled={form.pending} onClick={() => form.send(false)}>
          Bad
        </Act>
        <Act look="quiet" color="chalk" onClick={form.leave}>
          Leave it
        </Act>
      </Box>
    </Form>
  );
}
