import { Box, chakra } from '@chakra-ui/react';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { moment } from '../api/words';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Empty, Trouble } from '../parts/States';
import { TableBar } from '../parts/TableBar';

/** What lines are about, in the words of the floor; what is not named here is found under everything. */
const KINDS = {
  door: 'who came in and was refused',
  person: 'people',
  'sign-in': 'ended sign-ins',
  token: 'scripts',
  shop: 'the shop',
  job: 'jobs taken in',
  finding: 'findings',
  check: 'checks',
  outcome: 'outcomes',
  part: 'parts',
  hold: 'waits',
  teardown: 'notes',
  model: 'models',
  owner: 'owners',
  network: 'network',
} as const;

const FIELDS = ['person', 'from', 'until', 'kind', 'unit'] as const;

/** Everything that was written and everything that happened at the door. What is looked for stands in the address. */
export default function JournalPart() {
  const [asked, setAsked] = useSearchParams();
  const people = useQuery({ queryKey: answers.people(), queryFn: () => answer(api.GET('/api/people')) });
  const query = Object.fromEntries(
    FIELDS.flatMap((name) => (asked.get(name) ? [[name, asked.get(name)]] : [])),
  );
  const pages = useInfiniteQuery({
    queryKey: answers.journal(query),
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      answer(api.GET('/api/journal', { params: { query: { ...query, before: pageParam } as never } })),
    getNextPageParam: (last) => last.older,
  });
  const say = (name: (typeof FIELDS)[number], value: string) => {
    const next = new URLSearchParams(asked);
    if (value) {
      next.set(name, value);
    } else {
      next.delete(name);
    }
    setAsked(next, { replace: true });
  };
  const first = pages.data?.pages[0];
  const lines = pages.data?.pages.flatMap((page) => page.lines) ?? [];
  return (
    <Box p="14px 22px" minW={0}>
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(5, minmax(0, 170px)) 1fr' }}
        gap="12px"
        alignItems="end"
      >
        <Pick
          label="Who"
          value={asked.get('person') ?? ''}
          onChange={(event) => say('person', event.target.value)}
        >
          <option value="">everybody</option>
          {people.data?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Pick>
        <Pick
          label="About"
          value={asked.get('kind') ?? ''}
          onChange={(event) => say('kind', event.target.value)}
        >
          <option value="">everything</option>
          {Object.entries(KINDS).map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </Pick>
        <Text
          label="From"
          type="date"
          value={asked.get('from') ?? first?.from ?? ''}
          onChange={(event) => say('from', event.target.value)}
        />
        <Text
          label="Until"
          type="date"
          value={asked.get('until') ?? first?.until ?? ''}
          onChange={(event) => say('until', event.target.value)}
        />
        <Unit said={asked.get('unit') ?? ''} say={(unit) => say('unit', unit)} />
        <Box whiteSpace="nowrap" pb="4px">
          <TableBar path={`/api/journal/table?${new URLSearchParams(query as Record<string, string>)}`} />
        </Box>
      </Box>
      <Trouble error={pages.error} again={() => pages.refetch()} />
      {pages.isPending && !pages.error && (
        <Box py="20px" color="muted" role="status" data-page="fetching">
          Fetching…
        </Box>
      )}
      {first && lines.length === 0 && <Empty>Nothing of that was written in these days.</Empty>}
      <Box mt="12px" role="list" aria-label="Journal">
        {lines.map((line, at) => (
          <OneLine key={`${line.at} ${at}`} line={line} />
        ))}
      </Box>
      {pages.hasNextPage && (
        <Act mt="10px" disabled={pages.isFetchingNextPage} onClick={() => pages.fetchNextPage()}>
          Older ones
        </Act>
      )}
    </Box>
  );
}

/** Asked for once a whole tag stands in it. */
function Unit({ said, say }: { said: string; say: (tag: string) => void }) {
  const [typed, type] = useState(said);
  return (
    <Text
      label="Unit"
      placeholder="WN-0042"
      fontFamily="mono"
      value={typed}
      onChange={(event) => type(event.target.value)}
      onBlur={() => say(typed.trim())}
      onKeyDown={(event) => event.key === 'Enter' && say(typed.trim())}
    />
  );
}

function OneLine({ line }: { line: Schemas['JournalLine'] }) {
  return (
    <Box
      role="listitem"
      borderTop="1px solid"
      borderColor="line"
      py="5px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '130px 90px 90px 1fr' }}
      gap="2px 14px"
    >
      <chakra.span color="muted">{moment(line.at)}</chakra.span>
      <chakra.b>{line.by || 'nobody known'}</chakra.b>
      <chakra.span fontFamily="mono">
        {line.job !== undefined && (
          <Link
            to={`/jobs/${line.job}`}
            style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}
          >
            {line.tag}
          </Link>
        )}
        {line.address}
      </chakra.span>
      <chakra.span overflowWrap="anywhere">
        {line.words}
        {line.token && <chakra.i> (by the script {line.token})</chakra.i>}
      </chakra.span>
    </Box>
  );
}
