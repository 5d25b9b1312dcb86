import { Box, chakra } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';

const USUAL = [
  'anything but short use, watched',
  'unattended use',
  'long tapes or discs',
  'the part that is off',
];

const lending = z.object({
  notFor: said.words('Say what it must not be used for: it goes on the paper'),
  due: z.string(),
});

/** Out unfinished with its owner until the part comes: what it must not be used for goes with it on paper. */
export function LoanForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const job = sheet.job.id;
  const form = useSending({
    blank: { notFor: '', due: '' },
    check: lending,
    kept: `loan ${job}`,
    send: ({ notFor, due }) =>
      answer(
        api.POST('/api/jobs/{job}/loan', {
          params: { path: { job } },
          body: { notFor, due: due || undefined },
        }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Out on loan">
      <chakra.h2>Out on loan, not finished</chakra.h2>
      {sheet.inTheWayOfLending.length > 0 && (
        <Box role="alert" color="hazard">
          Before it can go: {sheet.inTheWayOfLending.join(' ')}
        </Box>
      )}
      <Box display="flex" gap="6px" flexWrap="wrap">
        {USUAL.map((words) => (
          <Chip key={words} on={form.value.notFor === words} onClick={() => form.put('notFor', words)}>
            {words}
          </Chip>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 190px" gap="8px">
        <TextIn of={form} at="notFor" label="What it must not be used for" />
        <TextIn of={form} at="due" label="Back by (may be empty)" type="date" />
      </Box>
      <Sends of={form} go="It goes out on loan" />
    </Form>
  );
}
