import { Box } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { WriteOut } from '../exchange/WriteOut';
import { Form } from '../form/Form';
import { FoundAgain } from '../form/FoundAgain';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { newId } from './newId';
import { notesSaved } from './notesSaved';
import { Proposals } from './Proposals';
import { StepForm } from './StepForm';
import { StepList } from './StepList';
import { TakeBlock } from './TakeBlock';
import { together } from './together';

type Step = Schemas['StepSaid'];

/** The notes of one revision: read as a list, changed step by step, saved as a whole. */
export function Notes({ sheet, revision }: { sheet: Schemas['ModelSheet']; revision: Schemas['Revision'] }) {
  const notes = useQuery({
    queryKey: answers.notes(revision.id),
    queryFn: () =>
      answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revision.id } } })),
  });
  return <Loaded query={notes}>{(now) => <NotesOf key={now.revisionId} sheet={sheet} notes={now} />}</Loaded>;
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
    stays: [],
  };
}

/** What somebody changed and did not save yet, and of which version. */
type Mine = { base: Step[]; number: number; steps: Step[] };

/** Somebody else saved the same notes meanwhile: both are brought together, and nobody's steps are lost unseen. */
function Meanwhile({
  mine,
  notes,
  take,
}: {
  mine: Mine;
  notes: Schemas['NotesView'];
  take: (next: Mine | undefined) => void;
}) {
  const joined = together(mine.base, mine.steps, notes.steps);
  return (
    <Box role="alert" border="2px solid" borderColor="amber" borderRadius="sm" p="10px" mb="8px">
      <b>
        {notes.by} saved version {notes.number} meanwhile{notes.why ? `: ${notes.why}` : ''}.
      </b>{' '}
      Your steps are still here.
      {joined.both.length > 0 && <Box>Both of you changed {joined.both.join(', ')}: yours would stand.</Box>}
      <Box display="flex" gap="8px" mt="6px">
        <Act
          look="main"
          onClick={() => take({ base: notes.steps, number: notes.number, steps: joined.steps })}
        >
          Bring both together
        </Act>
        <Act onClick={() => take(undefined)}>Throw mine away</Act>
      </Box>
    </Box>
  );
}

function NotesOf({ sheet, notes }: { sheet: Schemas['ModelSheet']; notes: Schemas['NotesView'] }) {
  const client = useQueryClient();
  const form = useSending({
    blank: { mine: undefined, why: '' } as { mine?: Mine; why: string },
    kept: `notes of ${notes.revisionId}`,
    send: ({ mine: now, why }) =>
      answer(
        api.PUT('/api/revisions/{revision}/teardown', {
          params: { path: { revision: notes.revisionId }, header: seen(now?.number ?? notes.number) },
          body: { steps: now?.steps ?? notes.steps, why },
        }),
      ),
    // Somebody else may have saved: what they wrote is shown beside.
    refused: () => client.invalidateQueries({ queryKey: answers.notes(notes.revisionId) }),
    done: (saved) => {
      form.forget();
      notesSaved(client, sheet.model.id, saved);
    },
  });
  const { mine } = form.value;
  const steps = mine?.steps ?? notes.steps;
  const setSteps = (next: Step[]) =>
    form.set(({ mine: now, why }) => ({
      mine: { base: now?.base ?? notes.steps, number: now?.number ?? notes.number, steps: next },
      why,
    }));
  const older = mine !== undefined && mine.number !== notes.number;
  const [chosen, setChosen] = useState(notes.steps[0]?.id);
  const step = steps.find((one) => one.id === chosen);
  const changed = JSON.stringify(steps) !== JSON.stringify(notes.steps);
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
        <FoundAgain of={form} />
        {older && <Meanwhile mine={mine} notes={notes} take={(next) => form.set({ mine: next })} />}
        <Proposals revision={notes.revisionId} />
        {steps.length === 0 && (
          <Empty>
            No steps yet. Write what comes off first: the screws under the case, say, and what they let go.
          </Empty>
        )}
        <StepList steps={steps} shapes={notes.shapes} chosen={chosen} choose={setChosen} move={setSteps} />
        <Form
          of={form}
          name="The notes"
          first={false}
          found={false}
          display="flex"
          flexWrap="wrap"
          mt="10px"
          alignItems="end"
        >
          <Act onClick={add}>Add a step</Act>
          {changed || <TakeBlock sheet={sheet} notes={notes} off={older} />}
          {changed && (
            <>
              <TextIn of={form} at="why" label="Why this change" compact />
              <Act look="main" type="submit" disabled={form.pending || older}>
                {form.pending ? 'Saving…' : 'Save the notes'}
              </Act>
            </>
          )}
        </Form>
        <Box color="muted" fontSize="sm" mt="8px">
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
