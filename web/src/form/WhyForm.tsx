import { z } from 'zod';
import { Act } from '../parts/Buttons';
import { Form } from './Form';
import { TextIn } from './fields';
import { said } from './said';
import { useSending } from './useSending';

/** One line: why. */
export function WhyForm({
  name,
  label,
  go,
  send,
  leave,
}: {
  name?: string;
  label: string;
  go: string;
  send: (why: string) => Promise<unknown>;
  leave: () => void;
}) {
  const form = useSending({
    blank: { why: '' },
    check: z.object({ why: said.words('Say why') }),
    send: ({ why }) => send(why),
    done: leave,
    leave,
  });
  return (
    <Form of={form} name={name} gridTemplateColumns="1fr auto auto" alignItems="end" my="4px">
      <TextIn of={form} at="why" label={label} compact />
      <Act look="main" type="submit" disabled={form.pending}>
        {go}
      </Act>
      <Act onClick={form.leave}>Leave it</Act>
    </Form>
  );
}
