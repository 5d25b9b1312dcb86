import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded } from '../parts/States';
import { Counter } from './Counter';

type Step = Schemas['StepSaid'];

/** This step is not as the notes have it: counted right, it waits for a lead, with this job's name on it. */
export function NotesAreWrong({
  bench,
  step,
  done,
}: {
  bench: Schemas['BenchView'];
  step: Schemas['StepView'];
  done: () => void;
}) {
  const notes = useQuery({
    queryKey: answers.notes(step.revisionId),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: step.revisionId } } }),
      ),
  });
  return (
    <Loaded query={notes}>
      {(now) => {
        const written = now.steps.find((one) => one.id === step.written);
        return written ? (
          <AsItIs bench={bench} revision={step.revisionId} written={written} done={done} />
        ) : (
          <Box>
            The notes have no such step any more: they were changed since this unit was opened.
            <Act look="bench" minH="48px" onClick={done}>
              Leave it
            </Act>
          </Box>
        );
      }}
    </Loaded>
  );
}

function AsItIs({
  bench,
  revision,
  written,
  done,
}: {
  bench: Schemas['BenchView'];
  revision: number;
  written: Step;
  done: () => void;
}) {
  const { jobId } = bench.unit;
  const form = useSending({
    blank: {
      counts: written.fasteners.map(({ id, count }) => ({ id, count: count ?? 0 })),
      minutes: written.minutes,
      words: '',
    },
    kept: `notes are wrong ${jobId} ${written.id}`,
    send: ({ counts, minutes, words }) => {
      const step: Step = {
        ...written,
        minutes,
        how: `${written.how} ${words.trim()}`.trim(),
        fasteners: written.fasteners.map((group) => ({
          ...group,
          // None counted stays not counted.
          count: counts.find((one) => one.id === group.id)?.count || group.count,
        })),
      };
      return answer(
        api.POST('/api/revisions/{revision}/proposals', {
          params: { path: { revision } },
          body: { step, why: words.trim() || countsIn(written, step), jobId },
        }),
      );
    },
    done,
    leave: done,
  });
  const { counts, minutes, words } = form.value;
  const same =
    !words.trim() &&
    minutes === written.minutes &&
    written.fasteners.every(
      (group) => (counts.find((one) => one.id === group.id)?.count ?? 0) === (group.count ?? 0),
    );
  return (
    <Form of={form} role="group" name="What the notes should say" first={false} gap="10px">
      <Box fontSize="lg">How it is on this one:</Box>
      <Box display="flex" flexWrap="wrap" gap="10px 20px">
        {written.fasteners.map((group) => (
          <Counter
            key={group.id}
            label={group.label}
            value={counts.find((one) => one.id === group.id)?.count ?? 0}
            most={99}
            set={(count) =>
              form.put('counts', [
                ...counts.filter((one) => one.id !== group.id),
                { id: group.id, count: Math.max(1, count) },
              ])
            }
          />
        ))}
        <Counter label="minutes" value={minutes} most={600} set={(now) => form.put('minutes', now)} />
      </Box>
      <TextIn of={form} at="words" label="In words, if the counts do not say it" />
      <Sends of={form} go="Propose it for the notes" bench off={same} />
    </Form>
  );
}

function countsIn(before: Step, after: Step): string {
  const counts = after.fasteners
    .filter((group) => before.fasteners.find((one) => one.id === group.id)?.count !== group.count)
    .map((group) => `${group.count} × ${group.label}`);
  const minutes = before.minutes === after.minutes ? [] : [`${after.minutes} min`];
  return [...counts, ...minutes].join(', ');
}
