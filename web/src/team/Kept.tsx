import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { useMay, useSession } from '../api/session';
import { BackupsPart } from '../keeping/BackupsPart';
import { Loaded } from '../parts/States';
import { Practice } from '../practice/Practice';

/** How safe the shop's data is: backups, how it stands, and the whole of it as one open file. */
export default function Kept() {
  const lead = useMay('BACK_UP');
  const settings = useMay('SETTINGS');
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 480px' }} flex="1">
      <Box bg="card" p="18px 22px" borderRight="1px solid" borderColor="line" minW={0}>
        <BackupsPart lead={lead} />
      </Box>
      <Box p="18px 22px" minW={0} display="grid" gap="22px" alignContent="start">
        <Health />
        {lead && (
          <Box role="group" aria-label="The whole shop as a file">
            <chakra.h1 mb="6px">The whole shop as a file</chakra.h1>
            <Box color="muted" mb="8px">
              A ZIP of tables (CSV), what they mean (JSON), pictures, papers and notes, for any other program
              and for an empty shop of this one. Passwords and tokens are not in it.
            </Box>
            <chakra.a
              href="/api/archive.zip"
              download
              color="chalk"
              textDecoration="underline"
              fontWeight={700}
            >
              Save the whole shop
            </chakra.a>
          </Box>
        )}
        {settings && <Practice />}
      </Box>
    </Box>
  );
}

/** What every screen says too while something is wrong; here also that nothing is. */
function Health() {
  const build = useSession().data?.build;
  const wrong = useQuery({
    queryKey: answers.keeping('wrong'),
    queryFn: () => answer(api.GET('/api/keeping/wrong')),
  });
  return (
    <Box role="group" aria-label="How the shop stands">
      <chakra.h1 mb="6px">How the shop stands</chakra.h1>
      <Loaded query={wrong}>
        {({ wrong: sentences }) =>
          sentences.length === 0 ? (
            <Box>
              Nothing is wrong: the disk, the database, the clock and the last backup are as they should be.
            </Box>
          ) : (
            sentences.map((sentence) => (
              <Box key={sentence} color="hazard">
                {sentence}
              </Box>
            ))
          )
        }
      </Loaded>
      <Box color="muted" mt="6px">
        Wrench Notes {build}
      </Box>
    </Box>
  );
}
