import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';

/** What the counter needs: the next tag, the free slots, and the words, those usual for a revision first. */
export function useCounter(revision?: number) {
  return useQuery({
    queryKey: answers.counter(revision),
    queryFn: () => answer(api.GET('/api/checkin', { params: { query: { revision } } })),
    placeholderData: keepPreviousData,
  });
}
