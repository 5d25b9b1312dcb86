import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, CountIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Caution } from '../parts/States';

type Said = Schemas['CheckSaid'];

const { PASSED, FAILED, NOT_TESTED } = floor.Verdict;
const VERDICTS = { PASSED, FAILED, NOT_TESTED };
const { ARRIVAL, OPEN, BEFORE_CLOSING, AFTER_CLOSING } = floor.Stage;
const STAGES = { ARRIVAL, OPEN, BEFORE_CLOSING, AFTER_CLOSING };
/** Why something is often not tested, while the shop has said no other reason. */
const WHY_NOT = ['nothing here to try it with', 'not safe to try', 'the owner does not use it'];

/** As the plan asks for it, or nothing said yet. */
function nothingTried(stage: Said['stage'], due?: Schemas['DueCheck']['planned']): Said {
  return {
    stage,
    verdict: 'PASSED',
    what: due?.what ?? '',
    planned: due?.id,
    powered: due?.terms.powered ?? true,
    load: due?.load ?? '',
    times: due?.times ?? 1,
    remark: '',
  };
}

/** A check as it was said, to be put right. */
function saidBefore({ stage, verdict, what, planned, powered, load, times, remark }: Said): Said {
  return { stage, verdict, what, planned, powered, load, times, remark };
}

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
  const form = useSending({
    blank: { why: '', ...(corrects ? saidBefore(corrects.check) : nothingTried(stage, due)) },
    kept: corrects ? `correct check ${corrects.id}` : `check ${job} ${stage}`,
    send: ({ why, ...now }) => {
      const body: Said = { ...now, times: now.verdict === 'NOT_TESTED' ? 0 : Math.max(1, now.times) };
      return answer(
        corrects
          ? api.POST('/api/checks/{check}/correction', {
              params: { path: { check: corrects.id } },
              body: { why, instead: body },
            })
          : api.POST('/api/jobs/{job}/checks', { params: { path: { job } }, body }),
      );
    },
    done,
    leave: done,
  });
  const now = form.value;
  const terms = planned.find((one) => one.planned.id === now.planned)?.planned.terms;
  const usual = useQuery({
    queryKey: answers.whyNot(),
    queryFn: () => answer(api.GET('/api/checks/why-not')),
    enabled: now.verdict === 'NOT_TESTED',
  });
  const reasons = [...new Set([...(usual.data ?? []), ...WHY_NOT])].slice(0, 6);
  return (
    <Form of={form} name="Check">
      <Choice
        label="When it was tried"
        words={STAGES}
        picked={now.stage}
        pick={(one) => form.put('stage', one)}
      />
      {planned.length > 0 && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="The plan">
          {planned.map(({ planned: one, missing }) => (
            <Chip
              key={one.id}
              on={now.planned === one.id}
              onClick={() =>
                form.set({
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
      <TextIn of={form} at="what" label="What was tried" placeholder="loads, plays, throws out" />
      <Box display="grid" gridTemplateColumns="1fr 90px auto" gap="8px" alignItems="end">
        <TextIn of={form} at="load" label="With which disc, tape or load" compact />
        <CountIn
          of={form}
          at="times"
          label="How often"
          compact
          min={1}
          max={999}
          disabled={now.verdict === 'NOT_TESTED'}
        />
        <Chip on={now.powered === true} onClick={() => form.put('powered', !now.powered)}>
          {now.powered ? 'under power' : 'by hand'}
        </Chip>
      </Box>
      {now.verdict === 'NOT_TESTED' && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Why not">
          {reasons.map((one) => (
            <Chip key={one} on={now.remark === one} onClick={() => form.put('remark', one)}>
              {one}
            </Chip>
          ))}
        </Box>
      )}
      <TextIn
        of={form}
        at="remark"
        label={now.verdict === 'NOT_TESTED' ? 'Why it is not tested' : 'Remark'}
        compact
      />
      {corrects && <TextIn of={form} at="why" label="Why is it corrected" />}
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
        <ChoiceIn of={form} at="verdict" label="How it ended" words={VERDICTS} />
        <Box ml="auto">
          <Sends of={form} go="Enter the check" />
        </Box>
      </Box>
    </Form>
  );
}
