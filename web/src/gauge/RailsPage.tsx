import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { RailsTree } from '../drawing/RailsTree';
import { Act } from '../parts/Buttons';
import { bareField } from '../parts/Fields';
import { Gauge, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity } from './quantity';

type Kind = Schemas['Rail']['kind'];
type Line = { name: string; from: string; kind: Kind; nominal: string; measured: string };

const KINDS: Record<Kind, string> = {
  SECONDARY_AC: 'winding',
  UNREGULATED: 'raw',
  REGULATED: 'regulated',
};

/** A made-up supply of a sick unit: the nine-volt winding is dying. */
const EXAMPLE: Line[] = [
  { name: '16 V~', from: '', kind: 'SECONDARY_AC', nominal: '16', measured: '16.9' },
  { name: '22 V raw', from: '16 V~', kind: 'UNREGULATED', nominal: '21', measured: '22.1' },
  { name: '12 V', from: '22 V raw', kind: 'REGULATED', nominal: '12', measured: '12.05' },
  { name: '9 V~', from: '', kind: 'SECONDARY_AC', nominal: '9', measured: '3.1' },
  { name: '11 V raw', from: '9 V~', kind: 'UNREGULATED', nominal: '11', measured: '2.9' },
  { name: '5 V', from: '11 V raw', kind: 'REGULATED', nominal: '5', measured: '1.4' },
];
const FIRST: Line[] = [{ name: '12 V', from: '', kind: 'REGULATED', nominal: '12', measured: '' }];

export function RailsPage() {
  const [nominal, setNominal] = useState('230');
  const [mains, setMains] = useState('230');
  const [lines, setLines] = useState(FIRST);
  const set = (at: number, part: Partial<Line>) =>
    setLines((now) => now.map((line, n) => (n === at ? { ...line, ...part } : line)));
  const rails = lines.flatMap((line) => {
    const volts = quantity(line.nominal, 'V');
    return line.name.trim() && volts !== undefined
      ? [
          {
            name: line.name.trim(),
            from: line.from || undefined,
            kind: line.kind,
            nominal: volts,
            measured: quantity(line.measured, 'V'),
          },
        ]
      : [];
  });
  const [of, measured] = [quantity(nominal, 'V'), quantity(mains, 'V')];
  const asked =
    of !== undefined && measured !== undefined && rails.length > 0
      ? { mains: { nominal: of, measured }, rails }
      : undefined;
  const query = useGauge('rails', asked, () =>
    answer(api.POST('/api/gauges/rails', { body: asked as Schemas['RailsAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => {
        setMains('236');
        setLines(EXAMPLE);
      }}
      fields={
        <>
          <Measure label="mains, as marked" unit="V" value={nominal} set={setNominal} />
          <Measure label="mains, measured" unit="V" value={mains} set={setMains} />
          {lines.map((line, at) => (
            <RailFields
              key={at}
              line={line}
              others={lines.map((one) => one.name).filter((name) => name && name !== line.name)}
              set={(part) => set(at, part)}
              remove={() => setLines(lines.filter((_, n) => n !== at))}
            />
          ))}
          <Act
            mt="6px"
            onClick={() =>
              setLines([...lines, { name: '', from: '', kind: 'REGULATED', nominal: '', measured: '' }])
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
            <Box fontSize="18px" mb="6px">
              See to <b>{found.culprit}</b> first.
            </Box>
          )}
          <Reasons reasons={found.reasons} />
          {found.rails
            .filter((rail) => rail.verdict !== 'GOOD')
            .map((rail) => (
              <Box key={rail.name} borderTop="1px solid" borderColor="line" py="4px" fontSize="14.5px">
                <VerdictOf verdict={rail.verdict} /> <b>{rail.name}</b>: {rail.reasons.join('. ')}
              </Box>
            ))}
        </>
      )}
    </Gauge>
  );
}

function RailFields({
  line,
  others,
  set,
  remove,
}: {
  line: Line;
  others: string[];
  set: (part: Partial<Line>) => void;
  remove: () => void;
}) {
  const small = { ...bareField, minH: '32px' };
  return (
    <Box
      role="group"
      aria-label={line.name || 'new rail'}
      display="grid"
      gridTemplateColumns="84px 96px 60px 64px auto"
      gap="4px"
      borderTop="1px solid"
      borderColor="line"
      py="4px"
    >
      <chakra.input
        {...small}
        aria-label="Name"
        placeholder="name"
        value={line.name}
        onChange={(e) => set({ name: e.target.value })}
      />
      <chakra.select
        {...small}
        aria-label={`Kind of ${line.name}`}
        value={line.kind}
        onChange={(e) => set({ kind: e.target.value as Kind })}
      >
        {Object.entries(KINDS).map(([kind, words]) => (
          <option key={kind} value={kind}>
            {words}
          </option>
        ))}
      </chakra.select>
      <chakra.input
        {...small}
        aria-label={`${line.name} should be`}
        placeholder="V"
        value={line.nominal}
        onChange={(e) => set({ nominal: e.target.value })}
      />
      <chakra.input
        {...small}
        aria-label={`${line.name} measured`}
        placeholder="read"
        fontWeight={700}
        value={line.measured}
        onChange={(e) => set({ measured: e.target.value })}
      />
      <Act look="quiet" minH="32px" aria-label={`Leave ${line.name} out`} onClick={remove}>
        ×
      </Act>
      <Box gridColumn="1 / -1" fontSize="13.5px">
        from{' '}
        <chakra.select
          {...small}
          minH="28px"
          aria-label={`${line.name} comes from`}
          value={line.from}
          onChange={(e) => set({ from: e.target.value })}
        >
          <option value="">the mains</option>
          {others.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </chakra.select>
      </Box>
    </Box>
  );
}
