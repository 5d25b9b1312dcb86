import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Pick } from '../parts/Fields';

/** The drawer that a replacement comes from: what went in the last time is picked, what may fit is listed first. */
export function FromDrawer({
  job,
  thing,
  count,
  picked,
  pick,
  suggests,
}: {
  job: number;
  thing: string;
  count: number;
  picked?: number;
  pick: (part?: number) => void;
  /** picks what went in the last time by itself */
  suggests?: boolean;
}) {
  const parts = useQuery({
    queryKey: answers.parts(job, thing),
    queryFn: () =>
      answer(api.GET('/api/jobs/{job}/bench/things/{thing}/parts', { params: { path: { job, thing } } })),
  });
  const usual = suggests
    ? parts.data?.find((one) => one.usual && one.part.count >= count)?.part.id
    : undefined;
  const [looked, setLooked] = useState(false);
  useEffect(() => {
    if (usual !== undefined && !looked) {
      setLooked(true);
      pick(usual);
    }
  }, [usual, looked, pick]);
  const enough = parts.data?.filter(({ part }) => part.count >= count) ?? [];
  const likely = (one: (typeof enough)[number]) => one.usual || one.fits;
  const option = ({ part }: (typeof enough)[number]) => (
    <option key={part.id} value={part.id}>
      {part.name} · drawer {part.drawer} · {part.count} left{part.care.temporary ? ' · for a test only' : ''}
    </option>
  );
  return (
    <Pick
      label="If replaced: from which drawer"
      compact
      value={picked ?? ''}
      onChange={(event) => {
        setLooked(true);
        pick(Number(event.target.value) || undefined);
      }}
    >
      <option value="">not from a drawer</option>
      {enough.some(likely) && <optgroup label="may fit">{enough.filter(likely).map(option)}</optgroup>}
      <optgroup label="the rest">{enough.filter((one) => !likely(one)).map(option)}</optgroup>
    </Pick>
  );
}
