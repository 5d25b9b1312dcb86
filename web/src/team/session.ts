import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

/** Who is signed in on this browser. */
export function useSession() {
  return useQuery({
    queryKey: ['session'],
    queryFn: () => answer(api.GET('/api/session')),
    staleTime: 60_000,
  });
}

/** The shop's one currency. */
export function useCurrency(): string {
  return useSession().data?.currency ?? 'EUR';
}
