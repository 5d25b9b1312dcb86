import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Caution, Trouble } from '../parts/States';

type Said = Schemas['CheckSaid'];

const VERDICTS: Said['verdict'][] = ['PASSED', 'FAILED', 'NOT_TESTED'];
const STAGES: Said['stage'][] = ['ARRIVAL', 'OPEN', 'BEFORE_CLOSING', 'AFTER_CLOSING'];
/** Why something is often not tested, while the shop has said no other reason. */
const NOT_TESTED = ['nothing here to try it with', 'not safe to try', 'the owner does not use it'];

/** A check: what was tried, how, how often, and how it ended. With `corrects` it strikes an earlier one. */
export function CheckForm({
  job,
  stage,
  corrects,
  planned = [],
  done,
}: {
  job: number;
  stage: Said['stage'];
  /** what the notes plan for this stage, and what of it is still to do */
  planned?: Schemas['DueCheck'][];
  corrects?: Schemas['CheckRow'];
  done: () => void;
}) {
  const due = planned.find((one) => one.missing !== '')?.planned;
  const [said, say] = useState<Said>(
    corrects?.check ?? {
      stage,
      verdict: 'PASSED',
      what: due?.what ?? '',
      planned: due?.id,
      powered: due?.terms.powered ?? true,
      load: due?.load ?? '',
      times: due?.times ?? 1,
      remark: '',
    },
  );
  const terms = planned.find((one) => one.planned.id === said.planned)?.planned.terms;
  const [why, setWhy] = useState('');
  const usual = useQuery({
    queryKey: answers.whyNot(),
    queryFn: () => answer(api.GET('/api/checks/why-not')),
    enabled: said.verdict === 'NOT_TESTED',
  });
  const reasons = [...new Set([...(usual.data ?? []), ...NOT_TESTED])].slice(0, 6);
  const body: Said = {
    stage: said.stage,
    verdict: said.verdict,
    what: said.what,
    planned: said.planned,
    powered: said.powered,
    load: said.load,
    times: said.verdict === 'NOT_TESTED' ? 0 : Math.max(1, said.times),
    remark: said.remark,
  };
  const write = useJobWrite(
    () =>
      answer(
        corrects
          ? api.POST('/api/checks/{check}/correction', {
              params: { path: { check: corrects.id } },
              body: { why, instead: body },
            })
          : api.POST('/api/jobs/{job}/checks', { params: { path: { job } }, body }),
      ),
    done,
  );
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Check"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <Box display="flex" gap="6px" flexWrap="wrap">
        {STAGES.map((one) => (
          <Chip key={one} on={said.stage === one} onClick={() => say({ ...said, stage: one })}>
            {floor.Stage[one]}
          </Chip>
        ))}
      </Box>
      {planned.length > 0 && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="The plan">
          {planned.map(({ planned: one, missing }) => (
            <Chip
              key={one.id}
              on={said.planned === one.id}
              onClick={() =>
                say({
                  ...said,
                  stage: one.stage,
                  planned: one.id,
                  what: one.what,
                  load: one.load,
                  times: one.times,
                  powered: one.terms.powered,
                })
              }
            >
              {missing === '' ? '✓ ' : ''}
              {one.what}
              {one.times > 1 && ` · ${one.times} times`}
              {one.terms.conditions && ` · ${one.terms.conditions}`}
            </Chip>
          ))}
        </Box>
      )}
      {terms && (terms.caution || terms.leadOnly) && (
        <Caution>{[terms.caution, terms.leadOnly && 'For a lead alone.'].filter(Boolean).join(' ')}</Caution>
      )}
      <Text
        label="What was tried"
        autoFocus
        placeholder="loads, plays, throws out"
        value={said.what}
        onChange={(event) => say({ ...said, planned: undefined, what: event.target.value })}
      />
      <Box display="grid" gridTemplateColumns="1fr 90px auto" gap="8px" alignItems="end">
        <Text
          label="With which disc, tape or load"
          compact
          value={said.load}
          onChange={(event) => say({ ...said, load: event.target.value })}
        />
        <Text
          label="How often"
          compact
          type="number"
          min={1}
          max={999}
          disabled={said.verdict === 'NOT_TESTED'}
          value={said.times}
          onChange={(event) => say({ ...said, times: Number(event.target.value) })}
        />
        <Chip on={said.powered === true} onClick={() => say({ ...said, powered: !said.powered })}>
          {said.powered ? 'under power' : 'by hand'}
        </Chip>
      </Box>
      {said.verdict === 'NOT_TESTED' && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Why not">
          {reasons.map((one) => (
            <Chip key={one} on={said.remark === one} onClick={() => say({ ...said, remark: one })}>
              {one}
            </Chip>
          ))}
        </Box>
      )}
      <Text
        label={said.verdict === 'NOT_TESTED' ? 'Why it is not tested' : 'Remark'}
        compact
        value={said.remark}
        onChange={(event) => say({ ...said, remark: event.target.value })}
      />
      {corrects && (
        <Text label="Why is it corrected" value={why} onChange={(event) => setWhy(event.target.value)} />
      )}
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
        {VERDICTS.map((one) => (
          <Chip key={one} on={said.verdict === one} onClick={() => say({ ...said, verdict: one })}>
            {floor.Verdict[one]}
          </Chip>
        ))}
        <Act look="main" type="submit" ml="auto" disabled={write.isPending}>
          Enter the check
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}
