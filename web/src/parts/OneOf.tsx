import { Box, chakra } from '@chakra-ui/react';
import { Chip } from './Buttons';

/** One of a few words; a second tap takes it back. */
export function OneOf<T extends string>({
  label,
  name,
  words,
  picked,
  pick,
}: {
  /** for those who do not see it, and for tests */
  label: string;
  /** printed before the words */
  name?: string;
  words: Record<T, string>;
  picked?: T;
  pick: (one?: T) => void;
}) {
  return (
    <Box display="flex" gap="4px" flexWrap="wrap" alignItems="center" role="group" aria-label={label}>
      {name && (
        <chakra.span fontSize="xs" fontWeight={700}>
          {name}
        </chakra.span>
      )}
      {(Object.keys(words) as T[]).map((one) => (
        <Chip
          key={one}
          on={picked === one}
          minH="30px"
          fontSize="sm"
          onClick={() => pick(picked === one ? undefined : one)}
        >
          {words[one]}
        </Chip>
      ))}
    </Box>
  );
}
