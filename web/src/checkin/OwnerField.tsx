import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Text } from '../parts/Fields';

const WHOSE = { CUSTOMER: 'customer’s', RESALE: 'to be sold', OWN: 'our own' };

/** As many as the shop keeps. */
const MOST_WAYS = 6;

type Ownership = keyof typeof WHOSE;

type Change = {
  ownership?: Ownership;
  ownerId?: number;
  ownerName?: string;
  ownerContact?: string;
};

/** Whose it is: found again by name, phone or mail, or new. Enter takes the first that is found. */
export function OwnerField({
  ownership,
  ownerId,
  name,
  contact,
  problem,
  change,
}: {
  ownership: Ownership;
  ownerId?: number;
  name: string;
  contact: string;
  problem?: string;
  change: (part: Change) => void;
}) {
  const asked = name.trim();
  const owners = useQuery({
    queryKey: answers.owners(asked),
    queryFn: () => answer(api.GET('/api/owners', { params: { query: { find: asked } } })),
    enabled: asked.length > 1 && ownerId === undefined,
  });
  const found = ownerId === undefined ? (owners.data ?? []) : [];
  const take = (owner: Schemas['OwnerFound']) =>
    change({ ownerId: owner.id, ownerName: owner.name, ownerContact: owner.contact });
  return (
    <>
      <Box
        display="grid"
        gridTemplateColumns={ownerId === undefined ? 'auto 1fr 1fr' : 'auto 1fr'}
        gap="6px"
        alignItems="end"
      >
        <Choice
          label="Whose it is"
          words={WHOSE}
          picked={ownership}
          pick={(one) => change({ ownership: one })}
          each={{ minH: '38px' }}
        />
        <Text
          label={
            ownership === 'RESALE'
              ? 'Owner, if not us'
              : ownership === 'OWN'
                ? 'Whose, in the shop'
                : 'Name, phone, mail'
          }
          compact
          value={name}
          problem={problem}
          onChange={(event) => change({ ownerName: event.target.value, ownerId: undefined })}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && !event.ctrlKey) {
              event.preventDefault();
              if (found[0]) {
                take(found[0]);
              }
            }
          }}
        />
        {ownerId === undefined && (
          <Contact contact={contact} change={(ownerContact) => change({ ownerContact })} />
        )}
      </Box>
      {found.length > 0 && (
        <Box display="flex" gap="4px" flexWrap="wrap" mt="4px" role="group" aria-label="Known owners">
          {found.map((owner) => (
            <Chip key={owner.id} on={false} minH="30px" py="2px" fontSize="sm" onClick={() => take(owner)}>
              {owner.name}
              {owner.contact && ` · ${owner.contact.replaceAll('\n', ', ')}`} · {owner.jobs}{' '}
              {owner.jobs === 1 ? 'job' : 'jobs'}
            </Chip>
          ))}
        </Box>
      )}
    </>
  );
}

/** Several ways to reach somebody, one field each: as soon as one is filled in there is another. */
function Contact({ contact, change }: { contact: string; change: (contact: string) => void }) {
  const ways = contact.split('\n');
  const shown = ways.at(-1) === '' || ways.length >= MOST_WAYS ? ways : [...ways, ''];
  return (
    <Box display="grid" gap="4px">
      {shown.map((way, n) => (
        <Text
          key={n}
          label={n === 0 ? 'Contact, if new' : 'or'}
          compact
          placeholder={n === 0 ? 'phone, mail' : 'another way'}
          value={way}
          onChange={({ target }) =>
            change(
              shown
                .map((one, at) => (at === n ? target.value : one))
                .filter((one, at) => one !== '' || at <= n)
                .join('\n')
                .replace(/\n+$/, ''),
            )
          }
          onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && event.preventDefault()}
        />
      ))}
    </Box>
  );
}
