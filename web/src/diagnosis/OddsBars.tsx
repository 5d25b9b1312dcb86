import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { behindWords, faultWords } from '../api/words';
import { OddsBar } from '../drawing/OddsBar';

type Odds = Schemas['UnitOdds'];
type Fault = Schemas['LikelyFault'];

const FEW = 0.02;

/** What it is likely to have: a bar a fault, with the jobs that stand behind it. */
export function OddsBars({
  odds,
  most = 6,
  act,
}: {
  odds: Odds;
  most?: number;
  /** what can be done about a fault, drawn at the end of its line */
  act?: (fault: Fault) => ReactNode;
}) {
  const spokenOn = (fault: Fault) => fault.out || fault.overruled !== undefined;
  const likely = odds.faults.filter((fault) => fault.probability >= FEW && !spokenOn(fault)).slice(0, most);
  const shown = odds.faults.filter((fault) => spokenOn(fault) || likely.includes(fault));
  const left = odds.faults.length + odds.left - shown.length;
  return (
    <Box role="group" aria-label="Odds">
      <Box color="muted" fontSize="xs" mb="4px">
        {standing(odds)} Bars: likely; dark line: how sure we can be.
      </Box>
      {!odds.trusted && (
        <Box border="2px dashed" borderColor="amberInk" borderRadius="sm" p="6px" mb="6px" fontSize="sm">
          Not to be gone by: so much was told that not all of it could be weighed. Each bar may be{' '}
          {Math.ceil(100 * odds.leftOut)} in 100 off.
        </Box>
      )}
      {shown.map((fault) => (
        <FaultLine key={faultWords(fault.fault)} fault={fault} act={act?.(fault)} />
      ))}
      {odds.somethingElse !== undefined && (
        <Line
          name="none that we know"
          bar={
            <OddsBar
              probability={odds.somethingElse}
              low={odds.somethingElse}
              high={odds.somethingElse}
              faint
            />
          }
          behind={left > 0 ? `${left} rarer ones` : ''}
          act={act && <span />}
        />
      )}
      {odds.together.length > 0 && odds.together[0] && odds.together[0].probability >= 0.08 && (
        <Box color="muted" fontSize="xs" mt="4px">
          Two at once: {odds.together[0].faults.map((one) => one.component).join(' and ')},{' '}
          {Math.round(100 * odds.together[0].probability)} in 100.
        </Box>
      )}
      {odds.outside.map((one) => (
        <Line
          key={one.name}
          name={`${one.name} (not of the unit)`}
          bar={<OddsBar probability={one.probability} low={one.probability} high={one.probability} faint />}
          behind="by the tries"
        />
      ))}
    </Box>
  );
}

function standing({ ofRevision, ofModel }: Odds): string {
  if (ofModel === 0) {
    return 'The first of its model here: so far this is common practice.';
  }
  return `${ofRevision} of this revision and ${ofModel} of the model so far.`;
}

function FaultLine({ fault, act }: { fault: Fault; act?: ReactNode }) {
  const notThis = fault.overruled?.word === 'NOT_THIS';
  return (
    <>
      <Line
        name={faultWords(fault.fault)}
        struck={notThis || fault.out}
        bar={
          <OddsBar
            probability={fault.probability}
            low={fault.low}
            high={fault.high}
            faint={fault.behind.level === 'SHIPPED'}
          />
        }
        behind={fault.out ? 'dealt with' : behindWords(fault.behind)}
        act={act}
      />
      {fault.overruled && (
        <Note>
          {fault.overruled.by} overruled: {notThis ? 'not this' : 'this first'}. {fault.overruled.why}
        </Note>
      )}
      {fault.earlier && (
        <Note>
          <chakra.b color="amberInk">Comeback?</chakra.b> The {fault.fault.component} was{' '}
          {floor.Remedy[fault.earlier.remedy]}{' '}
          <Link to={`/jobs/${fault.earlier.jobId}`}>{fault.earlier.daysAgo} days ago</Link>
          {fault.earlier.underWarranty ? ', within six months.' : '.'}
        </Note>
      )}
    </>
  );
}

function Note({ children }: { children: ReactNode }) {
  return (
    <Box
      fontSize="xs"
      pb="3px"
      css={{ '& a': { color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' } }}
    >
      {children}
    </Box>
  );
}

function Line({
  name,
  struck,
  bar,
  behind,
  act,
}: {
  name: string;
  struck?: boolean;
  bar: ReactNode;
  behind: string;
  act?: ReactNode;
}) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={act ? '176px 1fr 112px 76px' : '200px 1fr 128px'}
      gap="12px"
      alignItems="center"
      borderTop="1px solid"
      borderColor="line"
      py="4px"
      minH="34px"
    >
      <chakra.b
        textDecoration={struck ? 'line-through' : undefined}
        color={struck ? 'muted' : undefined}
        lineHeight={1.2}
      >
        {name}
      </chakra.b>
      {bar}
      <Box color="muted" fontSize="xs">
        {behind}
      </Box>
      {act}
    </Box>
  );
}
