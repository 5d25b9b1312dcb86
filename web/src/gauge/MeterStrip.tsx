import { Box } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Trouble } from '../parts/States';
import { useMeter } from './meter';

type Manner = Schemas['StandInManner'];

const WELL: Manner = {
  noisePercent: 0.05,
  digits: 4,
  overloadAbove: 1e9,
  delayMillis: 150,
  talkative: false,
};
const DAYS: Record<string, [string, Manner]> = {
  well: ['behaves', WELL],
  slow: ['is slow', { ...WELL, delayMillis: 2500 }],
  dead: ['says nothing', { ...WELL, delayMillis: 60_000 }],
  talks: ['talks too much', { ...WELL, talkative: true }],
  over: ['is in overload', { ...WELL, overloadAbove: 1e-12 }],
};

/** The meter: one key takes a reading into the field that had the keyboard last. It never keeps anybody from typing. */
export function MeterStrip() {
  const meter = useMeter();
  const [asking, setAsking] = useState(false);
  const where = useQuery({ queryKey: answers.meter(), queryFn: () => answer(api.GET('/api/meter')) });
  const { field } = meter;
  const take = () => {
    if (field) {
      field.input.focus();
      meter.take(field);
    }
  };
  useKeys([
    { key: 'T', label: 'Take a reading', act: take, off: !field || meter.reading },
    { key: 'Escape', label: 'Stop the reading', act: meter.stop, off: !meter.reading },
  ]);
  return (
    <Box
      className="noprint"
      role="group"
      aria-label="Bench meter"
      bg="meterPaper"
      borderRadius="sm"
      p="6px 8px"
      mb="6px"
    >
      <Box display="flex" gap="8px" alignItems="center">
        {meter.reading ? (
          <Act look="main" bg="chalk" onClick={meter.stop} keyName="Esc">
            Reading… stop it
          </Act>
        ) : (
          <Act look="main" bg="chalk" disabled={!field} onClick={take} keyName="T">
            Take reading
          </Act>
        )}
        <Box flex="1" fontSize="sm" aria-live="polite" minW={0}>
          {field ? `into ${field.label}` : 'Tap a field first.'}
        </Box>
        <Act look="quiet" aria-expanded={asking} onClick={() => setAsking(!asking)}>
          {where.data?.standIn ? 'stand-in' : 'meter'}
        </Act>
      </Box>
      <Box color="muted" fontSize="xs" mt="3px">
        Enter in an empty field takes its reading and goes on.
      </Box>
      <Trouble error={meter.error} />
      {asking && where.data && <WhichMeter now={where.data} />}
    </Box>
  );
}

/** Where the meter is, and how the stand-in behaves. */
function WhichMeter({ now }: { now: Schemas['MeterNow'] }) {
  const client = useQueryClient();
  const [host, setHost] = useState(now.host);
  const [port, setPort] = useState(`${now.port}`);
  const said = (meter: Schemas['MeterNow']) => client.setQueryData(answers.meter(), meter);
  const move = useMutation({
    mutationFn: () => answer(api.PUT('/api/meter', { body: { host, port: Number(port) } })),
    onSuccess: said,
  });
  const behave = useMutation({
    mutationFn: (manner: Manner) => answer(api.PUT('/api/meter/stand-in', { body: manner })),
    onSuccess: said,
  });
  const day = Object.keys(DAYS).find((one) =>
    Object.entries(DAYS[one]?.[1] ?? {}).every(
      ([key, value]) => now.standIn?.[key as keyof Manner] === value,
    ),
  );
  return (
    <Box mt="6px">
      <Box display="grid" gridTemplateColumns="1fr 90px auto" gap="6px" alignItems="end">
        <Text label="Meter at" compact value={host} onChange={(event) => setHost(event.target.value)} />
        <Text
          label="port"
          compact
          inputMode="numeric"
          value={port}
          onChange={(event) => setPort(event.target.value.replace(/\D/g, ''))}
        />
        <Act disabled={move.isPending || !host || !port} onClick={() => move.mutate()}>
          Ask this one
        </Act>
      </Box>
      <Trouble error={move.error} />
      {now.standIn && (
        <Box mt="6px" fontSize="sm">
          A simulated meter with its probes on a made-up sick unit. To see bad days, it
          <OneOf
            label="The stand-in"
            words={Object.fromEntries(Object.entries(DAYS).map(([key, [words]]) => [key, words]))}
            picked={day}
            pick={(one) => one && DAYS[one] && behave.mutate(DAYS[one][1])}
          />
          <Trouble error={behave.error} />
        </Box>
      )}
    </Box>
  );
}
