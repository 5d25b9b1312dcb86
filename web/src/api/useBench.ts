import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from './client';
import { answers } from './queries';

/** The bench of one job. A press is answered with the bench too: one that was asked for before that and comes after it is the older sight. */
export function useBench(job: number) {
  const client = useQueryClient();
  const held = () => client.getQueryData<Schemas['BenchView']>(answers.bench(job));
  return useQuery({
    queryKey: answers.bench(job),
    queryFn: async () => {
      const before = held();
      const came = await answer(api.GET('/api/jobs/{job}/bench', { params: { path: { job } } }));
      const now = held();
      return now && now !== before && now.version >= came.version ? now : came;
    },
  });
}
