import { useMutation, useQueryClient } from '@tanstack/react-query';

/** A write on a job; afterwards everything that shows jobs is fetched anew. */
export function useJobWrite<T, V = void>(write: (said: V) => Promise<T>, done?: (answer: T) => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: (answer) => {
      client.invalidateQueries();
      done?.(answer);
    },
  });
}
