import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useKeys } from '../app/keys';
import { Act, KeyCap } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { Tag } from '../parts/Tag';
import { money } from '../typed/sum';
import type { Open } from './useOpen';

type Register = Schemas['DonorRegister'];

/** The units that are kept for parts: where each stands, what of it is known good, and what it is worth still. */
export function DonorList({ open }: { open: Open }) {
  const donors = useQuery({ queryKey: answers.donors(), queryFn: () => answer(api.GET('/api/donors')) });
  const go = (unit: number) => open.go({ donors: true, donor: unit });
  useKeys(
    (donors.data ?? []).slice(0, 9).map((one, n) => ({
      key: String(n + 1),
      label: `Open ${one.tag}`,
      act: () => go(one.unitId),
    })),
  );
  return (
    <>
      <Box display="flex" gap="10px" alignItems="center" mb="6px">
        <Act keyName="D" onClick={() => open.go({})}>
          All drawers
        </Act>
        <chakra.h1>Units kept for parts</chakra.h1>
      </Box>
      <Loaded query={donors}>
        {(all) => (
          <>
            {all.length === 0 && (
              <Empty>None is kept. A unit whose job ends with "kept for parts" stands here then.</Empty>
            )}
            {all.map((one, n) => (
              <Row
                key={one.unitId}
                one={one}
                opened={open.donor === one.unitId}
                go={() => go(one.unitId)}
                keyName={n < 9 ? String(n + 1) : undefined}
              />
            ))}
          </>
        )}
      </Loaded>
    </>
  );
}

function Row({
  one,
  opened,
  go,
  keyName,
}: {
  one: Register;
  opened: boolean;
  go: () => void;
  keyName?: string;
}) {
  const currency = useCurrency();
  const count = (state: Schemas['DonorPiece']['state']) =>
    one.pieces.filter((piece) => piece.state === state).length;
  return (
    <chakra.button
      type="button"
      onClick={go}
      aria-pressed={opened}
      display="grid"
      gridTemplateColumns="92px 1fr 190px auto"
      gap="10px"
      alignItems="center"
      w="100%"
      textAlign="left"
      borderTop="1px solid"
      borderColor="line"
      bg={opened ? 'matPaper' : undefined}
      px="4px"
      py="7px"
      cursor="pointer"
    >
      <Tag text={one.tag} size={15} />
      <Box>
        <b>{one.model}</b>
        <Box fontSize="sm" color="muted">
          {one.place || 'nobody said where it stands'}
        </Box>
      </Box>
      <Box>
        <Bar pieces={one.pieces} />
        <Box fontSize="xs" color="muted">
          {COUNTED.map(([state, words]) => count(state) > 0 && `${count(state)} ${words}`)
            .filter(Boolean)
            .join(' · ')}
        </Box>
      </Box>
      <Box textAlign="right">
        <chakra.span fontFamily="mono">{money(one.leftMinor, currency)}</chakra.span>{' '}
        {keyName && <KeyCap name={keyName} />}
        <Box fontSize="xs" color="muted">
          left of {money(one.paidMinor, currency)}
        </Box>
      </Box>
    </chakra.button>
  );
}

const COUNTED: [Schemas['DonorPiece']['state'], string][] = [
  ['GOOD', 'good'],
  ['UNKNOWN', 'not looked at'],
  ['BAD', 'bad'],
  ['GONE', 'out'],
];

const LOOK: Record<Schemas['DonorPiece']['state'], { bg: string; border: string }> = {
  GOOD: { bg: 'mat', border: 'mat' },
  UNKNOWN: { bg: 'card', border: 'edge' },
  BAD: { bg: 'hazard', border: 'hazard' },
  GONE: { bg: 'line', border: 'line' },
};

/** A field for each component, as it stands: good ones first. */
export function Bar({ pieces }: { pieces: Schemas['DonorPiece'][] }) {
  const order = ['GOOD', 'UNKNOWN', 'BAD', 'GONE'] as const;
  return (
    <Box display="flex" gap="2px" aria-hidden="true">
      {order
        .flatMap((state) => pieces.filter((piece) => piece.state === state))
        .map((piece) => (
          <chakra.span
            key={piece.componentId}
            flex="1"
            maxW="22px"
            h="12px"
            borderRadius="1px"
            border="1px solid"
            borderColor={LOOK[piece.state].border}
            bg={LOOK[piece.state].bg}
            opacity={piece.state === 'GONE' ? 0.6 : 1}
          />
        ))}
    </Box>
  );
}
