import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';

export function useOutlook(job: number) {
  return useQuery({
    queryKey: answers.outlook('job', job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/outlook', { params: { path: { job } } })),
    placeholderData: (previous) => previous,
  });
}

export function useEvidence(job: number) {
  return useQuery({
    queryKey: answers.evidence(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/evidence', { params: { path: { job } } })),
  });
}
