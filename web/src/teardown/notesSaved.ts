import type { QueryClient } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { answers } from '../api/queries';

/** New notes are shown at once; whatever was worked out from older ones is asked again. */
export function notesSaved(client: QueryClient, model: number, saved: Schemas['NotesView']) {
  client.setQueryData(answers.notes(saved.revisionId), saved);
  for (const changed of [answers.models(), answers.model(model), answers.whole(), answers.access()]) {
    client.invalidateQueries({ queryKey: changed });
  }
}
