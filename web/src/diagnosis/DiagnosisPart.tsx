import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { faultWords } from '../api/words';
import { useKeys } from '../app/keys';
import { TimeWorked } from '../money/TimeWorked';
import { WhatItTakes } from '../money/WhatItTakes';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { LookFirst } from './LookFirst';
import { NextChecks } from './NextChecks';
import { OddsBars } from './OddsBars';
import { Overrule } from './Overrule';
import { SeenForm } from './SeenForm';
import { TriesForm, TriesTable } from './TriesGrid';
import { useEvidence, useOutlook } from './useEvidence';

type Fault = Schemas['LikelyFault'];
type Doing = { what: 'nothing' | 'seen' | 'tries' } | { what: 'overrule'; fault: Fault };

/** What the unit on the bench is likely to have, sharpened by each answer. */
export function DiagnosisPart({ job, here }: { job: Schemas['JobView']; here: boolean }) {
  const outlook = useOutlook(job.id);
  const evidence = useEvidence(job.id);
  const [doing, setDoing] = useState<Doing>({ what: 'nothing' });
  const done = () => setDoing({ what: 'nothing' });
  const first = outlook.data?.odds.faults[0];
  useKeys([
    {
      key: 'V',
      label: 'Overrule the first of the odds',
      act: () => first && setDoing({ what: 'overrule', fault: first }),
      off: !here || !first,
    },
    {
      key: 'G',
      label: 'A component was seen good or bad',
      act: () => setDoing({ what: 'seen' }),
      off: !here,
    },
    { key: 'T', label: 'Tried with one another', act: () => setDoing({ what: 'tries' }), off: !here },
  ]);
  const say = useSaid(job.id);
  return (
    <Box mb="14px" role="region" aria-label="Diagnosis">
      <chakra.h2>Likely</chakra.h2>
      <Loaded query={outlook}>
        {(now) => (
          <>
            <LookFirst
              looks={now.lookFirst.filter(
                (look) => !evidence.data?.looks.some((seen) => seen.componentId === look.componentId),
              )}
              act={(look) =>
                here && (
                  <GoodBad
                    of={look.component}
                    say={(good) => say.mutate({ componentId: look.componentId, good, means: 'LOOKED' })}
                  />
                )
              }
            />
            <OddsBars
              odds={now.odds}
              most={5}
              act={
                here
                  ? (fault) => (
                      <Act
                        look="quiet"
                        minH="28px"
                        fontSize="sm"
                        aria-label={`Overrule ${faultWords(fault.fault)}`}
                        onClick={() => setDoing({ what: 'overrule', fault })}
                      >
                        overrule
                      </Act>
                    )
                  : undefined
              }
            />
            {doing.what === 'overrule' && (
              <Overrule
                job={job.id}
                fault={doing.fault}
                before={evidence.data?.overruledBefore}
                done={done}
              />
            )}
            {here && (
              <Box display="grid" gridTemplateColumns="6fr 5fr" gap="18px" mt="8px">
                <NextChecks
                  next={now.odds.next}
                  act={(advice) =>
                    advice.ask ? (
                      <>
                        <Act
                          minH="34px"
                          px="9px"
                          onClick={() => say.mutate({ name: advice.what, present: true })}
                        >
                          so
                        </Act>
                        <Act
                          minH="34px"
                          px="9px"
                          onClick={() => say.mutate({ name: advice.what, present: false })}
                        >
                          not so
                        </Act>
                      </>
                    ) : (
                      advice.componentId !== undefined && (
                        <GoodBad
                          of={advice.what}
                          say={(good) =>
                            say.mutate({
                              componentId: advice.componentId as number,
                              good,
                              means: advice.how ?? 'LOOKED',
                            })
                          }
                        />
                      )
                    )
                  }
                />
                <Box>
                  <WhatItTakes takes={now.money} />
                  <TimeWorked job={job.id} />
                </Box>
              </Box>
            )}
            <Trouble error={say.error} />
          </>
        )}
      </Loaded>
      {here && (
        <Box display="flex" gap="8px" mt="8px">
          <Act minH="36px" keyName="G" onClick={() => setDoing({ what: 'seen' })}>
            Seen good or bad
          </Act>
          <Act minH="36px" keyName="T" onClick={() => setDoing({ what: 'tries' })}>
            Crossed tries
          </Act>
          <Act
            minH="36px"
            keyName="V"
            disabled={!first}
            onClick={() => first && setDoing({ what: 'overrule', fault: first })}
          >
            Overrule
          </Act>
        </Box>
      )}
      {doing.what === 'seen' && <SeenForm job={job.id} modelId={job.unit.modelId} done={done} />}
      {doing.what === 'tries' && <TriesForm job={job.id} modelId={job.unit.modelId} done={done} />}
      {evidence.data && <Seen job={job.id} evidence={evidence.data} here={here} />}
    </Box>
  );
}

type Look = Schemas['ComponentSeen'];
type Said = Schemas['Symptom'] | Omit<Look, 'words'>;

/** A symptom that was tried, or a component that was looked at. */
function useSaid(job: number) {
  return useJobWrite((said: Said) =>
    'name' in said
      ? answer(api.POST('/api/jobs/{job}/symptoms', { params: { path: { job } }, body: said }))
      : answer(
          api.POST('/api/jobs/{job}/looks', { params: { path: { job } }, body: { ...said, words: '' } }),
        ),
  );
}

function GoodBad({ of, say }: { of: string; say: (good: boolean) => void }) {
  return (
    <Box display="flex" gap="4px">
      <Act minH="34px" px="9px" aria-label={`${of} is good`} onClick={() => say(true)}>
        good
      </Act>
      <Act minH="34px" px="9px" aria-label={`${of} is bad`} onClick={() => say(false)}>
        bad
      </Act>
    </Box>
  );
}

/** What was seen and tried so far; each can be struck. */
function Seen({ job, evidence, here }: { job: number; evidence: Schemas['EvidenceOnJob']; here: boolean }) {
  const strike = useJobWrite((what: { look?: number; tries?: number }) =>
    what.look !== undefined
      ? answer(api.DELETE('/api/jobs/{job}/looks/{look}', { params: { path: { job, look: what.look } } }))
      : answer(
          api.DELETE('/api/jobs/{job}/tries/{tries}', {
            params: { path: { job, tries: what.tries as number } },
          }),
        ),
  );
  return (
    <Box mt="6px" fontSize="sm">
      {evidence.looks.map((look) => (
        <Box
          key={look.id}
          display="flex"
          justifyContent="space-between"
          borderTop="1px solid"
          borderColor="line"
        >
          <span>
            {look.component}: <b>{look.good ? 'good' : 'bad'}</b>, {floor.Means[look.means]}
            {look.words && `. ${look.words}`} <chakra.span color="muted">{look.by}</chakra.span>
          </span>
          {here && (
            <Act
              look="quiet"
              minH="28px"
              aria-label={`Strike the look at the ${look.component}`}
              onClick={() => strike.mutate({ look: look.id })}
            >
              strike
            </Act>
          )}
        </Box>
      ))}
      {evidence.tries.map((row) => (
        <TriesTable
          job={job}
          key={row.id}
          grid={row.grid}
          strike={here ? () => strike.mutate({ tries: row.id }) : undefined}
        />
      ))}
      <Trouble error={strike.error} />
    </Box>
  );
}
