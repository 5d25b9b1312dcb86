import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { moment } from '../api/words';

const SHOWN = 5;

/** The last letters that lie in the outbox, or were sent; nothing where none was ever written. */
export function Letters() {
  const outbox = useQuery({ queryKey: answers.letters(), queryFn: () => answer(api.GET('/api/letters')) });
  if (!outbox.data || outbox.data.letters.length === 0) {
    return null;
  }
  return (
    <>
      <chakra.h2 fontWeight={700} mt="14px">
        Letters
      </chakra.h2>
      {!outbox.data.goes && (
        <Box fontSize="sm" color="muted">
          No mail server is set: open them with a mail program, and send them from there.
        </Box>
      )}
      {outbox.data.letters.slice(0, SHOWN).map((one) => (
        <Box key={one.id} fontSize="sm" borderTop="1px solid" borderColor="line" py="4px">
          <chakra.a href={`/api/letters/${one.id}/file.eml`} textDecoration="underline">
            {one.subject}
          </chakra.a>{' '}
          to {one.recipient}{' '}
          <chakra.span color="muted">
            {moment(one.at)}, {one.by}
          </chakra.span>{' '}
          <b>{one.sentAt ? `sent ${moment(one.sentAt)}` : one.trouble || 'in the outbox'}</b>
        </Box>
      ))}
    </>
  );
}
