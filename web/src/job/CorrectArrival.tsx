import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { dayForField } from '../api/shopWide';
import { ArrivalFields } from '../checkin/ArrivalFields';
import type { Arrival } from '../checkin/arrival';
import { useCounter } from '../checkin/useCounter';
import { Form, Sends } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Row } from '../parts/Fields';
import { Loaded } from '../parts/States';
import { useModel } from '../teardown/useModel';

/** What was said at the counter, put right. The story keeps both. */
export function CorrectArrival({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const counter = useCounter(sheet.job.unit.revisionId);
  const model = useModel(sheet.job.unit.modelId);
  return (
    <Loaded query={counter}>
      {(now) => (
        <Loaded query={model}>
          {(of) => <Correcting sheet={sheet} counter={now} revisions={of.revisions} done={done} />}
        </Loaded>
      )}
    </Loaded>
  );
}

function Correcting({
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
  const form = useSending({
    blank: {
      serial: job.unit.serial,
      revisionId: job.unit.revisionId,
      slot: job.brought.slot as string | undefined,
      due: dayForField(job.brought.dueAt),
      arrival: {
        complaint: job.brought.complaint,
        symptoms: sheet.symptoms,
        marks: sheet.marks,
        condition: job.brought.condition,
        missing: sheet.missing.map(({ thing, count }) => ({ thing, count })),
        belongings: sheet.belongings.filter((one) => !one.absent).map(({ name }) => name),
        without: sheet.belongings.filter((one) => one.absent).map(({ name }) => name),
        photos: sheet.photos,
        places: sheet.places,
      } as Arrival,
    },
    kept: `arrival ${job.id} ${version}`,
    send: ({ due, ...now }) =>
      answer(
        api.PUT('/api/jobs/{job}/arrival', {
          params: { path: { job: job.id }, header: seen(version) },
          body: { ...now, due: due || undefined },
        }),
      ),
    done,
    leave: done,
  });
  const { revisionId, arrival } = form.value;
  // It may turn out to be another model than it was taken for, or was taken in before anybody knew.
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  const others = models.data?.filter(({ model }) => model.id !== job.unit.modelId) ?? [];
  const notes = useQuery({
    queryKey: answers.notes(revisionId),
    queryFn: () =>
      answer(api.GET('/api/revisions/{revision}/teardown', { params: { path: { revision: revisionId } } })),
  });
  return (
    <Form of={form} name="Correct what was said at the counter" gap="0">
      <Row name="Unit">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
          <TextIn of={form} at="serial" label="Serial" compact />
          <PickIn of={form} at="revisionId" number label="Revision" compact>
            {revisions.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
            {others.map(({ model, revisions: theirs }) =>
              theirs.map((one) => (
                <option key={one.id} value={one.id}>
                  {model.maker} {model.name} {one.name}
                </option>
              )),
            )}
          </PickIn>
        </Box>
      </Row>
      <ArrivalFields
        said={arrival}
        say={(next) => form.put('arrival', next)}
        words={counter.symptoms}
        steps={notes.data?.steps ?? []}
      />
      <Row name="Slot, due">
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
          <PickIn of={form} at="slot" label="Slot" compact>
            <option value="">not on the rack</option>
            {[...(job.brought.slot ? [job.brought.slot] : []), ...counter.freeSlots].map((name) => (
              <option key={name}>{name}</option>
            ))}
          </PickIn>
          <TextIn of={form} at="due" label="Promised for" compact type="date" />
        </Box>
      </Row>
      <Sends of={form} go="Put it right" />
    </Form>
  );
}
