import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** A failure that is left as it is, and why: it goes out with the unit as a remark. */
export function AsRemark({ row }: { row: Schemas['CheckRow'] }) {
  const [asked, setAsked] = useState(false);
  const [why, setWhy] = useState('');
  const take = useJobWrite(() =>
    answer(api.POST('/api/checks/{check}/remark', { params: { path: { check: row.id } }, body: { why } })),
  );
  if (!asked) {
    return (
      <Act look="quiet" minH="32px" onClick={() => setAsked(true)}>
        leave as a remark
      </Act>
    );
  }
  return (
    <chakra.form
      display="flex"
      gap="6px"
      alignItems="end"
      onSubmit={(event) => {
        event.preventDefault();
        take.mutate();
      }}
    >
      <Text
        label="Left as it is, because"
        compact
        autoFocus
        value={why}
        onChange={(event) => setWhy(event.target.value)}
      />
      <Act type="submit" disabled={take.isPending || !why.trim()}>
        Leave it so
      </Act>
      <Trouble error={take.error} />
    </chakra.form>
  );
}
