import { Box } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { WriteOut } from '../exchange/WriteOut';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Empty, Loaded, Trouble } from '../parts/States';
import { newId } from './newId';
import { notesSaved } from './notesSaved';
import { Proposals } from './Proposals';
import { StepForm } from './StepForm';
import { StepList } from './StepList';

type Step = Schemas['StepSaid'];

/** The notes of one revision: read as a list, changed step by step, saved as a whole. */
export function Notes({ sheet, revision }: { sheet: Schemas['ModelSheet']; revision: Schemas['Revision'] }) {
  const notes = useQuery({
    queryKey: answers.notes(revision.id),
    queryFn: () =>
      answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revision.id } } })),
  });
  return <Loaded query={notes}>{(now) => <NotesOf key={now.number} sheet={sheet} notes={now} />}</Loaded>;
}

function blank(steps: Step[]): Step {
  const last = steps[steps.length - 1];
  return {
    id: newId(),
    title: '',
    how: '',
    caution: '',
    needs: last ? [last.id] : [],
    side: last?.side ?? 'TOP',
    tool: last?.tool ?? '',
    minutes: 1,
    fasteners: [],
    connectors: [],
    pieces: [],
    exposes: [],
    insteadOf: '',
    partsMinor: 0,
    reversible: true,
    mustBeTrue: '',
    closeUp: '',
    backAfter: [],
    waitHours: 0,
    live: false,
    leadOnly: false,
    photos: [],
  };
}

function NotesOf({ sheet, notes }: { sheet: Schemas['ModelSheet']; notes: Schemas['NotesView'] }) {
  const client = useQueryClient();
  const [steps, setSteps] = useState(notes.steps);
  const [chosen, setChosen] = useState(notes.steps[0]?.id);
  const [why, setWhy] = useState('');
  const step = steps.find((one) => one.id === chosen);
  const changed = JSON.stringify(steps) !== JSON.stringify(notes.steps);
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/revisions/{revision}/teardown', {
          params: { path: { revision: notes.revisionId }, header: seen(notes.number) },
          body: { steps, why },
        }),
      ),
    onSuccess: (saved) => notesSaved(client, sheet.model.id, saved),
  });
  function add() {
    const next = blank(steps);
    setSteps([...steps, next]);
    setChosen(next.id);
  }
  function remove(id: string) {
    // What needed it needs what it needed: the order of the rest stays.
    const gone = steps.find((one) => one.id === id);
    setSteps(
      steps
        .filter((one) => one.id !== id)
        .map((one) =>
          one.needs.includes(id)
            ? { ...one, needs: [...new Set([...one.needs.filter((n) => n !== id), ...(gone?.needs ?? [])])] }
            : one,
        ),
    );
    setChosen(steps.find((one) => one.id !== id)?.id);
  }
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '520px 1fr' }} flex="1" minH={0}>
      <Box
        p="12px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 106px)' }}
      >
        <Proposals revision={notes.revisionId} />
        {steps.length === 0 && (
          <Empty>
            No steps yet. Write what comes off first: the screws under the case, say, and what they let go.
          </Empty>
        )}
        <StepList steps={steps} shapes={notes.shapes} chosen={chosen} choose={setChosen} move={setSteps} />
        <Box display="flex" gap="8px" mt="10px" alignItems="end">
          <Act onClick={add}>Add a step</Act>
          {changed && (
            <>
              <Text
                label="Why this change"
                compact
                value={why}
                onChange={(event) => setWhy(event.target.value)}
              />
              <Act look="main" disabled={save.isPending} onClick={() => save.mutate()}>
                {save.isPending ? 'Saving…' : 'Save the notes'}
              </Act>
            </>
          )}
        </Box>
        <Trouble error={save.error} />
        <Box color="muted" fontSize="14px" mt="8px">
          {notes.number === 0
            ? 'Not saved yet.'
            : `Version ${notes.number}, ${notes.by}, ${day(notes.at)}${notes.why ? `: ${notes.why}` : ''}`}
          {changed && ' · changed since, not saved'}
        </Box>
        {notes.number > 0 && <WriteOut revision={notes.revisionId} />}
      </Box>
      <Box p="12px 22px" bg="card" overflowY="auto" maxH={{ lg: 'calc(100vh - 106px)' }}>
        {step ? (
          <StepForm
            key={step.id}
            step={step}
            steps={steps}
            shapes={notes.shapes}
            questions={notes.questions}
            model={sheet.model.id}
            components={sheet.components}
            change={(next) => setSteps(steps.map((one) => (one.id === next.id ? next : one)))}
            remove={() => remove(step.id)}
          />
        ) : (
          <Empty>Pick a step on the left, or add one.</Empty>
        )}
      </Box>
    </Box>
  );
}
