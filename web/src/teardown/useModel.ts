import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';

export function useModel(modelId: number) {
  return useQuery({
    queryKey: answers.model(modelId),
    queryFn: () => answer(api.GET('/api/models/{model}', { params: { path: { model: modelId } } })),
  });
}
