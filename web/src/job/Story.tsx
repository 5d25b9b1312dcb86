import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { moment } from '../api/words';
import { Empty } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { TakeBack } from './TakeBack';

/** Everything that happened on this stay, newest first. What was corrected stays, struck through. */
export function Story({
  job,
  lines,
  longer,
  gone,
}: {
  job: number;
  lines: Schemas['Line'][];
  longer: boolean;
  gone: boolean;
}) {
  return (
    <Box mt="6px" id="story">
      <Box display="flex" justifyContent="space-between" alignItems="center" mb="2px">
        <chakra.h2>The story so far</chakra.h2>
        <TableBar path={`/api/jobs/${job}/story/table.csv`} />
      </Box>
      {lines.map((line) => (
        <Box
          key={line.id}
          display="grid"
          gridTemplateColumns="104px 62px 1fr"
          gap="8px"
          borderTop="1px solid"
          borderColor="line"
          py="3px"
          fontSize="sm"
        >
          <Box color="muted" fontFamily="mono" fontSize="xs" pt="1px">
            {moment(line.at)}
          </Box>
          <Box>{line.by}</Box>
          <Box>
            {line.struckWhy === undefined ? (
              <>
                {line.words}
                {line.entry !== undefined && !gone && <TakeBack entry={line.entry} words={line.words} />}
                {line.photo && (
                  <a href={`/api/photos/${line.photo}`} target="_blank" rel="noopener">
                    <chakra.img
                      src={`/api/photos/${line.photo}`}
                      alt={line.words}
                      maxH="110px"
                      borderRadius="sm"
                      mt="3px"
                      loading="lazy"
                    />
                  </a>
                )}
              </>
            ) : (
              <>
                <chakra.s color="muted">{line.words}</chakra.s> struck: {line.struckWhy}
              </>
            )}
          </Box>
        </Box>
      ))}
      {longer && <Empty>The newest 200 lines. The table that is saved has all of them.</Empty>}
    </Box>
  );
}
