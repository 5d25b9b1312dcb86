import { Box, chakra } from '@chakra-ui/react';

const FORMATS = [
  ['json', 'JSON, to be taken in elsewhere'],
  ['pdf', 'paper, with drawings'],
  ['md', 'Markdown, to be read'],
  ['jsonld', 'HowTo, for other software'],
] as const;

/** The notes as files. */
export function WriteOut({ revision }: { revision: number }) {
  return (
    <Box fontSize="sm" color="muted" mt="8px" display="flex" gap="4px 14px" flexWrap="wrap">
      Write out as
      {FORMATS.map(([ending, words]) => (
        <chakra.a
          key={ending}
          href={`/api/revisions/${revision}/export.${ending}`}
          download
          color="chalk"
          textDecoration="underline"
        >
          {words}
        </chakra.a>
      ))}
    </Box>
  );
}
