import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { figures } from '../api/shopWide';
import { day } from '../api/words';
import { Act } from '../parts/Buttons';
import { Pick } from '../parts/Fields';
import { Empty, Loaded, Trouble } from '../parts/States';

/** What is inside another revision, or was in an earlier version of these notes, and how it differs. */
export function DifferencesPage({
  sheet,
  revision,
}: {
  sheet: Schemas['ModelSheet'];
  revision: Schemas['Revision'];
}) {
  const others = sheet.revisions.filter((one) => one.id !== revision.id);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} flex="1" minH={0}>
      <Box p="12px 22px" borderRight="1px solid" borderColor="line">
        <chakra.h1 mb="8px">Against another revision</chakra.h1>
        {others.length === 0 ? (
          <Empty>
            This model has one revision. When one turns up that differs inside, add it as a copy and change
            what is different.
          </Empty>
        ) : (
          <OtherRevisions revision={revision} others={others} />
        )}
        <Offers sheet={sheet} revision={revision} />
      </Box>
      <Box p="12px 22px" bg="card">
        <chakra.h1 mb="8px">Versions of these notes</chakra.h1>
        <Versions revision={revision} />
      </Box>
    </Box>
  );
}

function OtherRevisions({
  revision,
  others,
}: {
  revision: Schemas['Revision'];
  others: Schemas['Revision'][];
}) {
  const [from, setFrom] = useState(others[0]?.id ?? 0);
  const other = others.find((one) => one.id === from);
  const diff = useQuery({
    queryKey: answers.differences(revision.id, revision.notes, from, other?.notes),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/differences', {
          params: { path: { revision: revision.id }, query: { from } },
        }),
      ),
  });
  return (
    <>
      {others.length > 1 && (
        <Pick label="Revision" compact value={from} onChange={(event) => setFrom(Number(event.target.value))}>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Pick>
      )}
      <Box color="muted" fontSize="sm" my="6px">
        From {other?.name} to {revision.name}.
      </Box>
      <Loaded query={diff}>{(now) => <DiffList diff={now} />}</Loaded>
    </>
  );
}

const SORTS: Record<Schemas['StepDiff']['sort'], [string, string]> = {
  ADDED: ['added', 'mat'],
  GONE: ['gone', 'hazard'],
  CHANGED: ['changed', 'amberInk'],
};

function DiffList({ diff }: { diff: Schemas['NotesDiff'] }) {
  if (diff.steps.length === 0 && diff.whole.length === 0) {
    return <Empty>{diff.orderChanged ? 'The same steps in another order.' : 'No difference.'}</Empty>;
  }
  return (
    <chakra.ul listStyleType="none" m={0} p={0} aria-label="Differences">
      {diff.whole.map((line) => (
        <chakra.li key={line} py="7px" borderTop="1px solid" borderColor="line">
          <chakra.b color="amberInk">as a whole</chakra.b> {line}
        </chakra.li>
      ))}
      {diff.steps.map((step) => (
        <chakra.li key={step.id} py="7px" borderTop="1px solid" borderColor="line">
          <chakra.b color={SORTS[step.sort][1]}>{SORTS[step.sort][0]}</chakra.b> <b>{step.title}</b>
          {step.changes.map((change) => (
            <Box key={change} fontSize="sm" pl="14px">
              {figures(change)}
            </Box>
          ))}
        </chakra.li>
      ))}
    </chakra.ul>
  );
}

function Versions({ revision }: { revision: Schemas['Revision'] }) {
  const [chosen, setChosen] = useState<number>();
  const versions = useQuery({
    queryKey: answers.versions(revision.id, revision.notes),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/teardown/versions', {
          params: { path: { revision: revision.id } },
        }),
      ),
  });
  const to = chosen ?? revision.notes;
  return (
    <Loaded query={versions}>
      {(all) =>
        all.length === 0 ? (
          <Empty>Nothing is written yet.</Empty>
        ) : (
          <>
            {all.map((one) => (
              <chakra.button
                key={one.number}
                type="button"
                display="block"
                w="100%"
                textAlign="left"
                py="6px"
                px="8px"
                borderTop="1px solid"
                borderColor="line"
                aria-pressed={one.number === to}
                bg={one.number === to ? 'paper' : undefined}
                onClick={() => setChosen(one.number)}
              >
                <b>Version {one.number}</b> {one.by}, {day(one.at)}
                {one.why && `: ${one.why}`}
              </chakra.button>
            ))}
            {to > 1 && <Since revision={revision.id} to={to} />}
          </>
        )
      }
    </Loaded>
  );
}

function Since({ revision, to }: { revision: number; to: number }) {
  const diff = useQuery({
    queryKey: answers.since(revision, to),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/teardown/differences', {
          params: { path: { revision }, query: { from: to - 1, to } },
        }),
      ),
  });
  return (
    <Box mt="12px">
      <chakra.h2>What version {to} changed</chakra.h2>
      <Loaded query={diff}>{(now) => <DiffList diff={now} />}</Loaded>
    </Box>
  );
}

/** A fix made here is offered to the revisions that still have it as it was. */
function Offers({ sheet, revision }: { sheet: Schemas['ModelSheet']; revision: Schemas['Revision'] }) {
  const client = useQueryClient();
  const offers = useQuery({
    queryKey: answers.offers(
      revision.id,
      sheet.revisions.map((one) => one.notes),
    ),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/teardown/offers', { params: { path: { revision: revision.id } } }),
      ),
  });
  const take = useMutation({
    mutationFn: (offer: Schemas['FixOffer']) =>
      answer(
        api.POST('/api/revisions/{revision}/teardown/take-over', {
          params: { path: { revision: offer.revisionId }, header: seen(offer.notes) },
          body: { from: revision.id, steps: offer.steps.map((step) => step.id) },
        }),
      ),
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
  return (
    <>
      {offers.data?.map((offer) => (
        <Box key={offer.revisionId} mt="12px" borderLeft="4px solid" borderColor="mat" pl="10px">
          The last change here fits revision <b>{offer.revision}</b> too:{' '}
          {offer.steps.map((step) => step.title).join(', ')}.
          <Box mt="6px">
            <Act disabled={take.isPending} onClick={() => take.mutate(offer)}>
              Put it right in {offer.revision} as well
            </Act>
          </Box>
        </Box>
      ))}
      <Trouble error={take.error} />
    </>
  );
}
