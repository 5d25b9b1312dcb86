import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** Handing over: each thing that came with the unit is asked for; it goes back, or there is a reason why not. */
export function HandoverForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const [answers, setAnswers] = useState<Record<string, { back: boolean; why: string }>>({});
  const set = (name: string, back: boolean, why = '') => setAnswers({ ...answers, [name]: { back, why } });
  const handOver = useJobWrite(
    () =>
      answer(
        api.POST('/api/jobs/{job}/handover', {
          params: { path: { job: sheet.job.id } },
          body: { belongings: Object.entries(answers).map(([name, said]) => ({ name, ...said })) },
        }),
      ),
    done,
  );
  const open = sheet.belongings.filter(({ name }) => !answers[name]).length;
  return (
    <chakra.form
      aria-label="Hand over"
      onSubmit={(event) => {
        event.preventDefault();
        handOver.mutate();
      }}
    >
      <chakra.h2>What came with it goes back</chakra.h2>
      {sheet.belongings.map(({ name }) => (
        <Box key={name} role="group" aria-label={name} py="4px" borderTop="1px solid" borderColor="line">
          <Box display="flex" gap="8px" alignItems="center" justifyContent="space-between">
            <b>{name}</b>
            <Box display="flex" gap="4px">
              <Chip on={answers[name]?.back === true} onClick={() => set(name, true)}>
                goes back
              </Chip>
              <Chip on={answers[name]?.back === false} onClick={() => set(name, false)}>
                does not
              </Chip>
            </Box>
          </Box>
          {answers[name]?.back === false && (
            <Text
              label="Why not"
              compact
              autoFocus
              value={answers[name].why}
              onChange={(event) => set(name, false, event.target.value)}
            />
          )}
        </Box>
      ))}
      <Box display="flex" gap="8px" mt="8px">
        <Act look="main" type="submit" disabled={handOver.isPending || open > 0}>
          {open > 0 ? `${open} still to answer` : 'Hand it over'}
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={handOver.error} />
    </chakra.form>
  );
}
