import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from './client';
import { answers } from './queries';
import { writeAs } from './shopWide';

/** Who is signed in on this browser, and what holds for the whole shop. */
export function useSession() {
  return useQuery({
    queryKey: answers.session(),
    queryFn: async () => {
      const session = await answer(api.GET('/api/session'));
      writeAs(session.shop);
      return session;
    },
    staleTime: 60_000,
  });
}

/** The shop's one currency. */
export function useCurrency(): string {
  return useSession().data?.shop.currency ?? 'EUR';
}

/** Whether whoever is signed in may do something here; the server asks again at its door. */
export function useMay(act: Schemas['SessionView']['may'][number]): boolean {
  return useSession().data?.may.includes(act) ?? false;
}
