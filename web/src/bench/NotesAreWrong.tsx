import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
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
          <Form bench={bench} revision={step.revisionId} written={written} done={done} />
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

function Form({
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
  const [step, setStep] = useState(written);
  const [why, setWhy] = useState('');
  const propose = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/revisions/{revision}/proposals', {
          params: { path: { revision } },
          body: { step, why: why.trim() || countsIn(written, step), jobId: bench.unit.jobId },
        }),
      ),
    onSuccess: done,
  });
  const same = JSON.stringify(step) === JSON.stringify(written);
  return (
    <Box display="grid" gap="10px" role="group" aria-label="What the notes should say">
      <Box fontSize="lg">How it is on this one:</Box>
      <Box display="flex" flexWrap="wrap" gap="10px 20px">
        {step.fasteners.map((group) => (
          <Counter
            key={group.id}
            label={group.label}
            value={group.count}
            most={99}
            set={(count) =>
              setStep({
                ...step,
                fasteners: step.fasteners.map((one) =>
                  one.id === group.id ? { ...one, count: Math.max(1, count) } : one,
                ),
              })
            }
          />
        ))}
        <Counter
          label="minutes"
          value={step.minutes}
          most={600}
          set={(minutes) => setStep({ ...step, minutes })}
        />
      </Box>
      <chakra.label fontSize="sm">
        In words, if the counts do not say it
        <chakra.input
          value={why}
          w="100%"
          minH="44px"
          px="10px"
          mt="2px"
          bg="matDeep"
          border="1px solid"
          borderColor="matLine"
          borderRadius="sm"
          onChange={(event) => {
            setWhy(event.target.value);
            const words = event.target.value.trim();
            setStep((now) => ({ ...now, how: words ? `${written.how} ${words}`.trim() : written.how }));
          }}
        />
      </chakra.label>
      <Trouble error={propose.error} />
      <Box display="flex" gap="9px">
        <Act
          look="benchMain"
          flex="1"
          minH="56px"
          disabled={same || propose.isPending}
          onClick={() => propose.mutate()}
        >
          Propose it for the notes
        </Act>
        <Act look="bench" minH="56px" onClick={done}>
          Leave it
        </Act>
      </Box>
    </Box>
  );
}

function countsIn(before: Step, after: Step): string {
  const counts = after.fasteners
    .filter((group) => before.fasteners.find((one) => one.id === group.id)?.count !== group.count)
    .map((group) => `${group.count} × ${group.label}`);
  const minutes = before.minutes === after.minutes ? [] : [`${after.minutes} min`];
  return [...counts, ...minutes].join(', ');
}
