import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';

type Change = {
  ownership?: 'CUSTOMER' | 'RESALE';
  ownerId?: number;
  ownerName?: string;
  ownerContact?: string;
};

/** Whose it is: found again by the first letters, or new. */
export function OwnerField({
  ownership,
  ownerId,
  name,
  contact,
  problem,
  change,
}: {
  ownership: 'CUSTOMER' | 'RESALE';
  ownerId?: number;
  name: string;
  contact: string;
  problem?: string;
  change: (part: Change) => void;
}) {
  const asked = name.trim();
  const owners = useQuery({
    queryKey: ['owners', asked],
    queryFn: () => answer(api.GET('/api/owners', { params: { query: { find: asked } } })),
    enabled: asked.length > 1 && ownerId === undefined,
  });
  return (
    <>
      <Box display="flex" gap="6px" mb="6px">
        <Chip on={ownership === 'CUSTOMER'} onClick={() => change({ ownership: 'CUSTOMER' })}>
          customer’s
        </Chip>
        <Chip on={ownership === 'RESALE'} onClick={() => change({ ownership: 'RESALE' })}>
          to be sold
        </Chip>
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <Text
          label={ownership === 'RESALE' ? 'Sold for (empty: the shop’s own)' : 'Name'}
          compact
          value={name}
          problem={problem}
          onChange={(event) => change({ ownerName: event.target.value, ownerId: undefined })}
        />
        {ownerId === undefined && (
          <Text
            label="Phone or mail"
            compact
            value={contact}
            onChange={(event) => change({ ownerContact: event.target.value })}
          />
        )}
      </Box>
      {ownerId === undefined && (owners.data?.length ?? 0) > 0 && (
        <Box display="flex" gap="6px" flexWrap="wrap" mt="6px" role="group" aria-label="Known owners">
          {owners.data?.map((owner) => (
            <Chip
              key={owner.id}
              on={false}
              onClick={() =>
                change({ ownerId: owner.id, ownerName: owner.name, ownerContact: owner.contact })
              }
            >
              {owner.name}
              {owner.contact && ` · ${owner.contact}`}
            </Chip>
          ))}
        </Box>
      )}
    </>
  );
}
