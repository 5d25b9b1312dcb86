import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { CheckForm } from '../job/CheckForm';
import { Act } from '../parts/Buttons';
import { Caution } from '../parts/States';
import type { Bench, Presses } from './press';

type Stage = Schemas['CheckSaid']['stage'];

/** Before the shop has given another reason. */
const WHY_NOT = ['nothing here to try it with', 'not safe to try', 'the owner does not use it'];

/** What the plan wants tried now, one after the other, each by one digit; whatever else was tried is typed. */
export function CheckKeys({
  bench,
  stage,
  press,
  busy,
  leave,
}: {
  bench: Bench;
  stage: Stage;
  press: Presses;
  busy: boolean;
  /** back to where one came from; nowhere to go if left out */
  leave?: () => void;
}) {
  const [typing, setTyping] = useState(false);
  const [why, setWhy] = useState(false);
  const due = bench.gate.planned.filter((one) => one.missing !== '');
  const next = due[0]?.planned;
  const usual = useQuery({
    queryKey: answers.whyNot(),
    queryFn: () => answer(api.GET('/api/checks/why-not')),
    enabled: why,
  });
  const reasons = [...new Set([...(usual.data ?? []), ...WHY_NOT])].slice(0, 6);
  const say = (verdict: Schemas['CheckSaid']['verdict'], remark = '') => {
    if (next) {
      press({
        act: 'check',
        said: {
          stage: next.stage,
          verdict,
          what: next.what,
          planned: next.id,
          powered: next.terms.powered,
          load: next.load,
          times: verdict === 'NOT_TESTED' ? 0 : next.times,
          remark,
        },
      });
      setWhy(false);
    }
  };
  const answersNow = why
    ? reasons.map((one) => ({ words: one, act: () => say('NOT_TESTED', one) }))
    : [
        { words: 'Passed', act: () => say('PASSED') },
        { words: 'Failed', act: () => say('FAILED') },
        { words: 'Not tested', act: () => setWhy(true) },
      ];
  useKeys([
    ...answersNow.map((one, n) => ({
      key: String(n + 1),
      label: one.words,
      act: one.act,
      off: busy || typing || !next,
    })),
    { key: '0', label: 'Another check: type it', act: () => setTyping(true), off: typing },
    // On a closed unit nothing else has the key that enters a check everywhere.
    {
      key: 'K',
      label: 'Another check: type it',
      act: () => setTyping(true),
      off: typing || stage !== 'AFTER_CLOSING' || !!leave,
    },
    {
      key: 'Escape',
      label: 'Leave it',
      act: () => (why ? setWhy(false) : leave?.()),
      off: typing || (!why && !leave),
    },
  ]);
  if (typing || (!next && leave)) {
    return (
      <Box bg="card" color="ink" borderRadius="sm" p="12px" data-paper="">
        <CheckForm
          job={bench.unit.jobId}
          stage={stage}
          planned={bench.gate.planned}
          done={() => {
            setTyping(false);
            leave?.();
          }}
        />
      </Box>
    );
  }
  return (
    <Box display="grid" gap="8px" role="group" aria-label="The next check">
      {next && (
        <>
          <chakra.h2 fontSize="2xl">{why ? `${next.what}: why not?` : next.what}</chakra.h2>
          {!why && (
            <Box fontSize="md" color="chalkDust">
              {[
                next.times > 1 && `${next.times} times`,
                next.load && `with ${next.load}`,
                next.terms.conditions,
                next.terms.powered ? 'under power, off and unplugged afterwards' : 'by hand',
                due.length > 1 && `${due.length - 1} more after it`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Box>
          )}
          {(next.terms.caution || next.terms.leadOnly) && (
            <Caution bench>
              {[next.terms.caution, next.terms.leadOnly && 'For a lead alone.'].filter(Boolean).join(' ')}
            </Caution>
          )}
          <Box display="grid" gridTemplateColumns={why ? '1fr' : 'repeat(3, 1fr)'} gap="7px">
            {answersNow.map((one, n) => (
              <Act
                key={one.words}
                look="bench"
                minH="60px"
                keyName={String(n + 1)}
                disabled={busy}
                onClick={one.act}
              >
                {one.words}
              </Act>
            ))}
          </Box>
        </>
      )}
      <Box display="flex" gap="7px">
        <Act look="bench" minH="56px" keyName="0" onClick={() => setTyping(true)}>
          Another check: type it
        </Act>
        {leave && (
          <Act look="bench" minH="56px" keyName="Esc" onClick={leave}>
            Leave it
          </Act>
        )}
      </Box>
    </Box>
  );
}
