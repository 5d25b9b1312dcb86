import { Box } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { SumTyped } from '../form/fields';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** From which crate a unit to be sold came, and what was paid for it. */
export function LotField({
  lotId,
  paid,
  change,
}: {
  lotId?: number;
  paid: string;
  change: (part: { lotId?: number; paid?: string }) => void;
}) {
  const client = useQueryClient();
  const [source, setSource] = useState('');
  const lots = useQuery({ queryKey: answers.lots(), queryFn: () => answer(api.GET('/api/lots')) });
  const open = useMutation({
    mutationFn: () => answer(api.POST('/api/lots', { body: { source } })),
    onSuccess: (lot) => {
      client.invalidateQueries({ queryKey: answers.lots() });
      change({ lotId: lot.id });
      setSource('');
    },
  });
  const picked = lots.data?.find((lot) => lot.id === lotId);
  return (
    <Box mt="6px">
      <Box display="grid" gridTemplateColumns="1fr 160px" gap="8px">
        <Pick
          label="Lot it came in"
          compact
          value={lotId ?? ''}
          onChange={(event) => change({ lotId: Number(event.target.value) || undefined })}
        >
          <option value="">no lot, on its own</option>
          {lots.data?.map((lot) => (
            <option key={lot.id} value={lot.id}>
              {lot.source} · {day(lot.cameAt)}
            </option>
          ))}
        </Pick>
        <SumTyped
          label="Paid for it"
          compact
          typed={paid}
          type={(typed) => change({ paid: typed })}
          onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && event.preventDefault()}
        />
      </Box>
      {picked ? (
        <Box fontSize="sm" color="muted">
          {picked.units} taken in from it so far.{' '}
          <Link
            to={`/lots/${picked.id}`}
            style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}
          >
            What to do with each
          </Link>
        </Box>
      ) : (
        <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" alignItems="end" mt="4px">
          <Text
            label="A new lot: where it is from"
            compact
            value={source}
            onChange={(event) => setSource(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && !event.ctrlKey) {
                event.preventDefault();
                if (source.trim()) {
                  open.mutate();
                }
              }
            }}
          />
          <Act minH="36px" disabled={!source.trim() || open.isPending} onClick={() => open.mutate()}>
            Open the lot
          </Act>
        </Box>
      )}
      <Trouble error={open.error} />
    </Box>
  );
}
