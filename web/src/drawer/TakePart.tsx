import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { Form } from '../form/Form';
import { CountIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { UnitPick } from './UnitPick';

type How = 'aside' | 'used';

/** Some for one unit: set aside until they go in, or used up on it. */
export function TakePart({ part, done }: { part: Schemas['Part']; done: () => void }) {
  const form = useSending({
    blank: { job: undefined as number | undefined, count: 1 },
    check: z.object({ job: z.number('Say which unit it is for'), count: said.count(1, 99) }) as never,
    kept: `take ${part.id}`,
    send: async ({ job, count }: { job: number; count: number }, how: How) => {
      const taken = { params: { path: { job } }, body: { partId: part.id, count } };
      how === 'aside'
        ? await answer(api.POST('/api/jobs/{job}/aside', taken))
        : await answer(api.POST('/api/jobs/{job}/parts', taken));
    },
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Take" sends="aside" my="8px">
      <Box display="grid" gridTemplateColumns="100px 1fr" gap="8px">
        <CountIn of={form} at="count" label="How many" min={1} />
        <UnitPick of={form} at="job" label="For which unit" nobody="pick it" />
      </Box>
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={form.pending}>
          Set it aside
        </Act>
        <Act disabled={form.pending} onClick={() => form.send('used')}>
          Used up on it
        </Act>
        <Act onClick={form.leave}>Leave it</Act>
      </Box>
    </Form>
  );
}
