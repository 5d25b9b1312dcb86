import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { faultWords } from '../api/words';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

type Word = Schemas['OverrulingSaid']['word'];

const WORDS = { NOT_THIS: 'not this', THIS_FIRST: 'this first' };

const REASONS = [
  'it sounds different',
  'seen on such units before',
  'looked there already',
  'the owner’s story',
];

/** A person knows better: with a reason, kept, and counted afterwards. Each reason is one key. */
export function Overrule({
  job,
  fault,
  before,
  done,
}: {
  job: number;
  fault: Schemas['LikelyFault'];
  before?: Schemas['OverruledBefore'];
  done: () => void;
}) {
  const [word, setWord] = useState<keyof typeof WORDS>('NOT_THIS');
  const [own, setOwn] = useState('');
  const write = useJobWrite(
    (said: { word: Word; why: string }) =>
      answer(
        api.POST('/api/jobs/{job}/overrulings', {
          params: { path: { job } },
          body: { ...fault.fault, ...said },
        }),
      ),
    done,
  );
  useKeys(
    REASONS.map((why, n) => ({
      key: `${n + 1}`,
      label: `Overrule: ${why}`,
      act: () => write.mutate({ word, why }),
      off: write.isPending,
    })),
  );
  return (
    <Box
      role="group"
      aria-label={`Overrule ${faultWords(fault.fault)}`}
      border="2px solid"
      borderColor="mat"
      borderRadius="sm"
      p="10px"
      my="6px"
      bg="card"
    >
      <Box display="flex" gap="6px" alignItems="center" flexWrap="wrap">
        <chakra.b>{faultWords(fault.fault)}:</chakra.b>
        <Choice label="What is known better" words={WORDS} picked={word} pick={setWord} />
        <chakra.span color="muted">because</chakra.span>
      </Box>
      <Box display="flex" gap="6px" flexWrap="wrap" mt="6px">
        {REASONS.map((why, n) => (
          <Act
            key={why}
            keyName={`${n + 1}`}
            minH="36px"
            disabled={write.isPending}
            onClick={() => write.mutate({ word, why })}
          >
            {why}
          </Act>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr auto auto auto" gap="6px" alignItems="end" mt="6px">
        <Text label="Another reason" compact value={own} onChange={(event) => setOwn(event.target.value)} />
        <Act disabled={!own.trim() || write.isPending} onClick={() => write.mutate({ word, why: own })}>
          Overrule
        </Act>
        {fault.overruled && (
          <Act disabled={write.isPending} onClick={() => write.mutate({ word: 'AS_COMPUTED', why: '' })}>
            Back to the odds
          </Act>
        )}
        <Act look="quiet" onClick={done}>
          Leave it
        </Act>
      </Box>
      {before && before.count > 0 && (
        <Box color="muted" fontSize="xs" mt="4px">
          Overruled {before.count} times before; right {before.right} times.
        </Box>
      )}
      <Trouble error={write.error} />
    </Box>
  );
}
