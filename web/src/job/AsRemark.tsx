import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { WhyForm } from '../form/WhyForm';
import { Act } from '../parts/Buttons';

/** A failure that is left as it is, and why: it goes out with the unit as a remark. */
export function AsRemark({ row }: { row: Schemas['CheckRow'] }) {
  const [asked, setAsked] = useState(false);
  if (!asked) {
    return (
      <Act look="quiet" minH="32px" onClick={() => setAsked(true)}>
        leave as a remark
      </Act>
    );
  }
  return (
    <WhyForm
      label="Left as it is, because"
      go="Leave it so"
      send={(why) =>
        answer(api.POST('/api/checks/{check}/remark', { params: { path: { check: row.id } }, body: { why } }))
      }
      leave={() => setAsked(false)}
    />
  );
}
