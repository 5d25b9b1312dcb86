import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Pick } from '../parts/Fields';

/** The drawer that a replacement comes from: what may fit is listed first. */
export function FromDrawer({
  job,
  thing,
  count,
  picked,
  pick,
}: {
  job: number;
  thing: string;
  count: number;
  picked?: number;
  pick: (part?: number) => void;
}) {
  const parts = useQuery({
    queryKey: answers.parts(job, thing),
    queryFn: () =>
      answer(api.GET('/api/jobs/{job}/bench/things/{thing}/parts', { params: { path: { job, thing } } })),
  });
  const enough = parts.data?.filter(({ part }) => part.count >= count) ?? [];
  const option = ({ part }: (typeof enough)[number]) => (
    <option key={part.id} value={part.id}>
      {part.name} · drawer {part.drawer} · {part.count} left
    </option>
  );
  return (
    <Pick
      label="If replaced: from which drawer"
      compact
      value={picked ?? ''}
      onChange={(event) => pick(Number(event.target.value) || undefined)}
    >
      <option value="">not from a drawer</option>
      {enough.some((one) => one.fits) && (
        <optgroup label="may fit">{enough.filter((one) => one.fits).map(option)}</optgroup>
      )}
      <optgroup label="the rest">{enough.filter((one) => !one.fits).map(option)}</optgroup>
    </Pick>
  );
}
