import { Box, chakra } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { Problem } from '../api/client';
import { Act } from './Buttons';
import { toClipboard } from './clipboard';
import { Trouble } from './States';

/** The same table with tabs, as a spreadsheet takes it from the clipboard. */
async function withTabs(path: string): Promise<string> {
  const told = await fetch(path, { headers: { Accept: 'text/tab-separated-values' } });
  if (!told.ok) {
    throw new Problem(told.status, 'The table could not be fetched: try again.', [], []);
  }
  return told.text();
}

/** A table leaves: to the clipboard, or as a file. */
export function TableBar({ path }: { path: string }) {
  const copy = useMutation({ mutationFn: async () => toClipboard(await withTabs(path)) });
  return (
    <Box display="flex" gap="12px" alignItems="center" fontSize="sm" className="noprint">
      <Act look="quiet" color="chalk" minH="34px" disabled={copy.isPending} onClick={() => copy.mutate()}>
        copy the table
      </Act>
      <chakra.a href={path} download color="chalk" textDecoration="underline">
        save it as CSV
      </chakra.a>
      {copy.isSuccess && (
        <Box role="status" color="muted">
          copied
        </Box>
      )}
      <Trouble error={copy.error} />
    </Box>
  );
}
