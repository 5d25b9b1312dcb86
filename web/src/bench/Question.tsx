import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';

/** Why? Some usual answers by number key, or words. */
export function Question({
  title,
  usual,
  go,
  busy,
  leave,
  enter,
}: {
  title: string;
  usual: string[];
  go: string;
  busy: boolean;
  leave: () => void;
  enter: (words: string) => void;
}) {
  const [words, setWords] = useState('');
  useKeys([
    ...usual.map((one, n) => ({ key: String(n + 1), label: one, act: () => enter(one) })),
    { key: 'Escape', label: 'Leave it', act: leave },
  ]);
  return (
    <chakra.form
      display="grid"
      gap="9px"
      role="group"
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim()) {
          enter(words.trim());
        }
      }}
    >
      <chakra.h2 fontSize="2xl">{title}</chakra.h2>
      {usual.map((one, n) => (
        <Act
          key={one}
          look="bench"
          minH="48px"
          keyName={String(n + 1)}
          disabled={busy}
          onClick={() => enter(one)}
        >
          {one}
        </Act>
      ))}
      <Text
        label={usual.length > 0 ? 'Or in words' : 'In words'}
        autoFocus={usual.length === 0}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Box display="flex" gap="9px">
        <Act look="benchMain" type="submit" flex="1" minH="52px" disabled={busy || !words.trim()}>
          {go}
        </Act>
        <Act look="bench" minH="52px" onClick={leave}>
          Leave it
        </Act>
      </Box>
    </chakra.form>
  );
}
