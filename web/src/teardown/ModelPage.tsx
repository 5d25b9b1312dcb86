import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas, seen } from '../api/client';
import { kindWords } from '../api/words';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Empty, Loaded, Trouble } from '../parts/States';
import { Notes } from './Notes';

export default function ModelPage() {
  const { model, revision } = useParams();
  const id = Number(model);
  const sheet = useQuery({
    queryKey: ['model', id],
    queryFn: () => answer(api.GET('/api/models/{model}', { params: { path: { model: id } } })),
  });
  return (
    <Loaded query={sheet}>
      {(now) => <ModelOf sheet={now} revisionId={Number(revision) || now.revisions[0]?.id} />}
    </Loaded>
  );
}

/** One model: its revisions across the top, the notes of the chosen one below. */
function ModelOf({ sheet, revisionId }: { sheet: Schemas['ModelSheet']; revisionId?: number }) {
  const navigate = useNavigate();
  const [changing, setChanging] = useState<'nothing' | 'new' | 'revision'>('nothing');
  const revision = sheet.revisions.find((one) => one.id === revisionId);
  return (
    <Box flex="1" display="flex" flexDirection="column" minH={0}>
      <Box p="14px 22px 10px" borderBottom="1px solid" borderColor="line">
        <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
          <chakra.h1>
            {sheet.model.maker} {sheet.model.name}
          </chakra.h1>
          <Box color="muted">{kindWords[sheet.model.kind]}</Box>
          <Box display="flex" gap="6px" flexWrap="wrap" ml="14px">
            {sheet.revisions.map((one) => (
              <Chip
                key={one.id}
                on={one.id === revisionId}
                onClick={() => navigate(`/models/${sheet.model.id}/${one.id}`)}
              >
                {one.name}
              </Chip>
            ))}
            <Act look="quiet" minH="34px" onClick={() => setChanging('new')}>
              another revision
            </Act>
          </Box>
        </Box>
        {revision && (
          <Box color="muted" mt="2px">
            {revision.tellApart || 'How to tell it apart is not said yet.'}
            <Act look="quiet" minH="28px" onClick={() => setChanging('revision')}>
              change
            </Act>
          </Box>
        )}
        {changing !== 'nothing' && (
          <RevisionForm
            key={changing}
            model={sheet.model.id}
            revision={changing === 'revision' ? revision : undefined}
            done={() => setChanging('nothing')}
          />
        )}
      </Box>
      {revision ? (
        <Notes key={revision.id} sheet={sheet} revision={revision} />
      ) : (
        <Box p="14px 22px">
          <Empty>
            A model has at least one revision: name it as the bench would, “first series” or “A”, and say how
            to tell it from outside.
          </Empty>
          <RevisionForm model={sheet.model.id} done={() => setChanging('nothing')} />
        </Box>
      )}
    </Box>
  );
}

function RevisionForm({
  model,
  revision,
  done,
}: {
  model: number;
  revision?: Schemas['Revision'];
  done: () => void;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState(revision?.name ?? '');
  const [tellApart, setTellApart] = useState(revision?.tellApart ?? '');
  const save = useMutation({
    mutationFn: () =>
      answer(
        revision
          ? api.PUT('/api/revisions/{revision}', {
              params: { path: { revision: revision.id }, header: seen(revision.version) },
              body: { name, tellApart },
            })
          : api.POST('/api/models/{model}/revisions', {
              params: { path: { model } },
              body: { name, tellApart },
            }),
      ),
    onSuccess: (saved) => {
      client.invalidateQueries({ queryKey: ['model', model] });
      client.invalidateQueries({ queryKey: ['models'] });
      navigate(`/models/${model}/${saved.id}`);
      done();
    },
  });
  return (
    <chakra.form
      mt="8px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '200px 1fr auto auto' }}
      gap="10px"
      alignItems="end"
      aria-label="Revision"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Text label="Revision" compact value={name} onChange={(event) => setName(event.target.value)} />
      <Text
        label="How to tell it apart from outside"
        compact
        value={tellApart}
        onChange={(event) => setTellApart(event.target.value)}
      />
      <Act look="main" type="submit" disabled={save.isPending}>
        {revision ? 'Save it' : 'Add the revision'}
      </Act>
      <Act onClick={done}>Leave it</Act>
      <Box gridColumn="1 / -1">
        <Trouble error={save.error} />
      </Box>
    </chakra.form>
  );
}
