import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { dayForField } from '../api/shopWide';
import { useJobWrite } from '../api/useJobWrite';
import { ArrivalFields } from '../checkin/ArrivalFields';
import type { Arrival } from '../checkin/arrival';
import { useCounter } from '../checkin/useCounter';
import { Act } from '../parts/Buttons';
import { Pick, Row, Text } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
import { useModel } from '../teardown/useModel';

/** What was said at the counter, put right. The story keeps both. */
export function CorrectArrival({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const counter = useCounter(sheet.job.unit.revisionId);
  const model = useModel(sheet.job.unit.modelId);
  return (
    <Loaded query={counter}>
      {(now) => (
        <Loaded query={model}>
          {(of) => <Form sheet={sheet} counter={now} revisions={of.revisions} done={done} />}
        </Loaded>
      )}
    </Loaded>
  );
}

function Form({
  sheet,
  counter,
  revisions,
  done,
}: {
  sheet: Schemas['JobSheet'];
  counter: Schemas['Counter'];
  revisions: Schemas['Revision'][];
  done: () => void;
}) {
  const { job } = sheet;
  // The version that was looked at when the form was opened: a later one makes the server ask to look again.
  const [version] = useState(job.version);
  const [serial, setSerial] = useState(job.unit.serial);
  const [revisionId, setRevisionId] = useState(job.unit.revisionId);
  const [slot, setSlot] = useState(job.brought.slot ?? '');
  const [due, setDue] = useState(dayForField(job.brought.dueAt));
  const [arrival, setArrival] = useState<Arrival>({
    complaint: job.brought.complaint,
    symptoms: sheet.symptoms,
    marks: sheet.marks,
    condition: job.brought.condition,
    missing: sheet.missing.map(({ thing, count }) => ({ thing, count })),
    belongings: sheet.belongings.map(({ name }) => name),
    photos: sheet.photos,
    places: sheet.places,
  });
  const notes = useQuery({
    queryKey: answers.notes(revisionId),
    queryFn: () =>
      answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revisionId } } })),
  });
  const write = useJobWrite(
    () =>
      answer(
        api.PUT('/api/jobs/{job}/arrival', {
          params: { path: { job: job.id }, header: seen(version) },
          body: {
            serial,
            revisionId,
            slot: slot || undefined,
            due: due || undefined,
            arrival,
          },
        }),
      ),
    done,
  );
  return (
    <chakra.form
      aria-label="Correct what was said at the counter"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate();
      }}
    >
      <Row name="Unit">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
          <Text label="Serial" compact value={serial} onChange={(event) => setSerial(event.target.value)} />
          <Pick
            label="Revision"
            compact
            value={revisionId}
            onChange={(event) => setRevisionId(Number(event.target.value))}
          >
            {revisions.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Pick>
        </Box>
      </Row>
      <ArrivalFields
        said={arrival}
        say={setArrival}
        words={counter.symptoms}
        steps={notes.data?.steps ?? []}
      />
      <Row name="Slot, due">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
          <Pick label="Slot" compact value={slot} onChange={(event) => setSlot(event.target.value)}>
            <option value="">not on the rack</option>
            {[...(job.brought.slot ? [job.brought.slot] : []), ...counter.freeSlots].map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Pick>
          <Text
            label="Promised for"
            compact
            type="date"
            value={due}
            onChange={(event) => setDue(event.target.value)}
          />
        </Box>
      </Row>
      <Trouble error={write.error} />
      <Box display="flex" gap="8px">
        <Act look="main" type="submit" disabled={write.isPending}>
          Put it right
        </Act>
        <Act onClick={done}>Leave it</Act>
      </Box>
    </chakra.form>
  );
}
