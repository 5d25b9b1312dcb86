import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { faultWords } from '../api/words';
import { useKeys } from '../app/keys';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Choice } from '../parts/Choice';

type Said = Pick<Schemas['OverrulingSaid'], 'word' | 'why'>;

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
  const form = useSending<{ why: string }, { why: string }, Partial<Said> | undefined>({
    blank: { why: '' },
    send: ({ why }, said) =>
      answer(
        api.POST('/api/jobs/{job}/overrulings', {
          params: { path: { job } },
          body: { ...fault.fault, word, why, ...said },
        }),
      ),
    done,
    leave: done,
  });
  useKeys(
    REASONS.map((why, n) => ({
      key: `${n + 1}`,
      label: `Overrule: ${why}`,
      act: () => form.send({ why }),
      off: form.pending,
    })),
  );
  return (
    <Form
      of={form}
      role="group"
      name={`Overrule ${faultWords(fault.fault)}`}
      first={false}
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
            disabled={form.pending}
            onClick={() => form.send({ why })}
          >
            {why}
          </Act>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr auto auto auto" gap="6px" alignItems="end" mt="6px">
        <TextIn of={form} at="why" label="Another reason" compact />
        <Act type="submit" disabled={form.pending}>
          Overrule
        </Act>
        {fault.overruled && (
          <Act disabled={form.pending} onClick={() => form.send({ word: 'AS_COMPUTED', why: '' })}>
            Back to the odds
          </Act>
        )}
        <Act look="quiet" onClick={form.leave}>
          Leave it
        </Act>
      </Box>
      {before && before.count > 0 && (
        <Box color="muted" fontSize="xs" mt="4px">
          Overruled {before.count} times before; right {before.right} times.
        </Box>
      )}
    </Form>
  );
}
