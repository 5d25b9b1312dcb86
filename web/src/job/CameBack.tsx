import { answer, api } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** A unit that was on loan stands on the counter again. */
export function CameBack({ job, look }: { job: number; look: 'main' | 'benchMain' }) {
  const back = useJobWrite(() =>
    answer(api.POST('/api/jobs/{job}/loan/back', { params: { path: { job } } })),
  );
  const act = () => !back.isPending && back.mutate();
  useKeys([{ key: 'L', label: 'It came back', act }]);
  return (
    <>
      <Act look={look} minH="56px" keyName="L" disabled={back.isPending} onClick={act}>
        It came back
      </Act>
      <Trouble error={back.error} />
    </>
  );
}
