import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useGoOn } from '../app/leaving';
import { useTitle } from '../app/useTitle';
import { Form } from '../form/Form';
import { FoundAgain } from '../form/FoundAgain';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Pick, Row, Text } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { minorOf } from '../typed/sum';
import { ArrivalFields } from './ArrivalFields';
import { CounterOutlook } from './CounterOutlook';
import { BLANK, nextAfter, revisionOf, slotOf } from './counterForm';
import { LotField } from './LotField';
import { OwnerField } from './OwnerField';
import { takeIn } from './takeIn';
import { UnitField } from './UnitField';
import { useCounter } from './useCounter';

export default function CheckInPage() {
  useTitle('Check-in');
  const counter = useCounter();
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  return (
    <Loaded query={counter}>
      {(start) => <Loaded query={models}>{(all) => <Counter counter={start} models={all} />}</Loaded>}
    </Loaded>
  );
}

function Counter({ counter, models }: { counter: Schemas['Counter']; models: Schemas['ModelView'][] }) {
  const navigate = useNavigate();
  const goOn = useGoOn();
  const currency = useCurrency();
  const [last, setLast] = useState<{ jobId: number; tag: string; unprinted: boolean }>();
  const seenField = useRef<HTMLInputElement>(null);
  const sending = useSending({
    blank: BLANK,
    kept: 'check-in',
    send: (now, _next: boolean) => takeIn(now, revisionOf(now, models), slotOf(now, counter), currency),
    done: (taken, next) => {
      if (next) {
        // The next of the crate is likely much the same: what it is and where it came from stays.
        setLast(taken);
        sending.forget(nextAfter(form));
        seenField.current?.focus();
      } else {
        // That its tag was not printed is said on its sheet alone.
        (taken.unprinted ? navigate : goOn)(`/jobs/${taken.jobId}`, {
          state: { unprinted: taken.unprinted },
        });
      }
    },
  });
  const { value: form, set, problem } = sending;
  const resale = form.ownership === 'RESALE';
  const slot = slotOf(form, counter);
  const revision = revisionOf(form, models);

  const found = useQuery({
    queryKey: answers.units(form.seen.trim()),
    queryFn: () => answer(api.GET('/api/units', { params: { query: { find: form.seen.trim() } } })),
    enabled: form.seen.trim().length > 1,
  });
  const known = found.data?.[0];
  useEffect(() => {
    // Seen before: nothing of it is asked twice.
    if (known && form.unitId !== known.unit.id) {
      const last = known.stays[0];
      set({
        unitId: known.unit.id,
        serial: known.unit.serial,
        revisionId: known.unit.revisionId,
        modelId: last?.unit.modelId,
        ownership: last?.brought.ownership ?? 'CUSTOMER',
        ownerId: last?.brought.owner?.id,
        ownerName: last?.brought.owner?.name ?? '',
      });
    }
  });

  const words = useCounter(revision).data?.symptoms ?? counter.symptoms;
  const notes = useQuery({
    queryKey: answers.notes(revision),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revision as number } } }),
      ),
    enabled: revision !== undefined,
  });

  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '600px 1fr' }} flex="1">
      <Form
        of={sending}
        name="Coming in"
        sends={false}
        found={false}
        quiet
        bg="card"
        borderRight="1px solid"
        borderColor="line"
        display="flex"
        flexDirection="column"
        gap="0"
        maxH={{ lg: 'calc(100vh - 48px)' }}
        onKeyDown={(event) => {
          if (event.ctrlKey && event.key === 'Enter') {
            event.preventDefault();
            sending.send(event.shiftKey);
          }
        }}
      >
        <Box p="10px 24px" overflowY="auto" flex="1" minH={0}>
          <Box display="flex" justifyContent="space-between" alignItems="center" mb="8px">
            <chakra.h1>Coming in</chakra.h1>
            <Box display="flex" gap="4px" ml="auto" mr="10px">
              <Act look="quiet" minH="28px" fontSize="sm" onClick={() => navigate('/lots')}>
                lots
              </Act>
              <Act look="quiet" minH="28px" fontSize="sm" onClick={() => navigate('/words')}>
                the words
              </Act>
            </Box>
            <Tag text={known?.unit.tag ?? counter.nextTag} />
          </Box>
          <FoundAgain of={sending} />
          {last && (
            <Box role="status" bg="paper" px="10px" py="5px" mb="6px" fontSize="sm">
              <Link
                to={`/jobs/${last.jobId}`}
                style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}
              >
                {last.tag}
              </Link>{' '}
              is in
              {last.unprinted
                ? '; its slip and tag did not print: print them from its sheet'
                : ', its slip and tag are made'}
              . The next.
            </Box>
          )}
          <Row name="Seen before?">
            <Text
              ref={seenField}
              label="Tag or serial, typed or scanned"
              compact
              autoFocus
              value={form.seen}
              onChange={(event) => set({ seen: event.target.value, unitId: undefined })}
              onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && event.preventDefault()}
              hint={
                form.seen.trim().length > 1 && found.isSuccess && !known
                  ? 'Not seen before: it gets a new tag.'
                  : undefined
              }
            />
          </Row>
          {known && known.marks.length > 0 && (
            <Row name="Not as made">
              <Box role="group" aria-label="Not as made any more" fontSize="md">
                {known.marks.map((mark) => (
                  <Box key={mark.words}>
                    <b>{mark.words}</b>
                  </Box>
                ))}
              </Box>
            </Row>
          )}
          <Row name="Owner">
            <OwnerField
              ownership={form.ownership}
              ownerId={form.ownerId}
              name={form.ownerName}
              contact={form.ownerContact}
              problem={problem('ownerName')}
              change={set}
            />
            {resale && <LotField lotId={form.lotId} paid={form.paid} change={set} />}
          </Row>
          <UnitField
            models={models}
            modelId={form.modelId}
            revisionId={revision}
            serial={form.serial}
            serialProblem={problem('serial')}
            revisionProblem={problem('revisionId') !== undefined}
            change={set}
          />
          <ArrivalFields
            said={form.arrival}
            say={(arrival) => set({ arrival })}
            words={words}
            steps={notes.data?.steps ?? []}
          />
          <Row name="Slot, due">
            <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
              <Pick
                label="Slot"
                compact
                value={slot}
                problem={problem('slot')}
                onChange={(event) => sending.put('slot', event.target.value)}
              >
                <option value="">not on the rack</option>
                {counter.freeSlots.map((name) => (
                  <option key={name}>{name}</option>
                ))}
              </Pick>
              <TextIn of={sending} at="due" label="Promised for" compact type="date" />
            </Box>
          </Row>
        </Box>
        <Box px="24px" py="8px" borderTop="1px solid" borderColor="line">
          <Trouble error={sending.error} />
          <Box display="flex" gap="8px">
            <Act look="main" type="submit" keyName="Ctrl Enter" disabled={sending.pending}>
              {sending.pending ? 'Taking it in…' : 'Take it in'}
            </Act>
            <Act keyName="Ctrl Shift Enter" disabled={sending.pending} onClick={() => sending.send(true)}>
              And the next
            </Act>
          </Box>
        </Box>
      </Form>
      <Box p="12px 24px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <CounterOutlook
          unit={known}
          revision={revision}
          said={form.arrival}
          resale={resale}
          paid={(resale && minorOf(form.paid, currency)) || undefined}
          answered={(name, present) =>
            set({
              arrival: {
                ...form.arrival,
                symptoms: [...form.arrival.symptoms.filter((one) => one.name !== name), { name, present }],
              },
            })
          }
        />
      </Box>
    </Box>
  );
}
