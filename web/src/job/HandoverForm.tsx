import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';

const WORDS = { back: 'goes back', not: 'does not' };
/** Of what it came without. */
const ABSENT = { not: 'it came without', back: 'it turned up, and goes back' };

type Said = { things: { name: string; goes: '' | keyof typeof WORDS; why: string }[] };

/** Handing over: each thing that came with the unit is asked for; it goes back, or there is a reason why not. */
export function HandoverForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const job = sheet.job.id;
  const form = useSending({
    blank: {
      things: sheet.belongings.map(({ name, absent }) => ({
        name,
        goes: '',
        why: absent ? 'it came without' : '',
      })),
    } as Said,
    // What came with it may be put right meanwhile: then each thing is asked for anew.
    kept: `handover ${job} ${sheet.job.version}`,
    send: ({ things }) =>
      answer(
        api.POST('/api/jobs/{job}/handover', {
          params: { path: { job } },
          body: { belongings: things.map(({ name, goes, why }) => ({ name, back: goes === 'back', why })) },
        }),
      ),
    done,
    leave: done,
  });
  const absent = (name: string) => sheet.belongings.some((one) => one.name === name && one.absent);
  const { things } = form.value;
  const open = things.filter(({ goes }) => goes === '').length;
  return (
    <Form of={form} name="Hand over" gap="0">
      <chakra.h2>What came with it goes back</chakra.h2>
      {things.map(({ name, goes }, n) => (
        <Box key={name} role="group" aria-label={name} py="4px" borderTop="1px solid" borderColor="line">
          <Box display="flex" gap="8px" alignItems="center" justifyContent="space-between">
            <b>{name}</b>
            <ChoiceIn of={form} at={`things.${n}.goes`} label={name} words={absent(name) ? ABSENT : WORDS} />
          </Box>
          {goes === 'not' && !absent(name) && (
            <TextIn of={form} at={`things.${n}.why`} label="Why not" compact autoFocus />
          )}
        </Box>
      ))}
      <Box mt="8px">
        <Sends of={form} off={open > 0} go={open > 0 ? `${open} still to answer` : 'Hand it over'} />
      </Box>
    </Form>
  );
}
