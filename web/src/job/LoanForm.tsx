import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

const USUAL = [
  'anything but short use, watched',
  'unattended use',
  'long tapes or discs',
  'the part that is off',
];

/** Out unfinished with its owner until the part comes: what it must not be used for goes with it on paper. */
export function LoanForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const [notFor, setNotFor] = useState('');
  const [due, setDue] = useState('');
  const job = sheet.job.id;
  const lend = useJobWrite(
    () =>
      answer(
        api.POST('/api/jobs/{job}/loan', {
          params: { path: { job } },
          body: { notFor, due: due || undefined },
        }),
      ),
    done,
  );
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Out on loan"
      onSubmit={(event) => {
        event.preventDefault();
        lend.mutate();
      }}
    >
      <chakra.h2>Out on loan, not finished</chakra.h2>
      {sheet.inTheWayOfLending.length > 0 && (
        <Box role="alert" color="hazard">
          Before it can go: {sheet.inTheWayOfLending.join(' ')}
        </Box>
      )}
      <Box display="flex" gap="6px" flexWrap="wrap">
        {USUAL.map((words) => (
          <Chip key={words} on={notFor === words} onClick={() => setNotFor(words)}>
            {words}
          </Chip>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 190px" gap="8px">
        <Text
          label="What it must not be used for"
          value={notFor}
          autoFocus
          onChange={(event) => setNotFor(event.target.value)}
        />
        <Text
          label="Back by (may be empty)"
          type="date"
          value={due}
          onChange={(event) => setDue(event.target.value)}
        />
      </Box>
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={lend.isPending || !notFor.trim()}>
          It goes out on loan
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={lend.error} />
    </chakra.form>
  );
}
