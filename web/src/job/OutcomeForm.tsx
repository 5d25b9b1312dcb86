import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';

/** How the job ended. Said again, the earlier word stays on record. */
export function OutcomeForm({ job, done }: { job: number; done: () => void }) {
  const form = useSending({
    blank: { outcome: 'FIXED', remark: '' } as Schemas['OutcomeGiven'],
    kept: `outcome ${job}`,
    send: (body) => answer(api.POST('/api/jobs/{job}/outcome', { params: { path: { job } }, body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Outcome">
      <ChoiceIn of={form} at="outcome" label="How it ended" words={floor.Outcome} />
      <TextIn of={form} at="remark" label="Remark: a known thing left as it is" />
      <Sends of={form} go="This is how it ended" />
    </Form>
  );
}
