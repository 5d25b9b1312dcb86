import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { Act } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Pick } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
import { money } from '../typed/sum';

type Rows = Schemas['DryRun'];
type Field = keyof typeof floor.Field;
const FIELDS = Object.entries(floor.Field) as [Field, string][];

/** How a list is read, row by row, before anything of it is taken; then how far it is. */
export function DryRun({ list, may }: { list: number; may: boolean }) {
  const client = useQueryClient();
  const params = { path: { list } };
  const now = useQuery({
    queryKey: answers.brought(list),
    queryFn: () => answer(api.GET('/api/brought/{list}', { params })),
    refetchInterval: (query) => (query.state.data?.state === 'GOING' ? 400 : false),
  });
  const rows = useQuery({
    queryKey: answers.brought(list, 'rows'),
    queryFn: () => answer(api.GET('/api/brought/{list}/rows', { params })),
  });
  const told = {
    onSuccess: () => client.invalidateQueries({ queryKey: answers.brought() }),
  };
  const act = useMutation({
    mutationFn: (what: 'start' | 'stop' | 'undo') =>
      answer(
        what === 'start'
          ? api.POST('/api/brought/{list}/start', { params })
          : what === 'stop'
            ? api.POST('/api/brought/{list}/stop', { params })
            : api.POST('/api/brought/{list}/undo', { params }),
      ),
    ...told,
  });
  const means = useMutation({
    mutationFn: (body: Schemas['ColumnsSaid']) =>
      answer(api.PUT('/api/brought/{list}/columns', { params, body })),
    ...told,
  });
  return (
    <Loaded query={now}>
      {(at) => (
        <>
          <chakra.h1 mb="8px">{at.name}</chakra.h1>
          <Progress at={at} />
          <Loaded query={rows}>
            {(read) => (
              <>
                {may && (
                  <Box display="flex" gap="8px" alignItems="center" my="10px" flexWrap="wrap">
                    {(at.state === 'READ' || at.state === 'STOPPED' || at.state === 'UNDONE') && (
                      <Act
                        look="main"
                        disabled={act.isPending || read.good === 0}
                        onClick={() => act.mutate('start')}
                      >
                        {at.state === 'STOPPED' ? 'Go on' : `Bring in ${read.good} of ${at.rows}`}
                      </Act>
                    )}
                    {at.state === 'GOING' && <Act onClick={() => act.mutate('stop')}>Stop</Act>}
                    {(at.state === 'DONE' || at.state === 'STOPPED') && (
                      <Act disabled={act.isPending} onClick={() => act.mutate('undo')}>
                        Undo all of it
                      </Act>
                    )}
                    <Box color={read.wrong > 0 ? 'amberInk' : 'muted'}>
                      {read.wrong === 0
                        ? 'Every row can be read.'
                        : `${read.wrong} ${read.wrong === 1 ? 'row' : 'rows'} cannot be read and ${at.state === 'READ' ? 'would be' : 'are'} left out.`}
                    </Box>
                  </Box>
                )}
                <Trouble error={act.error ?? means.error} />
                {read.unsettled && (
                  <Box role="alert" borderLeft="5px solid" borderColor="amber" pl="10px" my="8px">
                    {read.unsettled}
                  </Box>
                )}
                {at.state === 'READ' && (
                  <Columns read={read} off={!may || means.isPending} means={(body) => means.mutate(body)} />
                )}
                {read.bad.length > 0 && <Bad read={read} />}
                {read.first.length > 0 && <Good read={read} />}
              </>
            )}
          </Loaded>
        </>
      )}
    </Loaded>
  );
}

function Progress({ at }: { at: Schemas['BroughtList'] }) {
  const share = at.rows === 0 ? 0 : at.gone / at.rows;
  if (at.state === 'READ' || at.state === 'UNDONE') {
    return (
      <Box color="muted">
        {at.state === 'READ' ? 'Nothing of it is taken yet.' : 'Undone: none of it counts.'}
      </Box>
    );
  }
  return (
    <Box
      role="progressbar"
      aria-label="Rows gone through"
      aria-valuenow={at.gone}
      aria-valuemax={at.rows}
      border="1px solid"
      borderColor="edge"
      borderRadius="sm"
      h="26px"
      maxW="620px"
      position="relative"
      overflow="hidden"
    >
      <Box bg="matPaper" h="100%" w={`${share * 100}%`} />
      <Box position="absolute" inset="0" px="8px" fontSize="sm" lineHeight="24px">
        {at.gone} of {at.rows} rows
        {at.state === 'DONE' && ': brought in, and counted'}
        {at.state === 'STOPPED' && ': stopped, not counted yet'}
      </Box>
    </Box>
  );
}

/** Which column says what, and what models are that the shop has not got. */
function Columns({
  read,
  off,
  means,
}: {
  read: Rows;
  off: boolean;
  means: (said: Schemas['ColumnsSaid']) => void;
}) {
  const set = (field: Field, column: string) => {
    const columns = { ...read.columns };
    if (column === '') {
      delete columns[field];
    } else {
      for (const other of FIELDS.map(([one]) => one)) {
        if (columns[other] === Number(column)) {
          delete columns[other];
        }
      }
      columns[field] = Number(column);
    }
    means({ columns, kind: read.kind });
  };
  return (
    <Box role="group" aria-label="Which column says what" my="10px">
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="8px" maxW="900px">
        {FIELDS.map(([field, words]) => (
          <Pick
            key={field}
            label={words}
            compact
            disabled={off}
            value={read.columns[field] ?? ''}
            onChange={({ target }) => set(field, target.value)}
          >
            <option value="">not in it</option>
            {read.header.map((name, n) => (
              <option key={`${name} ${n + 1}`} value={n}>
                {name || `column ${n + 1}`}
              </option>
            ))}
          </Pick>
        ))}
      </Box>
      {read.newModels.length > 0 && (
        <Box mt="10px">
          New to the shop, and made with it: {read.newModels.slice(0, 8).join(', ')}
          {read.newModels.length > 8 && ` and ${read.newModels.length - 8} more`}. They are
          <Choice
            label="What new models are"
            words={floor.Kind}
            picked={read.kind}
            pick={(kind) => means({ columns: read.columns, kind })}
          />
        </Box>
      )}
    </Box>
  );
}

function Bad({ read }: { read: Rows }) {
  return (
    <Box role="group" aria-label="Rows that cannot be read" my="10px">
      <chakra.h2 fontSize="md" fontWeight={700}>
        Left out as they are
      </chakra.h2>
      {read.bad.map((row) => (
        <Box
          key={row.line}
          display="grid"
          gridTemplateColumns="60px 1fr"
          gap="10px"
          borderTop="1px solid"
          borderColor="line"
          py="4px"
        >
          <chakra.span fontFamily="mono">{row.line + 1}</chakra.span>
          <span>{row.wrong.join('; ')}</span>
        </Box>
      ))}
      {read.wrong > read.bad.length && (
        <Box color="muted">And {read.wrong - read.bad.length} more such rows.</Box>
      )}
    </Box>
  );
}

const HEADS = ['line', 'day', 'model', 'symptoms', 'fault', 'remedy', 'part', 'cost', 'outcome', 'owner'];

function Good({ read }: { read: Rows }) {
  const currency = useCurrency();
  return (
    <Box my="10px" overflowX="auto">
      <chakra.table fontSize="sm" w="100%" aria-label="How the rows are read">
        <thead>
          <tr>
            {HEADS.map((head) => (
              <chakra.th key={head} textAlign="left" px="6px" py="4px">
                {head}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {read.first.map(({ line, job }) =>
            job ? (
              <chakra.tr key={line} borderTop="1px solid" borderColor="line">
                {[
                  line + 1,
                  job.day,
                  job.model,
                  job.symptoms.join(', '),
                  job.fault,
                  job.remedy && floor.Remedy[job.remedy],
                  job.part,
                  job.costMinor > 0 ? money(job.costMinor, currency) : '',
                  job.outcome && floor.Outcome[job.outcome],
                  job.owner,
                ].map((cell, n) => (
                  <chakra.td key={HEADS[n]} px="6px" py="4px" verticalAlign="top">
                    {cell}
                  </chakra.td>
                ))}
              </chakra.tr>
            ) : null,
          )}
        </tbody>
      </chakra.table>
      {read.good > read.first.length && (
        <Box color="muted">And {read.good - read.first.length} more that can be read.</Box>
      )}
    </Box>
  );
}
