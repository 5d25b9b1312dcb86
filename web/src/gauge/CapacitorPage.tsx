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
const GRADES: Partial<Record<Kind, string[]>> = {
  SAFETY_X: ['X1', 'X2', 'X3'],
  SAFETY_Y: ['Y1', 'Y2', 'Y3', 'Y4'],
};
type Sort = NonNullable<Schemas['Capacitor']['ratedFor']>;
const SORTS: Record<Sort, string> = { AC: 'a.c.', DC: 'd.c.' };
/** Of these only the print says which volts are meant. */
const EITHER: Kind[] = ['FILM', 'CERAMIC'];
type Series = NonNullable<Schemas['CapacitorAsked']['series']>;
const SERIES: Record<Series, string> = { LOW_ESR: 'low series resistance', GENERAL: 'general purpose' };
const SWITCHED = { yes: 'in a switched supply', no: 'not in one' };

type Said = {
  farads: string;
  volts: string;
  celsius: string;
  wide: string;
  high: string;
  lead: string;
  kind: Kind;
  grade?: string;
  sort?: Sort;
  tolerance: string;
  esr: string;
  ripple: string;
};
const ONE: Said = {
  farads: '',
  volts: '',
  celsius: '',
  wide: '',
  high: '',
  lead: '',
  tolerance: '',
  esr: '',
  ripple: '',
  kind: 'ELECTROLYTIC',
};
const BLANK = {
  original: ONE,
  candidate: ONE,
  switched: undefined as keyof typeof SWITCHED | undefined,
  series: undefined as Series | undefined,
};

function capacitor(said: Said) {
  const [microfarads, volts] = [quantity(said.farads, 'µF'), quantity(said.volts, 'V')];
  return microfarads !== undefined && volts !== undefined
    ? {
        microfarads,
        volts,
        kind: said.kind,
        ratedFor: EITHER.includes(said.kind) ? said.sort : undefined,
        safetyClass: GRADES[said.kind]?.includes(said.grade ?? '') ? said.grade : undefined,
        tolerancePercent: quantity(said.tolerance),
        celsius: quantity(said.celsius),
        diameterMm: quantity(said.wide, 'mm'),
        heightMm: quantity(said.high, 'mm'),
        leadMm: quantity(said.lead, 'mm'),
        esrOhm: said.kind === 'ELECTROLYTIC' ? quantity(said.esr, 'Ω') : undefined,
        rippleAmps: said.kind === 'ELECTROLYTIC' ? quantity(said.ripple, 'A') : undefined,
      }
    : undefined;
}

export function CapacitorPage() {
  const [said, say, set] = useTyped('capacitor', BLANK);
  const { original, candidate, switched, series } = said;
  const [first, second] = [capacitor(original), capacitor(candidate)];
  const lytic = original.kind === 'ELECTROLYTIC';
  const asked = first
    ? {
        original: first,
        candidate: second,
        switched: lytic && switched ? switched === 'yes' : undefined,
        series: lytic ? series : undefined,
      }
    : undefined;
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
          ...BLANK,
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
          {lytic && (
            <>
              <chakra.h2 mt="8px">For all that are exchanged</chakra.h2>
              <OneOf label="Where it sits" words={SWITCHED} picked={switched} pick={set('switched')} />
              <OneOf label="The new ones are" words={SERIES} picked={series} pick={set('series')} />
            </>
          )}
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
                words={
                  {
                    GOOD: found.unchecked.length > 0 ? 'it fits, as far as it was said' : 'it fits',
                    BAD: 'it does not',
                    CAN_NOT_SAY: 'cannot say: see below',
                  }[found.verdict]
                }
              />
            </Box>
          )}
          <Reasons reasons={found.reasons} />
          {found.unchecked.length > 0 && (
            <Box fontSize="sm" color="muted" mt="4px">
              Not looked at, since it was not said: {found.unchecked.join(', ')}.
            </Box>
          )}
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
      {GRADES[said.kind] && said.grade === undefined && (
        <Box fontSize="xs" color="muted">
          None picked: none is printed, and so none is known.
        </Box>
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
        caution="Measured only when it is out or discharged, and seen to be: measure volts first."
      />
      <Measure label="stands" unit="V" value={said.volts} set={put('volts')} />
      {EITHER.includes(said.kind) && (
        <OneOf label="Which volts" words={SORTS} picked={said.sort} pick={(sort) => say({ ...said, sort })} />
      )}
      <Measure label="up to °C" value={said.celsius} set={put('celsius')} />
      <Measure label="tolerance ± %" value={said.tolerance} set={put('tolerance')} />
      {said.kind === 'ELECTROLYTIC' && (
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px" mt="4px">
          <Text
            label="series resistance, Ω"
            compact
            value={said.esr}
            onChange={(e) => put('esr')(e.target.value)}
          />
          <Text
            label="ripple, A"
            compact
            value={said.ripple}
            onChange={(e) => put('ripple')(e.target.value)}
          />
        </Box>
      )}
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="6px" mt="4px">
        <Text label="wide, mm" compact value={said.wide} onChange={(e) => put('wide')(e.target.value)} />
        <Text label="high, mm" compact value={said.high} onChange={(e) => put('high')(e.target.value)} />
        <Text label="leads, mm" compact value={said.lead} onChange={(e) => put('lead')(e.target.value)} />
      </Box>
    </>
  );
}
