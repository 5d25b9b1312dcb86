import { Box } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { Form } from '../form/Form';
import { PickIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { notesSaved } from './notesSaved';
import { toggled } from './toggled';

/** Steps of a like model, or of the same drive in another case, taken to the end of these notes. */
export function TakeBlock({
  sheet,
  notes,
  off,
}: {
  sheet: Schemas['ModelSheet'];
  notes: Schemas['NotesView'];
  /** while something is written and not saved */
  off: boolean;
}) {
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <Act disabled={off} onClick={() => setOpen(true)}>
        {notes.steps.length === 0 ? 'Start from like notes' : 'Take steps from other notes'}
      </Act>
    );
  }
  return <Block sheet={sheet} notes={notes} off={off} leave={() => setOpen(false)} />;
}

function Block({
  sheet,
  notes,
  off,
  leave,
}: {
  sheet: Schemas['ModelSheet'];
  notes: Schemas['NotesView'];
  off: boolean;
  leave: () => void;
}) {
  const client = useQueryClient();
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  const form = useSending({
    blank: { from: undefined, left: [] } as { from?: number; left: string[] },
    send: ({ from = 0, left }) => {
      const all = client.getQueryData<Schemas['NotesView']>(answers.notes(from))?.steps ?? [];
      return answer(
        api.POST('/api/revisions/{revision}/teardown/block', {
          params: { path: { revision: notes.revisionId }, header: seen(notes.number) },
          body: { from, steps: all.map((one) => one.id).filter((id) => !left.includes(id)) },
        }),
      );
    },
    done: (saved) => {
      notesSaved(client, sheet.model.id, saved);
      leave();
    },
    leave,
  });
  return (
    <Box
      border="1px solid"
      borderColor="line"
      borderRadius="sm"
      p="10px"
      mt="8px"
      bg="paper"
      flexBasis="100%"
    >
      <Form of={form} name="Steps of other notes" gap="8px">
        <Loaded query={models}>
          {(all) => {
            const others = liked(all, sheet.model, notes.revisionId);
            return others.length === 0 ? (
              <Empty>No other model has notes yet.</Empty>
            ) : (
              <PickIn of={form} at="from" label="Of" number>
                <option value="">pick a model</option>
                {others.map(({ id, words }) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </PickIn>
            );
          }}
        </Loaded>
        {form.value.from !== undefined && (
          <StepsOf
            revision={form.value.from}
            left={form.value.left}
            leave={(id) => form.put('left', toggled(form.value.left, id))}
          />
        )}
        <Box display="flex" gap="8px">
          <Act look="main" type="submit" disabled={off || form.pending || form.value.from === undefined}>
            {form.pending ? 'Taking…' : 'Take these steps'}
          </Act>
          <Act onClick={leave}>Leave it</Act>
        </Box>
      </Form>
    </Box>
  );
}

/** Revisions that have notes: those of the same sort of thing first. */
function liked(all: Schemas['ModelView'][], like: Schemas['Model'], but: number) {
  const near = (one: Schemas['ModelView']) =>
    one.model.id === like.id ? 0 : one.model.kind === like.kind ? 1 : 2;
  return [...all]
    .sort((one, other) => near(one) - near(other))
    .flatMap(({ model, revisions }) =>
      revisions
        .filter((one) => one.notes > 0 && one.id !== but)
        .map((one) => ({ id: one.id, words: `${model.maker} ${model.name}, ${one.name}` })),
    );
}

function StepsOf({
  revision,
  left,
  leave,
}: {
  revision: number;
  left: string[];
  leave: (id: string) => void;
}) {
  const notes = useQuery({
    queryKey: answers.notes(revision),
    queryFn: () => answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision } } })),
  });
  return (
    <Loaded query={notes}>
      {({ steps }) => (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Which steps">
          {steps.map((step) => (
            <Chip key={step.id} on={!left.includes(step.id)} onClick={() => leave(step.id)}>
              {step.title}
            </Chip>
          ))}
        </Box>
      )}
    </Loaded>
  );
}
