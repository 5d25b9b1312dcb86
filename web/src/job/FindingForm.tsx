import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Caution, Trouble } from '../parts/States';
import { useModel } from '../teardown/useModel';

type Remedy = Schemas['RemedyDone']['remedy'];

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
  const [component, setComponent] = useState(corrects?.fault.component ?? '');
  const [wrong, setWrong] = useState(corrects?.fault.wrong ?? '');
  const [remedy, setRemedy] = useState<Remedy>(corrects?.done.remedy ?? 'REPLACED');
  const [partId, setPartId] = useState(corrects?.done.partId);
  const [partCount, setPartCount] = useState(corrects?.done.partCount || 1);
  const [remark, setRemark] = useState(corrects?.remark ?? '');
  const [why, setWhy] = useState('');
  const [proof, setProof] = useState(corrects?.fault.proof);
  const [cause, setCause] = useState(corrects?.fault.cause);
  const [causeConfirmed, setCauseConfirmed] = useState(corrects?.fault.causeConfirmed ?? false);
  const body = {
    component,
    wrong,
    remedy,
    partId,
    partCount: partId === undefined ? 0 : partCount,
    remark,
    proof,
    cause,
    causeConfirmed,
  };
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
    done,
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
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <Text
          label="Component"
          autoFocus
          list="components"
          value={component}
          onChange={(event) => setComponent(event.target.value)}
        />
        <Text
          label="What is wrong"
          list="faults"
          value={wrong}
          onChange={(event) => setWrong(event.target.value)}
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
          <Chip key={one} on={remedy === one} onClick={() => setRemedy(one)}>
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
          onChange={(event) => setPartId(Number(event.target.value) || undefined)}
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
          onChange={(event) => setPartCount(Number(event.target.value))}
        />
      </Box>
      <OneOf label="What proved it" name="Proved by" words={floor.Means} picked={proof} pick={setProof} />
      <Box display="flex" gap="4px" alignItems="flex-end">
        <OneOf
          label="Where it came from"
          name="Came from"
          words={floor.Cause}
          picked={cause}
          pick={setCause}
        />
        {cause && (
          <Chip
            on={causeConfirmed}
            minH="30px"
            fontSize="14px"
            onClick={() => setCauseConfirmed(!causeConfirmed)}
          >
            {causeConfirmed ? 'confirmed' : 'only suspected'}
          </Chip>
        )}
      </Box>
      <Text label="Remark" compact value={remark} onChange={(event) => setRemark(event.target.value)} />
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
