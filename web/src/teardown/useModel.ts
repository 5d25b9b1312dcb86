import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

export function useModel(modelId: number) {
  return useQuery({
    queryKey: ['model', modelId],
    queryFn: () => answer(api.GET('/api/models/{model}', { params: { path: { model: modelId } } })),
  });
}
