import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Empty } from '../parts/States';

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

const called = z.object({
  name: said.words('Say what it is called'),
  aliases: said.listed,
  inside: z.number(),
});

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
  const form = useSending({
    blank: { name: component.name, aliases: component.aliases.join(', '), inside: component.inside ?? 0 },
    check: called,
    kept: `component ${component.id} ${component.version}`,
    send: ({ name, aliases, inside }) =>
      answer(
        api.PUT('/api/components/{component}', {
          params: { path: { component: component.id }, header: seen(component.version) },
          body: { name, aliases, inside: inside || undefined },
        }),
      ),
    done,
    leave: done,
  });
  return (
    <Form
      of={form}
      name={`Component ${component.name}`}
      gap="6px"
      py="8px"
      borderTop="1px solid"
      borderColor="line"
    >
      <TextIn of={form} at="name" label="Name" compact />
      <TextIn of={form} at="aliases" label="Also called (with commas between)" compact />
      <PickIn of={form} at="inside" number label="Is a model of its own" compact>
        <option value={0}>no</option>
        {models
          .filter((view) => view.model.id !== model)
          .map((view) => (
            <option key={view.model.id} value={view.model.id}>
              {view.model.maker} {view.model.name}
            </option>
          ))}
      </PickIn>
      <Sends of={form} go="Save it" />
    </Form>
  );
}
