import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { useTitle } from '../app/useTitle';
import { Empty, Loaded } from '../parts/States';

/** The latest lots, newest first. */
export default function LotsPage() {
  useTitle('Lots');
  const lots = useQuery({ queryKey: answers.lots(), queryFn: () => answer(api.GET('/api/lots')) });
  return (
    <Box p="12px 24px" maxW="800px">
      <chakra.h1>Lots</chakra.h1>
      <Loaded query={lots}>
        {(all) => (
          <>
            {all.length === 0 && (
              <Empty to="/checkin" go="To the counter">
                No lots yet. At the counter pick “to be sold” and open one: where it is from.
              </Empty>
            )}
            {all.map((lot) => (
              <Box key={lot.id} borderTop="1px solid" borderColor="line" py="8px">
                <Link to={`/lots/${lot.id}`}>
                  <chakra.b color="chalk" textDecoration="underline">
                    {lot.source}
                  </chakra.b>
                </Link>
                <Box color="muted" fontSize="sm">
                  {day(lot.cameAt)} · {lot.units} units
                  {lot.undecided > 0 && ` · ${lot.undecided} to decide on`}
                </Box>
              </Box>
            ))}
          </>
        )}
      </Loaded>
    </Box>
  );
}
