import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useCurrency } from '../api/session';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { FilePick } from '../parts/FilePick';
import { Trouble } from '../parts/States';
import { money } from '../typed/sum';
import type { Open } from './useOpen';

type Seen = Schemas['PartsRead'];

/** A list of parts from elsewhere: what of it is new and what cannot be read is shown before any of it is taken in. */
export function PartsFile({ open }: { open: Open }) {
  const client = useQueryClient();
  const [file, setFile] = useState<File>();
  const read = useMutation({
    mutationFn: async ({ picked, take }: { picked: File; take: boolean }) =>
      answer(
        api.POST('/api/parts/list', {
          params: { query: { take } },
          body: (await picked.arrayBuffer()) as never,
          bodySerializer: (bytes) => bytes as never,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (seen) => {
      if (seen.taken) {
        client.invalidateQueries();
      }
    },
  });
  const seen = read.data;
  const take = () => file && read.mutate({ picked: file, take: true });
  const ready = seen !== undefined && !seen.taken && seen.fresh > 0 && !read.isPending;
  useKeys([{ key: 'G', label: 'Take the new parts in', act: () => take(), off: !ready }]);
  return (
    <>
      <Box display="flex" gap="10px" alignItems="center" mb="8px">
        <Act keyName="D" onClick={() => open.go({})}>
          All drawers
        </Act>
        <chakra.h1>A list of parts</chakra.h1>
      </Box>
      <Box mb="8px">
        A table as a spreadsheet saves it (CSV). Its first line names the columns: <b>drawer</b> and{' '}
        <b>part</b> must be there; <b>what it is</b>, <b>left</b>, <b>cost of one</b>,{' '}
        <b>supplier's number</b>, <b>pack</b>, <b>least</b> and <b>place</b> may be.
      </Box>
      <FilePick
        name="The list"
        accept=".csv,text/csv,text/tab-separated-values"
        busy={read.isPending}
        picked={(picked) => {
          setFile(picked);
          read.mutate({ picked, take: false });
        }}
      >
        {file ? 'Another file' : 'Pick the file'}
      </FilePick>
      {read.isPending && <Box role="status">It is being read…</Box>}
      <Trouble error={read.error} />
      {seen && <What seen={seen} name={file?.name ?? ''} />}
      {ready && (
        <Box mt="10px">
          <Act look="main" keyName="G" onClick={take}>
            {seen.fresh === 1
              ? 'Put the new part into its drawer'
              : `Put ${seen.fresh} new parts into their drawers`}
          </Act>
        </Box>
      )}
    </>
  );
}

const FIRST = 6;

function What({ seen, name }: { seen: Seen; name: string }) {
  const currency = useCurrency();
  return (
    <Box mt="10px">
      {seen.taken ? (
        <Box role="status" fontWeight={700}>
          {name} is taken in: {seen.known} of its {seen.rows} parts are in the drawers.
        </Box>
      ) : (
        <Box fontWeight={700}>
          {name}: {seen.rows} rows, {seen.fresh} new parts, {seen.known} that are here already and stay as
          they are
          {seen.wrong > 0 && `, ${seen.wrong} that cannot be taken`}.
        </Box>
      )}
      {!seen.taken &&
        seen.first.slice(0, FIRST).map((part) => (
          <Box
            key={`${part.drawer} ${part.name}`}
            borderTop="1px solid"
            borderColor="line"
            py="3px"
            fontSize="sm"
          >
            <chakra.span fontFamily="mono">{part.drawer}</chakra.span> · {part.count} × <b>{part.name}</b>{' '}
            {part.what} <chakra.span color="muted">{money(part.eachMinor, currency)} each</chakra.span>
          </Box>
        ))}
      {!seen.taken && seen.fresh > FIRST && (
        <Box fontSize="sm" color="muted">
          and {seen.fresh - FIRST} more
        </Box>
      )}
      {seen.refused.map((one) => (
        <Box key={one.row} fontSize="sm" color="hazard" borderTop="1px solid" borderColor="line" py="3px">
          Row {one.row}: {one.why.join('. ')}.
        </Box>
      ))}
      {seen.wrong > seen.refused.length && (
        <Box fontSize="sm" color="hazard">
          and {seen.wrong - seen.refused.length} more rows that cannot be taken
        </Box>
      )}
    </Box>
  );
}
