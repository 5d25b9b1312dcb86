import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { RailsTree } from '../drawing/RailsTree';
import { Act } from '../parts/Buttons';
import { quantity } from '../typed/quantity';
import type { Point } from './expected';
import { Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { RailFields, type RailLine } from './RailFields';
import { useTyped } from './useTyped';

/** A made-up supply of a sick unit: a diode of the larger bridge is open. */
const SUPPLY: RailLine[] = [
  { name: '18 V~', from: '', kind: 'SECONDARY_AC', nominal: '18', measured: '18.9' },
  {
    name: '25 V raw',
    from: '18 V~',
    kind: 'UNREGULATED',
    nominal: '25',
    measured: '14.6',
    rectifier: 'BRIDGE',
  },
  { name: '15 V', from: '25 V raw', kind: 'REGULATED', nominal: '15', measured: '11.8' },
  { name: '8 V~', from: '', kind: 'SECONDARY_AC', nominal: '8', measured: '8.35' },
  {
    name: '10 V raw',
    from: '8 V~',
    kind: 'UNREGULATED',
    nominal: '10',
    measured: '10.3',
    rectifier: 'BRIDGE',
  },
  { name: '5 V', from: '10 V raw', kind: 'REGULATED', nominal: '5', measured: '5.03' },
];
const BLANK = {
  nominal: '230',
  mains: '230',
  sure: '',
  lines: [{ name: '12 V', from: '', kind: 'REGULATED', nominal: '12', measured: '' }] as RailLine[],
};

/** "5" by its kind, "5 ±2" within 2 %. */
function within(typed: string): [number | undefined, number | undefined] {
  const [volts = '', percent] = typed.split(/±|\+-/);
  return [quantity(volts, 'V'), percent === undefined ? undefined : quantity(percent.replace('%', ''))];
}

const KIND: Record<Point['kind'], RailLine['kind']> = {
  WINDING: 'SECONDARY_AC',
  RAW: 'UNREGULATED',
  REGULATED: 'REGULATED',
  OTHER: 'UNREGULATED',
};

function asLine(point: Point): RailLine {
  return {
    name: point.name,
    from: point.madeFrom,
    kind: KIND[point.kind],
    nominal: point.nominal === undefined ? '' : `${point.nominal}`,
    measured: '',
    probes: point.probes,
  };
}

/** As they were typed on a good unit, still to be read. */
function unread(lines: unknown): RailLine[] {
  return (Array.isArray(lines) ? (lines as RailLine[]) : []).map((line) => ({ ...line, measured: '' }));
}

export function RailsPage() {
  const [said, say, put] = useTyped('rails', BLANK);
  const { nominal, mains, lines } = said;
  const set = (at: number, part: Partial<RailLine>) =>
    say((now) => ({ ...now, lines: now.lines.map((line, n) => (n === at ? { ...line, ...part } : line)) }));
  const rails = lines.flatMap((line) => {
    const [volts, tolerancePercent] = within(line.nominal);
    return line.name.trim() && (volts !== undefined || line.measured.trim())
      ? [
          {
            name: line.name.trim(),
            from: line.from || undefined,
            kind: line.kind,
            nominal: volts,
            tolerancePercent,
            measured: quantity(line.measured, 'V'),
            rectifier: line.rectifier || undefined,
            dropoutVolts: quantity(line.above ?? '', 'V'),
            unloaded: line.unloaded || undefined,
          },
        ]
      : [];
  });
  const [of, measured] = [quantity(nominal, 'V'), quantity(mains, 'V')];
  const asked =
    of !== undefined && rails.length > 0
      ? { mains: { nominal: of, measured }, rails, uncertaintyPercent: quantity(said.sure) }
      : undefined;
  const query = useGauge('rails', asked, () =>
    answer(api.POST('/api/gauges/rails', { body: asked as Schemas['RailsAsked'] })),
  );
  return (
    <Gauge
      name="rails"
      metered
      caution="A supply under power: clip on with it unplugged, then power, one hand free of it. Mains-side points only if you are qualified for them where you are: your local rules decide."
      asked={asked}
      typed={said}
      query={query}
      example={() => say({ ...BLANK, mains: '233', lines: SUPPLY })}
      clear={() => say(BLANK)}
      lay={(known) =>
        say((now) => ({
          ...now,
          mains: '',
          lines: 'points' in known ? known.points.map(asLine) : unread(known.good.read.typed.lines),
        }))
      }
      toRead={() => say({ ...BLANK, mains: '', lines: SUPPLY.map((line) => ({ ...line, measured: '' })) })}
      fields={
        <>
          <Measure label="mains, as marked" unit="V" value={nominal} set={put('nominal')} />
          <Measure
            label="mains, measured"
            unit="V"
            value={mains}
            set={put('mains')}
            metered={{ fn: 'VOLTS_AC', at: 'rails/mains' }}
            caution="Mains: only if you are qualified where you are, and with nothing bare in reach."
            problem={problemOf(query, 'measured')}
          />
          <Measure
            label="meter known to ± %"
            value={said.sure}
            set={put('sure')}
            problem={problemOf(query, 'uncertaintyPercent')}
          />
          <Box
            aria-hidden="true"
            display="grid"
            gridTemplateColumns="70px 82px 96px 42px 1fr"
            gap="4px"
            color="muted"
            fontSize="xs"
            mt="6px"
          >
            <span>rail</span>
            <span>made from</span>
            <span>kind</span>
            <span>should</span>
            <span>reads</span>
          </Box>
          {lines.map((line, at) => (
            <RailFields
              key={at}
              line={line}
              others={lines.filter((one) => one.name && one.name !== line.name)}
              caution={query.data?.rails.find((one) => one.name === line.name.trim())?.caution}
              set={(part) => set(at, part)}
              remove={() => put('lines')(lines.filter((_, n) => n !== at))}
            />
          ))}
          <Box color="muted" fontSize="xs">
            Should be 5, or 5 ±2 to be within 2 %; empty if nobody knows.
          </Box>
          <Act
            mt="6px"
            onClick={() =>
              put('lines')([...lines, { name: '', from: '', kind: 'REGULATED', nominal: '', measured: '' }])
            }
          >
            A rail more
          </Act>
        </>
      }
    >
      {(found) => (
        <>
          <RailsTree rails={rails} found={found} />
          {found.culprit && (
            <Box fontSize="lg" mb="6px">
              See to <b>{found.culprit}</b> first.
            </Box>
          )}
          <Reasons reasons={found.reasons} />
          {found.rails
            .filter((rail) => rail.verdict !== 'GOOD')
            .map((rail) => (
              <Box key={rail.name} borderTop="1px solid" borderColor="line" py="4px" fontSize="sm">
                <VerdictOf verdict={rail.verdict} /> <b>{rail.name}</b>: {rail.reasons.join('. ')}
              </Box>
            ))}
        </>
      )}
    </Gauge>
  );
}
