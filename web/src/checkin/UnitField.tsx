import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type KeyboardEvent, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Act, Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Pick, Row, Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { Looks } from './Looks';

type Kind = Schemas['NotKnownSaid']['kind'];

/** A model that the shop has not had: made here, with the rest of the check-in left as it is. */
function NewModel({ pick }: { pick: (part: { modelId: number; revisionId: number }) => void }) {
  const client = useQueryClient();
  const [said, say] = useState<Schemas['ModelSaid']>();
  const make = useMutation({
    mutationFn: (body: Schemas['ModelSaid']) => answer(api.POST('/api/models/at-the-counter', { body })),
    onSuccess: async (revision) => {
      await client.invalidateQueries({ queryKey: answers.models() });
      pick({ modelId: revision.modelId, revisionId: revision.id });
      say(undefined);
    },
  });
  if (!said) {
    return (
      <Chip
        on={false}
        minH="30px"
        fontSize="sm"
        mt="4px"
        onClick={() => say({ maker: '', name: '', kind: 'CONSOLE' })}
      >
        a model we have not had
      </Chip>
    );
  }
  const enter = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !event.ctrlKey) {
      event.preventDefault();
      make.mutate(said);
    }
  };
  return (
    <Box
      role="group"
      aria-label="A model we have not had"
      mt="6px"
      p="8px 10px"
      bg="paper"
      borderRadius="sm"
      display="grid"
      gap="6px"
    >
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <Text
          label="Maker"
          compact
          autoFocus
          value={said.maker}
          onChange={({ target }) => say({ ...said, maker: target.value })}
          onKeyDown={enter}
        />
        <Text
          label="What the model is called"
          compact
          value={said.name}
          onChange={({ target }) => say({ ...said, name: target.value })}
          onKeyDown={enter}
        />
      </Box>
      <Choice
        label="What sort of thing"
        words={floor.Kind}
        picked={said.kind}
        pick={(kind) => say({ ...said, kind })}
      />
      <Box display="flex" gap="8px">
        <Act
          disabled={make.isPending || said.maker.trim() === '' || said.name.trim() === ''}
          onClick={() => make.mutate({ ...said, maker: said.maker.trim(), name: said.name.trim() })}
        >
          Add the model
        </Act>
        <Act look="quiet" onClick={() => say(undefined)}>
          leave it
        </Act>
      </Box>
      <Trouble error={make.error} />
    </Box>
  );
}

/** Taken in before anybody knows what it is: it is moved to its model when somebody does. */
function NotKnown({ pick }: { pick: (part: { modelId: number; revisionId: number }) => void }) {
  const client = useQueryClient();
  const make = useMutation({
    mutationFn: (kind: Kind) => answer(api.POST('/api/models/not-known', { body: { kind } })),
    onSuccess: async (revision) => {
      await client.invalidateQueries({ queryKey: answers.models() });
      pick({ modelId: revision.modelId, revisionId: revision.id });
    },
  });
  return (
    <Box
      display="flex"
      gap="4px"
      flexWrap="wrap"
      alignItems="center"
      mt="4px"
      role="group"
      aria-label="Not known yet"
    >
      <chakra.span fontSize="sm">not known yet:</chakra.span>
      {(Object.keys(floor.Kind) as Kind[]).map((kind) => (
        <Chip
          key={kind}
          on={false}
          minH="30px"
          fontSize="sm"
          disabled={make.isPending}
          aria-label={`Not known yet, a ${floor.Kind[kind]}`}
          onClick={() => make.mutate(kind)}
        >
          {floor.Kind[kind]}
        </Chip>
      ))}
      <Trouble error={make.error} />
    </Box>
  );
}

/** What stands on the counter: model, serial, and which revision by what can be seen from outside. */
export function UnitField({
  models,
  modelId,
  revisionId,
  serial,
  serialProblem,
  revisionProblem,
  change,
}: {
  models: Schemas['ModelView'][];
  modelId?: number;
  revisionId?: number;
  serial: string;
  serialProblem?: string;
  revisionProblem: boolean;
  change: (part: { modelId?: number; revisionId?: number; serial?: string }) => void;
}) {
  const revisions = models.find((view) => view.model.id === modelId)?.revisions ?? [];
  return (
    <Row name="Unit">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <Pick
          label="Model"
          compact
          value={modelId ?? ''}
          onChange={(event) =>
            change({ modelId: Number(event.target.value) || undefined, revisionId: undefined })
          }
        >
          <option value="">pick a model</option>
          {models.map(({ model }) => (
            <option key={model.id} value={model.id}>
              {model.maker} {model.name}
            </option>
          ))}
        </Pick>
        <Text
          label="Serial"
          compact
          value={serial}
          problem={serialProblem}
          onChange={(event) => change({ serial: event.target.value })}
          onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && event.preventDefault()}
        />
      </Box>
      {modelId === undefined && (
        <>
          <NewModel pick={change} />
          <NotKnown pick={change} />
        </>
      )}
      {revisions.length > 1 && (
        <Choice
          mt="6px"
          label="Revision"
          words={Object.fromEntries(
            revisions.map((one) => [
              `${one.id}`,
              one.tellApart ? `${one.name} · ${one.tellApart}` : one.name,
            ]),
          )}
          picked={revisionId === undefined ? undefined : `${revisionId}`}
          pick={(one) => change({ revisionId: Number(one) })}
        />
      )}
      <Looks revisions={revisions} picked={revisionId} />
      {revisionProblem && (
        <Box color="hazard" role="alert">
          Pick the model and its revision.
        </Box>
      )}
    </Row>
  );
}
