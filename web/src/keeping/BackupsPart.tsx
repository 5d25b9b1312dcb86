import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { figure } from '../api/shopWide';
import { moment } from '../api/words';
import { Act } from '../parts/Buttons';
import { Empty, Loaded, Trouble } from '../parts/States';

type Now = Schemas['BackupsNow'];
const SHOWN = 8;

/** The shop's backups: when the last one was made, and one more by one press for a lead. */
export function BackupsPart({ lead }: { lead: boolean }) {
  const client = useQueryClient();
  const backups = useQuery({
    queryKey: answers.keeping('backups'),
    queryFn: () => answer(api.GET('/api/keeping/backups')),
    refetchInterval: (query) => (query.state.data?.going ? 700 : 60_000),
  });
  const begin = useMutation({
    mutationFn: () => answer(api.POST('/api/keeping/backups')),
    onSuccess: (now) => client.setQueryData(answers.keeping('backups'), now),
  });
  return (
    <Box role="group" aria-label="Backups">
      <chakra.h1 mb="6px">Backups</chakra.h1>
      <Loaded query={backups}>
        {(now) => (
          <>
            <Where now={now} />
            {lead && (
              <Act
                look="main"
                my="8px"
                disabled={now.going !== undefined || begin.isPending}
                onClick={() => begin.mutate()}
              >
                Back up now
              </Act>
            )}
            {now.going && <Going going={now.going} />}
            <Trouble error={begin.error} />
            {now.failed && !now.going && (
              <Box role="alert" color="hazard" my="6px">
                {now.failed}
              </Box>
            )}
            {now.made.length === 0 && (
              <Empty>None is made yet{lead ? ': press “Back up now”.' : '. A lead can make one.'}</Empty>
            )}
            {now.made.slice(0, SHOWN).map((one) => (
              <Made key={one.name} one={one} />
            ))}
            {now.made.length > SHOWN && <Empty>And {now.made.length - SHOWN} older ones.</Empty>}
          </>
        )}
      </Loaded>
    </Box>
  );
}

function Where({ now }: { now: Now }) {
  return (
    <Box color="muted" maxW="720px">
      {now.nightly ? `Every night from ${now.nightly}` : 'None is made by itself here'}; they go to{' '}
      <chakra.span fontFamily="mono" overflowWrap="anywhere">
        {now.folder}
      </chakra.span>
      .{' '}
      {now.besideTheShop &&
        'That is the shop’s own disk, and is lost with it: another one is safer (--wrenchnotes.backups.folder=DIR).'}
    </Box>
  );
}

function Going({ going }: { going: Schemas['Going'] }) {
  return (
    <Box role="status" my="6px">
      {going.ofPictures === 0
        ? 'Copying the database…'
        : `Copying pictures: ${going.pictures} of ${going.ofPictures}`}
      <chakra.progress
        display="block"
        w="320px"
        aria-label="How far the backup is"
        max={Math.max(1, going.ofPictures)}
        value={going.ofPictures === 0 ? undefined : going.pictures}
      />
    </Box>
  );
}

function Made({ one }: { one: Schemas['BackupMade'] }) {
  return (
    <Box
      borderTop="1px solid"
      borderColor="line"
      py="6px"
      display="grid"
      gridTemplateColumns="140px 80px 100px 1fr"
      gap="14px"
      maxW="720px"
    >
      <span>{moment(one.at)}</span>
      <chakra.span fontFamily="mono">{figure(one.bytes / 1_000_000, 1)} MB</chakra.span>
      <span>{one.pictures === 1 ? '1 picture' : `${one.pictures} pictures`}</span>
      <chakra.span fontFamily="mono" color="muted">
        {one.name}
      </chakra.span>
    </Box>
  );
}
