import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { behindWords, day, faultWords } from '../api/words';
import { useTitle } from '../app/useTitle';
import { OddsBar } from '../drawing/OddsBar';
import { Empty, Loaded } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { Tag } from '../parts/Tag';
import { Decide } from './Decide';
import { WorthBars } from './WorthBars';

/** A crate, unit by unit: what each likely has, what each way leaves, and what is decided. */
export default function LotPage() {
  useTitle('Lot');
  const lot = Number(useParams().lot);
  const view = useQuery({
    queryKey: answers.lot(lot),
    queryFn: () => answer(api.GET('/api/lots/{lot}', { params: { path: { lot } } })),
  });
  return (
    <Box p="12px 24px" overflowY="auto">
      <Loaded query={view}>
        {(now) => (
          <>
            <chakra.h1>{now.lot.source}</chakra.h1>
            <Box color="muted" mb="8px">
              Came {day(now.lot.cameAt)}. {now.lot.units} units, {now.lot.undecided} to decide on.{' '}
              <Link to="/lots" style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}>
                All lots
              </Link>
            </Box>
            {now.units.length === 0 && (
              <Empty to="/checkin" go="To the counter">
                Nothing was taken in from it yet. At the counter pick this lot, then one unit after the other.
              </Empty>
            )}
            <Units units={now.units} />
            {now.units.length > 0 && <TableBar path={`/api/lots/${lot}/table.csv`} />}
          </>
        )}
      </Loaded>
    </Box>
  );
}

type Unit = Schemas['UnitOfLot'];

/** What stands behind the figures of most units is said once, with those for which it does not hold. */
function shared(units: Unit[]): { words: string; not: string[] }[] {
  const figured = units.filter((unit) => unit.money.worth);
  const all = [...new Set(figured.flatMap((unit) => unit.money.worth?.reasons ?? []))];
  return all
    .map((words) => ({
      words,
      not: figured
        .filter((unit) => !unit.money.worth?.reasons.includes(words))
        .map((unit) => unit.job.unit.tag),
    }))
    .filter(({ not }) => figured.length > 1 && not.length * 2 < figured.length);
}

function Units({ units }: { units: Unit[] }) {
  const said = shared(units);
  return (
    <>
      {said.map(({ words, not }) => (
        <Box key={words} color="muted" fontSize="sm">
          {words}
          {not.length > 0 && ` (Not so: ${not.join(', ')}.)`}
        </Box>
      ))}
      {units.map((unit) => (
        <UnitLine key={unit.job.id} unit={unit} said={said.map((one) => one.words)} />
      ))}
    </>
  );
}

function UnitLine({ unit, said }: { unit: Schemas['UnitOfLot']; said: string[] }) {
  const { job, likeliest, money } = unit;
  return (
    <Box
      role="group"
      aria-label={job.unit.tag}
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '300px 1fr 330px' }}
      gap="20px"
      borderTop="1px solid"
      borderColor="line"
      py="8px"
    >
      <Box>
        <Link to={`/jobs/${job.id}`}>
          <Tag text={job.unit.tag} />
        </Link>{' '}
        <b>
          {job.unit.model} {job.unit.revision}
        </b>
        <Box fontSize="sm">{unit.symptoms.join(', ')}</Box>
        <Box fontSize="sm" color="muted">
          {unit.marks.map((mark) => floor.ArrivalMark[mark]).join(', ')}
        </Box>
        {likeliest && (
          <Box mt="4px" fontSize="sm">
            {faultWords(likeliest.fault)}
            <OddsBar
              probability={likeliest.probability}
              low={likeliest.low}
              high={likeliest.high}
              height={12}
            />
            <chakra.span color="muted">{behindWords(likeliest.behind)}</chakra.span>
            {!unit.trusted && (
              <Box color="amberInk">Not to be gone by: more was told than could be weighed.</Box>
            )}
          </Box>
        )}
      </Box>
      <Box>{money.worth && <WorthBars worth={money.worth} paidMinor={money.paidMinor} said={said} />}</Box>
      <Box>
        {job.handedOverAt ? (
          <Box color="muted">Left {day(job.handedOverAt)}.</Box>
        ) : (
          <Decide job={job.id} triage={money.triage} />
        )}
      </Box>
    </Box>
  );
}
