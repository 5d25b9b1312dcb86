import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { LookFirst } from '../diagnosis/LookFirst';
import { NextChecks } from '../diagnosis/NextChecks';
import { OddsBars } from '../diagnosis/OddsBars';
import { WhatItTakes } from '../money/WhatItTakes';
import { WorthBars } from '../money/WorthBars';
import { Act } from '../parts/Buttons';
import { Caution, Empty, Loaded } from '../parts/States';
import type { Arrival } from './arrival';

/** The half of the counter that answers: seen before, what it is likely to be, what to ask, what it takes, what to mind. */
export function CounterOutlook({
  unit,
  revision,
  said,
  resale,
  paid,
  answered,
}: {
  unit?: Schemas['KnownUnit'];
  revision?: number;
  said: Arrival;
  resale: boolean;
  paid?: number;
  /** a question of this half was answered */
  answered: (name: string, present: boolean) => void;
}) {
  const present = said.symptoms.filter((one) => one.present).map((one) => one.name);
  const absent = said.symptoms.filter((one) => !one.present).map((one) => one.name);
  const query = { present, absent, marks: said.marks, unit: unit?.unit.id, resale, paid };
  const outlook = useQuery({
    queryKey: answers.outlook(revision, query),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/outlook', {
          params: { path: { revision: revision as number }, query },
        }),
      ),
    enabled: revision !== undefined,
    // The old answer stands until the new one is here: nothing flickers while somebody types.
    placeholderData: (previous, query) => (query?.queryKey[1] === revision ? previous : undefined),
  });
  return (
    <>
      <chakra.h1 mb="6px">What we know of it</chakra.h1>
      {unit && <Stays unit={unit} />}
      {revision === undefined ? (
        <Empty>
          Pick the model and revision, or scan the tag: then this side says what the shop has learned of it.
        </Empty>
      ) : (
        <Loaded query={outlook}>
          {(now) => (
            <Box aria-busy={outlook.isPlaceholderData}>
              <LookFirst looks={now.lookFirst} />
              <OddsBars odds={now.odds} />
              <Box
                display="grid"
                gridTemplateColumns={{ base: '1fr', md: '6fr 5fr' }}
                gap="22px"
                mt="12px"
                pt="10px"
                borderTop="1px solid"
                borderColor="line"
              >
                <NextChecks
                  next={now.odds.next}
                  atCounter
                  act={(advice) =>
                    advice.ask && (
                      <>
                        <Act minH="34px" px="9px" onClick={() => answered(advice.what, true)}>
                          so
                        </Act>
                        <Act minH="34px" px="9px" onClick={() => answered(advice.what, false)}>
                          not so
                        </Act>
                      </>
                    )
                  }
                />
                <WhatItTakes takes={now.money} />
              </Box>
              {now.money.worth && (
                <Box mt="12px" pt="8px" borderTop="1px solid" borderColor="line">
                  <chakra.h2>Worth it?</chakra.h2>
                  <WorthBars worth={now.money.worth} paidMinor={now.money.paidMinor} />
                </Box>
              )}
              <Mind outlook={now} />
            </Box>
          )}
        </Loaded>
      )}
    </>
  );
}

function Mind({ outlook }: { outlook: Schemas['Outlook'] }) {
  return (
    <Box mt="12px" display="grid" gap="6px">
      {outlook.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      {outlook.mind.map((point) => (
        <Box key={point.words} borderLeft="4px solid" borderColor="tape" pl="10px" fontSize="sm">
          <b>{point.component}</b>: {point.words}
        </Box>
      ))}
    </Box>
  );
}

function Stays({ unit }: { unit: Schemas['KnownUnit'] }) {
  return (
    <Box mb="10px">
      <chakra.h2>
        {unit.unit.tag} was here {unit.stays.length === 1 ? 'once' : `${unit.stays.length} times`}
      </chakra.h2>
      {unit.unit.openJob && (
        <Caution>
          It is in the shop now. <Link to={`/jobs/${unit.unit.openJob}`}>Open its job</Link> instead.
        </Caution>
      )}
      {unit.stays.slice(0, 5).map((stay) => (
        <Box key={stay.id} borderTop="1px solid" borderColor="line" py="3px" fontSize="sm">
          <Link to={`/jobs/${stay.id}`}>
            <chakra.span color="chalk" textDecoration="underline">
              {day(stay.brought.checkedInAt)}
            </chakra.span>
          </Link>{' '}
          {stay.brought.complaint}
        </Box>
      ))}
    </Box>
  );
}
