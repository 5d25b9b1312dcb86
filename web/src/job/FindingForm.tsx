import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, CountIn, PickIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';
import { OneOf } from '../parts/OneOf';
import { Caution } from '../parts/States';
import { useModel } from '../teardown/useModel';

type Said = Omit<Schemas['FindingSaid'], 'corrects'> & { why: string };

/** A finding as it was said, or nothing said yet. */
function asSaid(before?: Schemas['FindingRow']): Said {
  return {
    component: before?.fault.component ?? '',
    wrong: before?.fault.wrong ?? '',
    remedy: before?.done.remedy ?? 'REPLACED',
    partId: before?.done.partId,
    partCount: before?.done.partCount || 1,
    remark: before?.remark ?? '',
    proof: before?.fault.proof,
    cause: before?.fault.cause,
    causeConfirmed: before?.fault.causeConfirmed ?? false,
    why: '',
  };
}

/** A fault seen and what was done about it. With `corrects` it strikes an earlier one and puts this in its place. */
export function FindingForm({
  job,
  modelId,
  corrects,
  done,
}: {
  job: number;
  modelId: number;
  corrects?: Schemas['FindingRow'];
  done: () => void;
}) {
  const model = useModel(modelId);
  const parts = useQuery({ queryKey: answers.parts(), queryFn: () => answer(api.GET('/api/parts')) });
  const form = useSending({
    blank: asSaid(corrects),
    // A correction belongs to the very finding that it puts right.
    kept: corrects ? `correct finding ${corrects.id}` : `finding ${job}`,
    send: ({ why, ...now }) => {
      const body = { ...now, partCount: now.partId === undefined ? 0 : now.partCount };
      return answer(
        corrects
          ? api.POST('/api/findings/{finding}/correction', {
              params: { path: { finding: corrects.id } },
              body: { why, instead: body },
            })
          : api.POST('/api/jobs/{job}/findings', { params: { path: { job } }, body }),
      );
    },
    done,
    leave: done,
  });
  const { component, wrong, remedy, partId, remark, proof, cause, causeConfirmed } = form.value;
  const words = `${component} ${wrong} ${remark}`.trim();
  const hazards = useQuery({
    queryKey: answers.workHazards(remedy, words),
    queryFn: () => answer(api.GET('/api/work-hazards', { params: { query: { remedy, words } } })),
    placeholderData: (before) => before,
  });
  const known = model.data?.components.find((one) =>
    [one.name, ...one.aliases].some((name) => name.toLowerCase() === component.trim().toLowerCase()),
  );
  const faults = model.data?.faults.filter((fault) => fault.componentId === known?.id) ?? [];
  return (
    <Form of={form} name="Finding">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="component" label="Component" list="components" />
        <TextIn of={form} at="wrong" label="What is wrong" list="faults" />
      </Box>
      <datalist id="components">
        {model.data?.components.map((one) => (
          <option key={one.id} value={one.name}>
            {one.aliases.join(', ')}
          </option>
        ))}
      </datalist>
      <datalist id="faults">
        {faults.map((fault) => (
          <option key={fault.id} value={fault.wrong} />
        ))}
      </datalist>
      <ChoiceIn of={form} at="remedy" label="What was done" words={floor.Remedy} />
      {hazards.data?.map((words) => (
        <Caution key={words}>{words}</Caution>
      ))}
      <Box display="grid" gridTemplateColumns="1fr 90px" gap="8px">
        <PickIn of={form} at="partId" number label="Part from a drawer" compact>
          <option value="">none</option>
          {parts.data?.map((part) => (
            <option key={part.id} value={part.id} disabled={part.count === 0 && part.id !== partId}>
              {part.name} · drawer {part.drawer} · {part.count} left
            </option>
          ))}
        </PickIn>
        <CountIn
          of={form}
          at="partCount"
          label="How many"
          compact
          min={1}
          max={99}
          disabled={partId === undefined}
        />
      </Box>
      <OneOf
        label="What proved it"
        name="Proved by"
        words={floor.Means}
        picked={proof}
        pick={(one) => form.put('proof', one)}
      />
      <Box display="flex" gap="4px" alignItems="flex-end">
        <OneOf
          label="Where it came from"
          name="Came from"
          words={floor.Cause}
          picked={cause}
          pick={(one) => form.put('cause', one)}
        />
        {cause && (
          <Chip
            on={causeConfirmed}
            minH="30px"
            fontSize="sm"
            onClick={() => form.put('causeConfirmed', !causeConfirmed)}
          >
            {causeConfirmed ? 'confirmed' : 'only suspected'}
          </Chip>
        )}
      </Box>
      <TextIn of={form} at="remark" label="Remark" compact />
      {corrects && <TextIn of={form} at="why" label="Why is it corrected" />}
      <Sends of={form} go="Enter the finding" />
    </Form>
  );
}
