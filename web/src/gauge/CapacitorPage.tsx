import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { OneOf } from '../parts/OneOf';
import { Caution } from '../parts/States';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

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

type Said = { farads: string; volts: string; celsius: string; wide: string; kind: Kind; grade?: string };
const BLANK: Said = { farads: '', volts: '', celsius: '', wide: '', kind: 'ELECTROLYTIC' };

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
      }
    : undefined;
}

export function CapacitorPage() {
  const [original, setOriginal] = useState(BLANK);
  const [candidate, setCandidate] = useState(BLANK);
  const [first, second] = [capacitor(original), capacitor(candidate)];
  const asked = first ? { original: first, candidate: second } : undefined;
  const query = useGauge('capacitor', asked, () =>
    answer(api.POST('/api/gauges/capacitor', { body: asked as Schemas['CapacitorAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => {
        setOriginal({ ...BLANK, farads: '100n', volts: '250', kind: 'SAFETY_X', grade: 'X2' });
        setCandidate({ ...BLANK, farads: '0.1', volts: '300', kind: 'SAFETY_Y', grade: 'Y2' });
      }}
      fields={
        <>
          <chakra.h2>The one that was in</chakra.h2>
          <Fields said={original} say={setOriginal} problem={problemOf(query, 'safetyClass')} />
          <chakra.h2 mt="8px">The one at hand (empty: what would do)</chakra.h2>
          <Fields said={candidate} say={setCandidate} />
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
          {found.verdict && (
            <Box fontSize="20px" mb="6px">
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

function Fields({ said, say, problem }: { said: Said; say: (next: Said) => void; problem?: string }) {
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
      <Measure label="capacitance" unit="µF" value={said.farads} set={(farads) => say({ ...said, farads })} />
      <Measure label="voltage" unit="V" value={said.volts} set={(volts) => say({ ...said, volts })} />
      <Measure label="up to °C" value={said.celsius} set={(celsius) => say({ ...said, celsius })} />
    </>
  );
}
