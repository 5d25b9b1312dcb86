import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { Act } from '../parts/Buttons';
import { colours } from '../theme';
import { Gauge, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

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
          <Tree rails={rails} found={found} />
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
  const small = {
    bg: 'white',
    border: '1px solid',
    borderColor: '#8B8771',
    borderRadius: 'sm',
    px: '4px',
    minH: '32px',
  };
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

type RailAsked = { name: string; from?: string; nominal: number; measured?: number };

/** The supply as a tree from the mains: each rail a bar within what is expected of it, bad ones in red and struck through. */
function Tree({ rails, found }: { rails: RailAsked[]; found: Schemas['RailsFound'] }) {
  const depth = (rail: RailAsked): number => {
    const source = rails.find((one) => one.name === rail.from);
    return source ? 1 + depth(source) : 0;
  };
  const ordered: RailAsked[] = [];
  const walk = (from?: string) => {
    for (const rail of rails.filter((one) => one.from === from)) {
      ordered.push(rail);
      walk(rail.name);
    }
  };
  walk(undefined);
  const row = 62;
  const place = (name?: string) => ordered.findIndex((one) => one.name === name);
  const y = (at: number) => 34 + at * row;
  const x = (rail: RailAsked) => 60 + depth(rail) * 150;
  return (
    <svg
      viewBox={`0 0 820 ${Math.max(1, ordered.length) * row + 10}`}
      width="100%"
      style={{ maxHeight: 440 }}
      role="img"
      aria-label={`Rails: ${found.rails.map((rail) => `${rail.name} ${rail.verdict}`).join(', ')}`}
    >
      {ordered.map((rail, at) => {
        const read = found.rails.find((one) => one.name === rail.name);
        const bad = read?.verdict === 'BAD';
        const source = place(rail.from);
        const sourceRail = ordered[source];
        const startX = sourceRail ? x(sourceRail) + 40 : 20;
        const startY = sourceRail ? y(source) + 20 : 10;
        return (
          <g key={rail.name}>
            <path
              d={`M${startX} ${startY}V${y(at)}H${x(rail)}`}
              fill="none"
              stroke={bad ? colours.hazard : colours.mat}
              strokeWidth={bad ? 3 : 2}
              strokeDasharray={bad ? '6 4' : undefined}
            />
            <rect
              x={x(rail)}
              y={y(at) - 22}
              width={210}
              height={44}
              rx={3}
              fill={colours.card}
              stroke={found.culprit === rail.name ? colours.hazard : colours.line}
              strokeWidth={found.culprit === rail.name ? 4 : 1.5}
            />
            <Lettering x={x(rail) + 10} y={y(at) - 3} fill={colours.ink} size={16} bold>
              {rail.name}
            </Lettering>
            <Lettering x={x(rail) + 10} y={y(at) + 15} fill={colours.muted} size={13}>
              {read ? `${short(read.minVolts)} to ${short(read.maxVolts)} V` : ''}
            </Lettering>
            <Lettering
              x={x(rail) + 200}
              y={y(at) + 5}
              textAnchor="end"
              fill={bad ? colours.hazard : read?.verdict === 'GOOD' ? colours.mat : colours.amberInk}
              size={19}
              hand
            >
              {rail.measured === undefined ? '?' : `${short(rail.measured, 4)} ${bad ? '✗' : '✓'}`}
            </Lettering>
          </g>
        );
      })}
    </svg>
  );
}
