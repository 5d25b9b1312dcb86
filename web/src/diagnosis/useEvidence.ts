import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

export function useOutlook(job: number) {
  return useQuery({
    queryKey: ['outlook', 'job', job],
    queryFn: () => answer(api.GET('/api/jobs/{job}/outlook', { params: { path: { job } } })),
    placeholderData: (previous) => previous,
  });
}

export function useEvidence(job: number) {
  return useQuery({
    queryKey: ['evidence', job],
    queryFn: () => answer(api.GET('/api/jobs/{job}/evidence', { params: { path: { job } } })),
  });
}
