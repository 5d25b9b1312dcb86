import { answer, api } from '../api/client';
import { answers } from '../api/queries';

/** What others met on units of this revision. */
export const experienceOf = (job: number) => ({
  queryKey: answers.experience(job),
  queryFn: () => answer(api.GET('/api/jobs/{job}/experience', { params: { path: { job } } })),
});
