import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Empty, Trouble } from '../parts/States';

type Component = Schemas['ModelComponent'];

/** What can be reached in this model, what else people call it, and which of it is a model of its own. */
export function Components({ sheet }: { sheet: Schemas['ModelSheet'] }) {
  const [changing, setChanging] = useState<number>();
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  const title = (id?: number) => {
    const found = models.data?.find((view) => view.model.id === id)?.model;
    return found ? `${found.maker} ${found.name}` : '';
  };
  return (
    <Box role="group" aria-label="Components">
      <chakra.h1 mb="4px">Components</chakra.h1>
      {sheet.components.length === 0 && (
        <Empty>None yet: say in the notes what each step lets you reach.</Empty>
      )}
      {sheet.components.map((one) =>
        one.id === changing ? (
          <ComponentForm
            key={one.id}
            component={one}
            model={sheet.model.id}
            models={models.data ?? []}
            done={() => setChanging(undefined)}
          />
        ) : (
          <Box
            key={one.id}
            display="flex"
            gap="8px"
            alignItems="baseline"
            borderTop="1px solid"
            borderColor="line"
            py="3px"
          >
            <b>{one.name}</b>
            <chakra.span color="muted" fontSize="sm">
              {one.aliases.length > 0 && `also ${one.aliases.join(', ')}`}
            </chakra.span>
            {one.inside && (
              <Link to={`/models/${one.inside}`}>
                <chakra.span color="chalk" textDecoration="underline" fontSize="sm">
                  is a {title(one.inside)}
                </chakra.span>
              </Link>
            )}
            <Act
              look="quiet"
              ml="auto"
              minH="30px"
              aria-label={`Change ${one.name}`}
              onClick={() => setChanging(one.id)}
            >
              change
            </Act>
          </Box>
        ),
      )}
    </Box>
  );
}

function ComponentForm({
  component,
  model,
  models,
  done,
}: {
  component: Component;
  model: number;
  models: Schemas['ModelView'][];
  done: () => void;
}) {
  const client = useQueryClient();
  const [name, setName] = useState(component.name);
  const [aliases, setAliases] = useState(component.aliases.join(', '));
  const [inside, setInside] = useState(component.inside ?? 0);
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/components/{component}', {
          params: { path: { component: component.id }, header: seen(component.version) },
          body: {
            name,
            aliases: aliases
              .split(',')
              .map((one) => one.trim())
              .filter(Boolean),
            inside: inside || undefined,
          },
        }),
      ),
    onSuccess: () => {
      client.invalidateQueries({ queryKey: answers.model(model) });
      client.invalidateQueries({ queryKey: answers.whole() });
      done();
    },
  });
  return (
    <chakra.form
      display="grid"
      gap="6px"
      py="8px"
      borderTop="1px solid"
      borderColor="line"
      aria-label={`Component ${component.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Text label="Name" compact autoFocus value={name} onChange={(event) => setName(event.target.value)} />
      <Text
        label="Also called (with commas between)"
        compact
        value={aliases}
        onChange={(event) => setAliases(event.target.value)}
      />
      <Pick
        label="Is a model of its own"
        compact
        value={inside}
        onChange={(event) => setInside(Number(event.target.value))}
      >
        <option value={0}>no</option>
        {models
          .filter((view) => view.model.id !== model)
          .map((view) => (
            <option key={view.model.id} value={view.model.id}>
              {view.model.maker} {view.model.name}
            </option>
          ))}
      </Pick>
      <Trouble error={save.error} />
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={save.isPending}>
          Save it
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
    </chakra.form>
  );
}
