import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';

/**
 * What is offered to whoever stands before the unit.
 *
 * @param version of the bench that it goes by; nothing is asked for while that is not known
 */
export function useThere(job: number, version: number | undefined) {
  return useQuery({
    queryKey: answers.there(job, version),
    queryFn: () => answer(api.GET('/api/jobs/{job}/there', { params: { path: { job } } })),
    enabled: version !== undefined,
    placeholderData: keepPreviousData,
  });
}
