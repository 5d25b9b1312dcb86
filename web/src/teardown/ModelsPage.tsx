import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useGoOn } from '../app/leaving';
import { useTitle } from '../app/useTitle';
import { TakeIn } from '../exchange/TakeIn';
import { Form } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { Drafts } from './Drafts';

/** What the shop knows how to open. */
export default function ModelsPage() {
  useTitle('Models');
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 420px' }} flex="1">
      <Box p="16px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <chakra.h1 mb="8px">Models</chakra.h1>
        <Drafts />
        <Loaded query={models}>{(all) => <Shelf models={all} />}</Loaded>
      </Box>
      <Box bg="card" borderLeft="1px solid" borderColor="line" p="16px 22px">
        <NewModel />
        <TakeIn />
      </Box>
    </Box>
  );
}

function Shelf({ models }: { models: Schemas['ModelView'][] }) {
  // "Write the notes" on the bench knows only the revision: go on to its model.
  const [asked] = useSearchParams();
  const goOn = useGoOn();
  const revision = Number(asked.get('revision'));
  useEffect(() => {
    const owner = models.find((view) => view.revisions.some((one) => one.id === revision));
    if (owner) {
      goOn(`/models/${owner.model.id}/${revision}`, { replace: true });
    }
  }, [models, revision, goOn]);
  if (models.length === 0) {
    return (
      <Empty>No models yet. Make the first on the right: maker, name, and what sort of thing it is.</Empty>
    );
  }
  return (
    <>
      {models.map(({ model, revisions }) => (
        <Box
          key={model.id}
          display="grid"
          gridTemplateColumns="220px 110px 1fr"
          gap="14px"
          borderTop="1px solid"
          borderColor="line"
          py="9px"
          alignItems="start"
        >
          <Link to={`/models/${model.id}`}>
            <b>
              {model.maker} {model.name}
            </b>
          </Link>
          <Box color="muted">{floor.Kind[model.kind]}</Box>
          <Box display="flex" flexDirection="column" gap="2px">
            {revisions.map((revision) => (
              <Link key={revision.id} to={`/models/${model.id}/${revision.id}`}>
                <chakra.span color="chalk" textDecoration="underline">
                  {revision.name}
                </chakra.span>
                {revision.tellApart && `: ${revision.tellApart}`}
                <chakra.span color="muted">
                  {' '}
                  · {revision.notes === 0 ? 'no notes yet' : `notes, version ${revision.notes}`}
                </chakra.span>
              </Link>
            ))}
            {revisions.length === 0 && <chakra.span color="muted">no revision yet</chakra.span>}
          </Box>
        </Box>
      ))}
    </>
  );
}

const model = z.object({
  maker: z.string(),
  name: said.words('Say what the model is called'),
  kind: z.custom<Schemas['ModelSaid']['kind']>(),
});

function NewModel() {
  const goOn = useGoOn();
  const form = useSending({
    blank: { maker: '', name: '', kind: 'CONSOLE' } as Schemas['ModelSaid'],
    check: model,
    kept: 'model',
    send: (body) => answer(api.POST('/api/models', { body })),
    done: (made) => goOn(`/models/${made.id}`),
  });
  return (
    <Form of={form} name="New model" first={false} gap="12px">
      <chakra.h1>A new model</chakra.h1>
      <TextIn of={form} at="maker" label="Maker" />
      <TextIn of={form} at="name" label="Name" />
      <ChoiceIn of={form} at="kind" label="What sort of thing" words={floor.Kind} />
      <Act look="main" type="submit" disabled={form.pending}>
        Add the model
      </Act>
    </Form>
  );
}
