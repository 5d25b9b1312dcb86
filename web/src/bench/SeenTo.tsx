import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';

const done = z.object({ words: said.words('Say what was done about it') });

/** Something came in dangerous: nobody begins before a lead has said what was done with it. */
export function SeenTo({ job, mark }: { job: number; mark: Schemas['SeenToSaid']['mark'] }) {
  const form = useSending({
    blank: { words: '' },
    check: done,
    send: ({ words }) =>
      answer(api.POST('/api/jobs/{job}/seen-to', { params: { path: { job } }, body: { mark, words } })),
  });
  return (
    <Form of={form} name={`Seen to: ${floor.ArrivalMark[mark]}`} first={false}>
      <Box fontSize="lg">
        Nobody begins before a lead has said what was done about it: {floor.ArrivalMark[mark]}.
      </Box>
      <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" alignItems="end">
        <TextIn
          of={form}
          at="words"
          label="What was done"
          compact
          placeholder="cell taken out, in the sand outside"
        />
        <Act look="bench" type="submit" minH="48px" disabled={form.pending}>
          Seen to
        </Act>
      </Box>
    </Form>
  );
}
