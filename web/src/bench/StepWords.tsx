import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { figures } from '../api/shopWide';
import { DrawnOn } from '../drawing/DrawnOn';
import { MarkedPhoto } from '../drawing/MarkedPhoto';
import { SideOutline } from '../drawing/SideOutline';
import { Caution } from '../parts/States';
import { SaidIn } from './SaidIn';

type Step = Schemas['StepView'];

/** What to do, large: the caution first, then the words, what must not be swapped, and where it is. */
export function StepWords({
  step,
  way,
  keepApart,
  children,
}: {
  step: Step;
  way: 'IN' | 'OUT';
  keepApart: string[];
  /** what is decided before it is done */
  children?: ReactNode;
}) {
  const then = way === 'OUT' ? step.saidIn.flatMap((one) => (one.photo ? [one] : [])) : [];
  const pictures = hasPictures(step) || then.length > 0;
  const gone = step.things.filter((thing) => thing.usedUp);
  return (
    <>
      <chakra.h1 fontSize="3xl" lineHeight={1.18}>
        {step.title}
      </chakra.h1>
      {step.live && (
        <Box fontSize="md" fontWeight={700} color="hazardLight">
          Work under power{step.leadOnly && ', for a lead alone'}
        </Box>
      )}
      {step.over.map((hazard) => (
        <Caution bench key={hazard.step} still={hazard.heeded}>
          {hazard.words || `${hazard.waits?.hours} hours unplugged before this`}
          {hazard.step !== step.id && ` (${hazard.title})`}
          {hazard.heeded && ' · heeded'}
        </Caution>
      ))}
      {step.mind.map((words) => (
        <Box key={words} role="note" borderLeft="5px solid" borderColor="brassLight" pl="12px" fontSize="sm">
          {words}
        </Box>
      ))}
      {children}
      <Box display="grid" gridTemplateColumns={pictures ? '1fr 178px' : '1fr'} gap="14px" alignItems="start">
        <Box display="grid" gap="10px">
          <Box fontSize="md" color="chalkDust">
            {[floor.Side[step.side], step.tool || 'bare hands', `about ${step.minutes} min`].join(' · ')}
            {way === 'OUT' && ' · back in, the other way round'}
          </Box>
          {way === 'IN' && step.mustBeTrue && (
            <Box fontSize="xl" color="brassLight">
              First: {step.mustBeTrue}.
            </Box>
          )}
          {way === 'OUT' &&
            step.tryFirst.map((words) => (
              <Box key={words} fontSize="xl" color="brassLight">
                Before this goes back: {words}
              </Box>
            ))}
          {way === 'OUT' && step.closeUp && (
            <Box fontSize="xl" color="brassLight">
              {step.closeUp}
            </Box>
          )}
          {step.stays
            .filter((one) => way === 'IN' || one.as === 'LOOSENED')
            .map((one) => (
              <Box
                key={one.id}
                fontSize={one.as === 'LEAVE_ALONE' ? 'lg' : 'md'}
                borderLeft={one.as === 'LEAVE_ALONE' ? '5px solid' : undefined}
                borderColor="hazardLight"
                pl={one.as === 'LEAVE_ALONE' ? '12px' : undefined}
              >
                <b>{way === 'OUT' ? 'tight again' : floor.StaysAs[one.as]}:</b> {one.label}
                {one.words && `, ${one.words}`}
              </Box>
            ))}
          {way === 'OUT' && <SaidIn said={step.saidIn} />}
          {step.how && (
            <Box fontSize="xl" lineHeight={1.35}>
              {step.how}
            </Box>
          )}
          {way === 'IN' && gone.length > 0 && (
            <Box fontSize="md" color="brassLight">
              Used up by opening: {gone.map((thing) => thing.label).join(', ')}. Another goes in on the way
              back.
            </Box>
          )}
          {way === 'IN' &&
            keepApart.map((words) => (
              <Box key={words} borderLeft="5px solid" borderColor="brassLight" pl="12px" fontSize="md">
                {figures(words)}
              </Box>
            ))}
        </Box>
        {pictures && (
          <Box display="grid" gap="10px">
            {then.map((one) => (
              <DrawnOn
                key={`${one.photo} ${one.at}`}
                hash={one.photo as string}
                strokes={one.strokes}
                words={one.words || 'Taken on the way in'}
              />
            ))}
            {hasPictures(step) && <StepPictures step={step} />}
          </Box>
        )}
      </Box>
    </>
  );
}

function hasPictures(step: Step): boolean {
  return step.photos.length > 0 || step.things.some((thing) => thing.group && thing.group.spots.length > 0);
}

/** The picture of a step with its marks, or the outline of the side with the odd ones marked. */
function StepPictures({ step }: { step: Step }) {
  const marked = step.things.flatMap((thing) =>
    thing.group && thing.group.spots.length > 0 ? [thing.group] : [],
  );
  return (
    <Box display="grid" gap="10px">
      {step.photos.map((photo, n) => (
        <MarkedPhoto key={`${photo.hash} ${n}`} photo={photo} />
      ))}
      {step.photos.length === 0 && (
        <Box bg="card" color="ink" borderRadius="sm" p="6px" data-paper="">
          <SideOutline side={step.side} groups={marked} />
        </Box>
      )}
    </Box>
  );
}
