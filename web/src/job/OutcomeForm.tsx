import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

type Outcome = Schemas['OutcomeGiven']['outcome'];

/** How the job ended. Said again, the earlier word stays on record. */
export function OutcomeForm({ job, done }: { job: number; done: () => void }) {
  const [outcome, setOutcome] = useState<Outcome>('FIXED');
  const [remark, setRemark] = useState('');
  const write = useJobWrite(
    () =>
      answer(api.POST('/api/jobs/{job}/outcome', { params: { path: { job } }, body: { outcome, remark } })),
    done,
  );
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Outcome"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <Box display="flex" gap="6px" flexWrap="wrap">
        {(Object.keys(floor.Outcome) as Outcome[]).map((one) => (
          <Chip key={one} on={outcome === one} onClick={() => setOutcome(one)}>
            {floor.Outcome[one]}
          </Chip>
        ))}
      </Box>
      <Text
        label="Remark: a known thing left as it is"
        value={remark}
        onChange={(event) => setRemark(event.target.value)}
      />
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={write.isPending}>
          This is how it ended
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}
