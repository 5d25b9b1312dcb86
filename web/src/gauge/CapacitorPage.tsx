import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { CapacitorPair } from '../drawing/CapacitorPair';
import { short } from '../drawing/short';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Caution } from '../parts/States';
import { quantity } from '../typed/quantity';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

type Kind = Schemas['Capacitor']['kind'];

const KINDS: Record<Kind, string> = {
  ELECTROLYTIC: 'electrolytic',
  FILM: 'film',
  CERAMIC: 'ceramic',
  TANTALUM: 'tantalum',
  SAFETY_X: 'safety X',
  SAFETY_Y: 'safety Y',
};
const GRADES: Partial<Record<Kind, string[]>> = { SAFETY_X: ['X1', 'X2'], SAFETY_Y: ['Y1', 'Y2'] };

type Said = {
  farads: string;
  volts: string;
  celsius: string;
  wide: string;
  high: string;
  lead: string;
  kind: Kind;
  grade?: string;
};
const ONE: Said = { farads: '', volts: '', celsius: '', wide: '', high: '', lead: '', kind: 'ELECTROLYTIC' };
const BLANK = { original: ONE, candidate: ONE };

function capacitor(said: Said) {
  const [microfarads, volts] = [quantity(said.farads, 'µF'), quantity(said.volts, 'V')];
  return microfarads !== undefined && volts !== undefined
    ? {
        microfarads,
        volts,
        kind: said.kind,
        safetyClass: GRADES[said.kind]?.includes(said.grade ?? '') ? said.grade : undefined,
        celsius: quantity(said.celsius),
        diameterMm: quantity(said.wide, 'mm'),
        heightMm: quantity(said.high, 'mm'),
        leadMm: quantity(said.lead, 'mm'),
      }
    : undefined;
}

export function CapacitorPage() {
  const [said, say, set] = useTyped('capacitor', BLANK);
  const { original, candidate } = said;
  const [first, second] = [capacitor(original), capacitor(candidate)];
  const asked = first ? { original: first, candidate: second } : undefined;
  const query = useGauge('capacitor', asked, () =>
    answer(api.POST('/api/gauges/capacitor', { body: asked as Schemas['CapacitorAsked'] })),
  );
  return (
    <Gauge
      name="capacitor"
      metered
      asked={asked}
      typed={said}
      query={query}
      example={() =>
        say({
          original: {
            ...ONE,
            farads: '100n',
            volts: '250',
            kind: 'SAFETY_X',
            grade: 'X2',
            wide: '18',
            high: '11',
            lead: '15',
          },
          candidate: {
            ...ONE,
            farads: '0.1',
            volts: '300',
            kind: 'SAFETY_Y',
            grade: 'Y2',
            wide: '18',
            high: '11',
            lead: '15',
          },
        })
      }
      clear={() => say(BLANK)}
      fields={
        <>
          <chakra.h2>The one that was in</chakra.h2>
          <Fields
            said={original}
            say={set('original')}
            at="original"
            problem={problemOf(query, 'safetyClass')}
          />
          <chakra.h2 mt="8px">The one at hand (empty: what would do)</chakra.h2>
          <Fields said={candidate} say={set('candidate')} at="candidate" />
        </>
      }
    >
      {({ found, drawer }) => (
        <>
          <Box display="grid" gap="6px" mb="10px">
            {found.cautions.map((caution) => (
              <Caution key={caution}>{caution}</Caution>
            ))}
          </Box>
          <CapacitorPair
            original={(asked as Schemas['CapacitorAsked']).original}
            candidate={second}
            found={found}
          />
          {found.verdict && (
            <Box fontSize="xl" mb="6px">
              <VerdictOf
                verdict={found.verdict}
                words={{ GOOD: 'it fits', BAD: 'it does not', CAN_NOT_SAY: 'look' }[found.verdict]}
              />
            </Box>
          )}
          <Reasons reasons={found.reasons} />
          <Box my="10px">
            <b>What would do:</b> {short(found.microfarads.min ?? 0)} to {short(found.microfarads.max ?? 0)}{' '}
            µF
            {found.preferred.length > 0 && ` (sold: ${found.preferred.join(', ')} µF)`}, from{' '}
            {short(found.leastVolts)} V up
            {found.leastCelsius !== undefined && `, from ${found.leastCelsius} °C up`}.
          </Box>
          <chakra.h2>From the drawers</chakra.h2>
          {drawer.length === 0 && <Box color="muted">Nothing in the drawers fits.</Box>}
          {drawer.map((one) => (
            <Box key={one.partId} borderTop="1px solid" borderColor="line" py="4px">
              <VerdictOf verdict={one.verdict} words={one.verdict === 'GOOD' ? 'fits' : 'look'} />{' '}
              <b>{one.part}</b>, {one.count} in drawer {one.drawer}
            </Box>
          ))}
        </>
      )}
    </Gauge>
  );
}

function Fields({
  said,
  say,
  at,
  problem,
}: {
  said: Said;
  say: (next: Said) => void;
  at: string;
  problem?: string;
}) {
  const put = (field: keyof Said) => (typed: string) => say({ ...said, [field]: typed });
  return (
    <>
      <OneOf label="Kind" words={KINDS} picked={said.kind} pick={(kind) => kind && say({ ...said, kind })} />
      {GRADES[said.kind] && (
        <OneOf
          label="Class"
          words={Object.fromEntries((GRADES[said.kind] ?? []).map((one) => [one, one]))}
          picked={said.grade}
          pick={(grade) => say({ ...said, grade })}
        />
      )}
      {problem && (
        <Box color="hazard" role="alert">
          {problem}
        </Box>
      )}
      <Measure
        label="capacitance"
        unit="µF"
        value={said.farads}
        set={put('farads')}
        metered={{ fn: 'FARADS', at: `capacitor/${at}` }}
      />
      <Measure label="stands" unit="V" value={said.volts} set={put('volts')} />
      <Measure label="up to °C" value={said.celsius} set={put('celsius')} />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="6px" mt="4px">
        <Text label="wide, mm" compact value={said.wide} onChange={(e) => put('wide')(e.target.value)} />
        <Text label="high, mm" compact value={said.high} onChange={(e) => put('high')(e.target.value)} />
        <Text label="leads, mm" compact value={said.lead} onChange={(e) => put('lead')(e.target.value)} />
      </Box>
    </>
  );
}
