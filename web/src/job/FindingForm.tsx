import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { FoundAgain } from '../parts/FoundAgain';
import { OneOf } from '../parts/OneOf';
import { Caution, Trouble } from '../parts/States';
import { useDraft } from '../parts/useDraft';
import { useModel } from '../teardown/useModel';

type Remedy = Schemas['RemedyDone']['remedy'];
type Said = Omit<Schemas['FindingSaid'], 'corrects'>;

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
  const draft = useDraft<Said>(corrects ? undefined : `finding ${job}`, {
    component: corrects?.fault.component ?? '',
    wrong: corrects?.fault.wrong ?? '',
    remedy: corrects?.done.remedy ?? 'REPLACED',
    partId: corrects?.done.partId,
    partCount: corrects?.done.partCount || 1,
    remark: corrects?.remark ?? '',
    proof: corrects?.fault.proof,
    cause: corrects?.fault.cause,
    causeConfirmed: corrects?.fault.causeConfirmed ?? false,
  });
  const said = draft.value;
  const say = (part: Partial<Said>) => draft.set((now) => ({ ...now, ...part }));
  const { component, wrong, remedy, partId, partCount, remark, proof, cause, causeConfirmed } = said;
  const [why, setWhy] = useState('');
  const body = { ...said, partCount: partId === undefined ? 0 : partCount };
  const words = `${component} ${wrong} ${remark}`.trim();
  const hazards = useQuery({
    queryKey: answers.workHazards(remedy, words),
    queryFn: () => answer(api.GET('/api/work-hazards', { params: { query: { remedy, words } } })),
    placeholderData: (before) => before,
  });
  const write = useJobWrite(
    () =>
      answer(
        corrects
          ? api.POST('/api/findings/{finding}/correction', {
              params: { path: { finding: corrects.id } },
              body: { why, instead: body },
            })
          : api.POST('/api/jobs/{job}/findings', { params: { path: { job } }, body }),
      ),
    () => {
      draft.forget();
      done();
    },
  );
  const known = model.data?.components.find((one) =>
    [one.name, ...one.aliases].some((name) => name.toLowerCase() === component.trim().toLowerCase()),
  );
  const faults = model.data?.faults.filter((fault) => fault.componentId === known?.id) ?? [];
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label="Finding"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <FoundAgain draft={draft} />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <Text
          label="Component"
          autoFocus
          list="components"
          value={component}
          onChange={(event) => say({ component: event.target.value })}
        />
        <Text
          label="What is wrong"
          list="faults"
          value={wrong}
          onChange={(event) => say({ wrong: event.target.value })}
        />
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
      <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="What was done">
        {(Object.keys(floor.Remedy) as Remedy[]).map((one) => (
          <Chip key={one} on={remedy === one} onClick={() => say({ remedy: one })}>
            {floor.Remedy[one]}
          </Chip>
        ))}
      </Box>
      {hazards.data?.map((words) => (
        <Caution key={words}>{words}</Caution>
      ))}
      <Box display="grid" gridTemplateColumns="1fr 90px" gap="8px">
        <Pick
          label="Part from a drawer"
          compact
          value={partId ?? ''}
          onChange={(event) => say({ partId: Number(event.target.value) || undefined })}
        >
          <option value="">none</option>
          {parts.data?.map((part) => (
            <option key={part.id} value={part.id} disabled={part.count === 0 && part.id !== partId}>
              {part.name} · drawer {part.drawer} · {part.count} left
            </option>
          ))}
        </Pick>
        <Text
          label="How many"
          compact
          type="number"
          min={1}
          max={99}
          disabled={partId === undefined}
          value={partCount}
          onChange={(event) => say({ partCount: Number(event.target.value) })}
        />
      </Box>
      <OneOf
        label="What proved it"
        name="Proved by"
        words={floor.Means}
        picked={proof}
        pick={(proof) => say({ proof })}
      />
      <Box display="flex" gap="4px" alignItems="flex-end">
        <OneOf
          label="Where it came from"
          name="Came from"
          words={floor.Cause}
          picked={cause}
          pick={(cause) => say({ cause })}
        />
        {cause && (
          <Chip
            on={causeConfirmed}
            minH="30px"
            fontSize="sm"
            onClick={() => say({ causeConfirmed: !causeConfirmed })}
          >
            {causeConfirmed ? 'confirmed' : 'only suspected'}
          </Chip>
        )}
      </Box>
      <Text label="Remark" compact value={remark} onChange={(event) => say({ remark: event.target.value })} />
      {corrects && (
        <Text label="Why is it corrected" value={why} onChange={(event) => setWhy(event.target.value)} />
      )}
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={write.isPending}>
          Enter the finding
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}
