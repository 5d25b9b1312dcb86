import { Box, chakra } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import { moment } from '../api/words';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import type { Bench, Presses } from './press';

/** The unit lies on another bench: it is looked at from here, and worked on only once it was taken over with its tray. */
export function TakeOver({
  bench,
  here,
  press,
  busy,
}: {
  bench: Bench;
  /** what this bench is called */
  here: string;
  press: Presses;
  busy: boolean;
}) {
  const navigate = useNavigate();
  const at = bench.stand.at;
  const take = () => press({ act: 'takeOver', bench: here });
  useKeys([
    // Never the key of the steps: whoever presses on without looking would have it back at once.
    { key: 'O', label: `Take it over at ${here}`, act: take, off: busy },
    { key: 'Escape', label: 'Leave it there', act: () => navigate('/bench') },
  ]);
  return (
    <>
      <chakra.h1 fontSize="3xl" lineHeight={1.18}>
        It lies at {at?.bench}
      </chakra.h1>
      <Box fontSize="lg">
        {at?.by}, since {at && moment(at.since)}. Off it: {bench.stand.tallyWords}. Bring the unit and its
        tray here, with all that lies in it, and say so.
      </Box>
      <Box mt="auto" display="grid" gap="9px">
        <Act look="benchMain" minH="72px" fontSize="xl" keyName="O" disabled={busy} onClick={take}>
          Unit and tray are here: take it over
        </Act>
        <Act look="bench" minH="56px" keyName="Esc" onClick={() => navigate('/bench')}>
          Leave it there
        </Act>
      </Box>
    </>
  );
}
