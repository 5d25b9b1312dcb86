import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { type Fields, useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';
import { OneOf } from '../parts/OneOf';
import { Caution } from '../parts/States';
import { useModel } from '../teardown/useModel';
import { plainSum } from '../typed/sum';
import { PartsIn, type PartTyped, partTyped } from './PartsIn';

type Typed = Omit<Schemas['FindingSaid'], 'parts'> & { parts: PartTyped[]; why: string };

/** A finding as it was said, or nothing said yet. */
function asSaid(currency: string, before?: Schemas['FindingRow']): Typed {
  return {
    component: before?.fault.component ?? '',
    wrong: before?.fault.wrong ?? '',
    remedy: before?.done.remedy ?? 'REPLACED',
    kind: before?.kind,
    parts: before?.done.parts.map((part) => partTyped(part, plainSum(part.costMinor, currency))) ?? [],
    oldGoes: before?.done.oldGoes,
    remark: before?.remark ?? '',
    proof: before?.fault.proof,
    cause: before?.fault.cause,
    causeConfirmed: before?.fault.causeConfirmed ?? false,
    why: '',
  };
}

/** What goes out of what is typed: what a drawer's part costs the drawer knows. */
const partSaid = (currency: string) =>
  z
    .object({
      partId: z.number().optional(),
      words: z.string(),
      donor: z.custom<PartTyped['donor']>(),
      count: said.count(1, 99),
      cameFrom: z.custom<PartTyped['cameFrom']>(),
      cost: said.sumIfAny(currency),
      recipe: z.custom<PartTyped['recipe']>(),
    })
    .transform(({ cost, recipe, words, ...part }) => ({
      ...part,
      words: (!part.donor && words.trim()) || undefined,
      costMinor: part.cameFrom === 'DRAWER' || part.donor ? undefined : cost,
      recipe: part.cameFrom === 'MADE' ? recipe : undefined,
    }));

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
  const currency = useCurrency();
  const likelyKind = useRef<Schemas['FindingSaid']['kind']>(undefined);
  const form = useSending({
    blank: asSaid(currency, corrects),
    check: z.looseObject({ parts: z.array(partSaid(currency)) }) as unknown as z.ZodType<
      Schemas['FindingSaid'] & { why: string },
      Typed
    >,
    // A correction belongs to the very finding that it puts right.
    kept: corrects ? `correct finding ${corrects.id}` : `finding ${job}`,
    send: ({ why, ...now }) => {
      const body = { ...now, kind: now.kind ?? likelyKind.current };
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
  const { component, wrong, remedy, remark, proof, cause, causeConfirmed } = form.value;
  const asked = { component, wrong, remedy, proved: proof !== undefined };
  const likely = useQuery({
    queryKey: answers.likelyKind(job, asked),
    queryFn: () =>
      answer(api.GET('/api/jobs/{job}/likely-kind', { params: { path: { job }, query: asked } })),
    placeholderData: (before) => before,
  });
  likelyKind.current = likely.data?.kind;
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
      <ChoiceIn of={kind(form, likely.data?.kind)} at="kind" label="What it is" words={floor.FindingKind} />
      {hazards.data?.map((words) => (
        <Caution key={words}>{words}</Caution>
      ))}
      <PartsIn form={form} job={job} model={modelId} />
      {remedy === 'REPLACED' && (
        <OneOf
          label="Where the old one goes"
          name="The old one"
          words={floor.OldGoes}
          picked={form.value.oldGoes}
          pick={(one) => form.put('oldGoes', one)}
        />
      )}
      <OneOf
        label="What proved it"
        name="Proved by"
        words={floor.Means}
        picked={proof}
        pick={(one) => form.put('proof', one)}
      />
      <Box display="flex" gap="4px" alignItems="flex-end">
        <OneOf
          label="What caused it"
          name="Caused by"
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

/** What it most likely is stands picked until somebody says otherwise. */
function kind(form: Fields<Typed>, likely?: Typed['kind']): Fields<Typed> {
  return { ...form, value: { ...form.value, kind: form.value.kind ?? likely } };
}
