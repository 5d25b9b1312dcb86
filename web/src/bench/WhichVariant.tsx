import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';

/** What is inside can be seen now: which variant it is, by one key. The likeliest is first. */
export function WhichVariant({
  inside,
  busy,
  say,
  leave,
}: {
  inside: Schemas['SubAssembly'];
  busy: boolean;
  say: (revision: number) => void;
  leave: () => void;
}) {
  const rest = inside.variants.filter((one) => one.revision !== inside.usual);
  const usual = inside.variants.filter((one) => one.revision === inside.usual);
  const all = [...usual, ...rest];
  useKeys([
    ...all.slice(0, 9).map((one, n) => ({
      key: String(n + 1),
      label: `The ${inside.name} is ${one.name}`,
      act: () => say(one.revision),
    })),
    { key: 'S', label: 'Not gone into', act: leave },
  ]);
  return (
    <Box display="grid" gap="10px" role="group" aria-label={`Which ${inside.name}`}>
      <chakra.h1 fontSize="3xl" lineHeight={1.18}>
        Which {inside.name} is it?
      </chakra.h1>
      <Box fontSize="lg">It is a {inside.model}. Pick the one you see, and its steps join the others.</Box>
      {all.map((one, n) => (
        <Act
          key={one.revision}
          look={n === 0 && usual.length > 0 ? 'benchMain' : 'bench'}
          minH="56px"
          fontSize="lg"
          keyName={n < 9 ? String(n + 1) : undefined}
          disabled={busy}
          onClick={() => say(one.revision)}
        >
          {one.name}
          {one.tellApart && `: ${one.tellApart}`}
          {usual[0] === one && ' (as usual)'}
        </Act>
      ))}
      <Act look="bench" minH="48px" keyName="S" onClick={leave}>
        I do not go into it
      </Act>
    </Box>
  );
}
