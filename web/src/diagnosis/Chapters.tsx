import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useCurrency } from '../api/session';
import { useJobWrite } from '../api/useJobWrite';
import { moment } from '../api/words';
import { Act, Chip } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { money } from '../typed/sum';

type Finding = Schemas['FindingRow'];
type Change = Schemas['After']['change'];

const CHANGES: (Change | undefined)[] = [undefined, 'WENT', 'STAYED', 'CAME'];

/** Fault under fault: each finding is a chapter, with what proved it and what its remedy changed. */
export function Chapters({
  findings,
  symptoms,
  correct,
}: {
  findings: Finding[];
  /** what was told of the unit, for what went and what stayed */
  symptoms: string[];
  correct?: (finding: Finding) => void;
}) {
  let number = 0;
  return (
    <>
      {findings.map((finding) => {
        const struck = finding.struckWhy !== undefined;
        number += struck ? 0 : 1;
        return (
          <Chapter
            key={finding.id}
            finding={finding}
            number={number}
            struck={struck}
            symptoms={symptoms}
            correct={struck ? undefined : correct}
          />
        );
      })}
    </>
  );
}

function Chapter({
  finding,
  number,
  struck,
  symptoms,
  correct,
}: {
  finding: Finding;
  number: number;
  struck: boolean;
  symptoms: string[];
  correct?: (finding: Finding) => void;
}) {
  const currency = useCurrency();
  const [telling, setTelling] = useState(false);
  return (
    <Box
      id={`finding-${finding.id}`}
      borderTop="1px solid"
      borderColor="line"
      py="4px"
      _target={{ bg: 'matPaper' }}
      display="grid"
      gridTemplateColumns="26px 1fr auto"
      gap="8px"
    >
      <chakra.span fontFamily="mono" color="muted">
        {struck ? '' : number}
      </chakra.span>
      <Box textDecoration={struck ? 'line-through' : undefined} color={struck ? 'muted' : undefined} minW={0}>
        <b>
          {finding.fault.component}, {finding.fault.wrong}
        </b>
        : {floor.Remedy[finding.done.remedy]}
        {finding.done.parts.length > 0 && ` with ${finding.done.parts.map(partWords).join(', ')}`}
        {finding.done.costMinor > 0 && ` (${money(finding.done.costMinor, currency)})`}
        {finding.kind !== 'FAULT' && (
          <chakra.span
            ml="6px"
            px="5px"
            fontSize="xs"
            border="1px solid"
            borderColor={finding.kind === 'OURS' ? 'amber' : 'edge'}
            borderRadius="sm"
          >
            {floor.FindingKind[finding.kind]}
          </chakra.span>
        )}
        {finding.done.oldGoes && `. The old one: ${floor.OldGoes[finding.done.oldGoes]}`}
        {finding.done.failed && <chakra.b color="hazard"> it changed nothing</chakra.b>}
        {finding.remark && `. ${finding.remark}`}{' '}
        <chakra.span color="muted" fontSize="xs">
          {finding.by}, {moment(finding.at)}
        </chakra.span>
        {(finding.fault.proof || finding.fault.cause) && (
          <Box color="muted" fontSize="sm">
            {finding.fault.proof && `Proved: ${floor.Means[finding.fault.proof]}. `}
            {finding.fault.cause &&
              `${finding.fault.causeConfirmed ? 'Cause' : 'Cause suspected'}: ${floor.Cause[finding.fault.cause]}.`}
          </Box>
        )}
        <Changes changes={finding.done.changes} />
        {finding.fault.earlierJob && (
          <chakra.span color="amberInk" fontWeight={700}>
            Comeback: the same was found on an earlier stay.
          </chakra.span>
        )}
        {finding.undoneBy && (
          <chakra.b color="hazard" display="block">
            Heard later that it was not: {finding.undoneBy}
          </chakra.b>
        )}
        {finding.struckWhy && <Box fontSize="sm">Struck: {finding.struckWhy}</Box>}
        {telling && <AfterForm finding={finding} symptoms={symptoms} done={() => setTelling(false)} />}
      </Box>
      {correct && (
        <Box display="flex" flexDirection="column" alignItems="flex-end">
          <Act
            look="quiet"
            minH="28px"
            aria-label={`Correct ${finding.fault.component}`}
            onClick={() => correct(finding)}
          >
            correct
          </Act>
          <Act
            look="quiet"
            minH="28px"
            aria-label={`What changed after ${finding.fault.component}`}
            onClick={() => setTelling(!telling)}
          >
            after it
          </Act>
        </Box>
      )}
    </Box>
  );
}

/** "1 × gear, made here": where it came from stays with it for good. */
function partWords(part: Schemas['PartIn']) {
  return `${part.count} × ${part.name}${part.mark ? `, ${part.mark}` : ''}`;
}

function Changes({ changes }: { changes: Schemas['After'][] }) {
  if (changes.length === 0) {
    return null;
  }
  const of = (change: Change) =>
    changes
      .filter((one) => one.change === change)
      .map((one) => one.symptom)
      .join(', ');
  return (
    <Box fontSize="sm">
      {(['WENT', 'STAYED', 'CAME'] as Change[])
        .filter((change) => of(change))
        .map((change) => (
          <chakra.span key={change} mr="10px">
            {change === 'WENT' ? '✓' : '✗'} {floor.Change[change]}: {of(change)}
          </chakra.span>
        ))}
    </Box>
  );
}

/** What a remedy changed: a tap goes through went, stayed, came. */
function AfterForm({ finding, symptoms, done }: { finding: Finding; symptoms: string[]; done: () => void }) {
  const [changes, setChanges] = useState(finding.done.changes);
  const [failed, setFailed] = useState(finding.done.failed);
  const [own, setOwn] = useState('');
  const write = useJobWrite(
    () =>
      answer(
        api.POST('/api/findings/{finding}/after', {
          params: { path: { finding: finding.id } },
          body: { failed, changes },
        }),
      ),
    done,
  );
  const names = [...new Set([...symptoms, ...changes.map((one) => one.symptom)])];
  const of = (name: string) => changes.find((one) => one.symptom === name)?.change;
  function turn(name: string) {
    const next = CHANGES[(CHANGES.indexOf(of(name)) + 1) % CHANGES.length];
    const others = changes.filter((one) => one.symptom !== name);
    setChanges(next ? [...others, { symptom: name, change: next }] : others);
  }
  return (
    <Box role="group" aria-label={`After ${finding.fault.component}`} bg="paper" p="8px" mt="4px">
      <Box display="flex" gap="4px" flexWrap="wrap">
        {names.map((name) => {
          const change = of(name);
          return (
            <Chip key={name} on={change !== undefined} onClick={() => turn(name)}>
              {name}
              {change && `: ${floor.Change[change]}`}
            </Chip>
          );
        })}
        <chakra.input
          aria-label="Something that came with it"
          placeholder="something came: Enter"
          value={own}
          px="6px"
          border="1px dashed"
          borderColor="edge"
          bg="field"
          onChange={(event) => setOwn(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && own.trim()) {
              event.preventDefault();
              setChanges([...changes, { symptom: own.trim(), change: 'CAME' }]);
              setOwn('');
            }
          }}
        />
      </Box>
      <Box display="flex" gap="6px" mt="6px">
        <Chip on={failed} onClick={() => setFailed(!failed)}>
          it changed nothing
        </Chip>
        <Act look="main" minH="34px" disabled={write.isPending} onClick={() => write.mutate()}>
          Enter what changed
        </Act>
        <Act look="quiet" minH="34px" onClick={done}>
          Leave it
        </Act>
      </Box>
      <Trouble error={write.error} />
    </Box>
  );
}
