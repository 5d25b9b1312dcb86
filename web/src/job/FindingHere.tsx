import { useState } from 'react';
import { answer, api } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { type Found, SayFound } from '../diagnosis/SayFound';
import type { Told } from '../diagnosis/told';
import { useThere } from '../diagnosis/useThere';
import { useKept } from '../form/useKept';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { FindingForm } from './FindingForm';

/** What was found, on the sheet as at the bench: what is likely by digits, anything else typed. What somebody had begun to type is gone on with. */
export function FindingHere({ job, modelId, done }: { job: number; modelId: number; done: () => void }) {
  const there = useThere(job, 0);
  const begun = useKept(`finding ${job}`);
  const [typing, setTyping] = useState(false);
  const found = useJobWrite(
    (body: Found) => answer(api.POST('/api/jobs/{job}/findings', { params: { path: { job } }, body })),
    done,
  );
  const told = useJobWrite(async (said: Told[]) => {
    for (const one of said) {
      await answer(
        'name' in one
          ? api.POST('/api/jobs/{job}/symptoms', { params: { path: { job } }, body: one })
          : api.POST('/api/jobs/{job}/looks', {
              params: { path: { job } },
              body: { componentId: one.component, good: one.good, means: one.how ?? 'LOOKED', words: '' },
            }),
      );
    }
  });
  if (typing || begun) {
    return <FindingForm job={job} modelId={modelId} done={done} />;
  }
  return (
    <>
      <Loaded query={there}>
        {(now) => (
          <SayFound
            there={now}
            off={found.isPending || told.isPending}
            found={(said) => found.mutate(said)}
            told={(said) => told.mutate(said)}
            typed={() => setTyping(true)}
          />
        )}
      </Loaded>
      <Trouble error={found.error ?? told.error} />
      <Act look="quiet" onClick={done}>
        Leave it
      </Act>
    </>
  );
}
