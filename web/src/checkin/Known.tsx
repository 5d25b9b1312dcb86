import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { day } from '../api/words';
import { IntervalBar } from '../drawing/IntervalBar';
import { Caution, Empty, Loaded } from '../parts/States';

/** The half of the counter that answers: seen before, what it usually is, what to mind. */
export function Known({
  unit,
  revision,
  notes,
}: {
  unit?: Schemas['KnownUnit'];
  revision?: number;
  notes?: Schemas['NotesView'];
}) {
  return (
    <>
      <chakra.h1 mb="8px">What we know of it</chakra.h1>
      {unit && <Stays unit={unit} />}
      {revision === undefined ? (
        <Empty>
          Pick the model and revision, or scan the tag: then this side says what the shop has learned of it.
        </Empty>
      ) : (
        <Usual revision={revision} />
      )}
      {notes && <Mind steps={notes.steps} />}
    </>
  );
}

function Stays({ unit }: { unit: Schemas['KnownUnit'] }) {
  return (
    <Box mb="14px">
      <chakra.h2>
        {unit.unit.tag} was here {unit.stays.length === 1 ? 'once' : `${unit.stays.length} times`}
      </chakra.h2>
      {unit.unit.openJob && (
        <Caution>
          It is in the shop now. <Link to={`/jobs/${unit.unit.openJob}`}>Open its job</Link> instead.
        </Caution>
      )}
      {unit.stays.slice(0, 5).map((stay) => (
        <Box key={stay.id} borderTop="1px solid" borderColor="line" py="5px">
          <Link to={`/jobs/${stay.id}`}>
            <chakra.span color="chalk" textDecoration="underline">
              {day(stay.checkedInAt)}
            </chakra.span>
          </Link>{' '}
          {stay.complaint}
        </Box>
      ))}
    </Box>
  );
}

function Usual({ revision }: { revision: number }) {
  const patterns = useQuery({
    queryKey: ['patterns', revision],
    queryFn: () => answer(api.GET('/api/patterns', { params: { query: { months: 60, revision } } })),
  });
  return (
    <Loaded query={patterns}>
      {(now) =>
        now.faults.length === 0 ? (
          <Empty>
            {now.jobs === 0
              ? 'The first of its kind here. What you find on it becomes what the shop knows.'
              : `${now.jobs} were here and none had a fault on record.`}
          </Empty>
        ) : (
          <>
            <Box color="muted" fontSize="14px" mb="6px">
              {now.jobs} of this revision so far. Dot: how many had it; line: where the truth lies, nineteen
              times in twenty.
            </Box>
            {now.faults.slice(0, 7).map((fault) => (
              <Box
                key={fault.faultId}
                display="grid"
                gridTemplateColumns="210px 1fr 84px"
                gap="12px"
                alignItems="center"
                borderTop="1px solid"
                borderColor="line"
                py="3px"
              >
                <b>
                  {fault.component}, {fault.wrong}
                </b>
                <IntervalBar share={fault.share} />
                <Box color="muted" fontSize="14px">
                  {fault.share.count} of {fault.share.outOf}
                </Box>
              </Box>
            ))}
          </>
        )
      }
    </Loaded>
  );
}

function Mind({ steps }: { steps: Schemas['Step'][] }) {
  const cautions = steps.filter((step) => step.caution);
  if (cautions.length === 0) {
    return null;
  }
  return (
    <Box mt="16px" display="grid" gap="8px">
      {cautions.slice(0, 4).map((step) => (
        <Caution key={step.id}>{step.caution}</Caution>
      ))}
    </Box>
  );
}
