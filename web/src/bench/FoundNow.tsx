import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { faultWords } from '../api/words';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { TakePhoto } from '../parts/TakePhoto';

/** What was found on this stay so far, the last one with a way back and a picture for whoever meets it next. */
export function FoundNow({ found }: { found: Schemas['FindingRow'][] }) {
  const back = useJobWrite((finding: number) =>
    answer(
      api.POST('/api/findings/{finding}/correction', {
        params: { path: { finding } },
        body: { why: 'pressed by mistake' },
      }),
    ),
  );
  const picture = useJobWrite(({ finding, photo }: { finding: number; photo: string }) =>
    answer(api.POST('/api/findings/{finding}/photos', { params: { path: { finding } }, body: { photo } })),
  );
  const last = found.at(-1);
  if (!last) {
    return null;
  }
  return (
    <Box
      role="group"
      aria-label="Found so far"
      fontSize="md"
      borderLeft="4px solid"
      borderColor="brassLight"
      pl="10px"
    >
      {found.map((one) => (
        <Box key={one.id}>
          <b>{faultWords(one.fault)}</b>: {floor.Remedy[one.done.remedy]}
          {one.done.failed && ', changed nothing'}
          {one.done.parts.length > 0 && (
            <chakra.span color="chalkDust">
              {' '}
              ({one.done.parts.map((part) => `${part.count} × ${part.name}`).join(', ')})
            </chakra.span>
          )}
        </Box>
      ))}
      <Box display="flex" gap="8px" mt="5px" alignItems="center" flexWrap="wrap">
        <TakePhoto
          bench
          words="Picture of it"
          taken={(photo) => picture.mutate({ finding: last.id, photo: photo.hash })}
        />
        <Act look="bench" minH="56px" disabled={back.isPending} onClick={() => back.mutate(last.id)}>
          Take the last one back
        </Act>
      </Box>
      <Trouble error={back.error ?? picture.error} />
    </Box>
  );
}
