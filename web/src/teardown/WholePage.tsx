import { Box, chakra } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded } from '../parts/States';
import { Components } from './Components';
import { notesSaved } from './notesSaved';
import { CheckRows, LookOverRows, ModeRows, WatchRows } from './OverviewRows';
import { RevisionLook } from './RevisionLook';
import { TestPointRows } from './TestPointRows';

type Overview = Schemas['Overview'];

/** What holds for a revision as a whole: how it must stand before step one, service modes, checks, watch points. */
export function WholePage({
  sheet,
  revision,
}: {
  sheet: Schemas['ModelSheet'];
  revision: Schemas['Revision'];
}) {
  const notes = useQuery({
    queryKey: answers.notes(revision.id),
    queryFn: () =>
      answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revision.id } } })),
  });
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 460px' }} flex="1" minH={0}>
      <Box p="12px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 106px)' }}>
        <Loaded query={notes}>{(now) => <Whole key={now.number} sheet={sheet} notes={now} />}</Loaded>
      </Box>
      <Box
        p="12px 22px"
        bg="card"
        borderLeft="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 106px)' }}
      >
        <RevisionLook key={revision.version} sheet={sheet} revision={revision} />
        <Components sheet={sheet} />
      </Box>
    </Box>
  );
}

function Whole({ sheet, notes }: { sheet: Schemas['ModelSheet']; notes: Schemas['NotesView'] }) {
  const form = useSending({
    blank: { overview: notes.overview },
    kept: `whole ${notes.revisionId} ${notes.number}`,
    send: ({ overview }) =>
      answer(
        api.PUT('/api/revisions/{revision}/teardown', {
          params: { path: { revision: notes.revisionId }, header: seen(notes.number) },
          body: { overview, steps: notes.steps, why: 'as a whole' },
        }),
      ),
    done: (saved) => notesSaved(client, sheet.model.id, saved),
  });
  const client = useQueryClient();
  const { overview } = form.value;
  const set = (part: Partial<Overview>) => form.put('overview', { ...overview, ...part });
  const changed = JSON.stringify(overview) !== JSON.stringify(notes.overview);
  return (
    <Form of={form} name="As a whole" first={false} gap="0">
      <chakra.h1 mb="6px">Before step one</chakra.h1>
      <TextIn
        of={form}
        at="overview.before"
        label="How the unit must stand before anything is opened"
        compact
        placeholder="drawer out, then unplug"
      />
      <CheckRows checks={overview.checks} steps={notes.steps} set={(checks) => set({ checks })} />
      <WatchRows sheet={sheet} watch={overview.watch} set={(watch) => set({ watch })} />
      <LookOverRows sheet={sheet} watch={overview.lookOver} set={(lookOver) => set({ lookOver })} />
      <TestPointRows
        sheet={sheet}
        steps={notes.steps}
        points={overview.points}
        set={(points) => set({ points })}
      />
      <ModeRows modes={overview.modes} set={(modes) => set({ modes })} />
      <Box mt="14px" minH="44px">
        {changed && (
          <Act look="main" type="submit" disabled={form.pending}>
            {form.pending ? 'Saving…' : 'Save it in the notes'}
          </Act>
        )}
      </Box>
    </Form>
  );
}
