import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { fastenerWords } from '../api/words';
import { FastenerPicture } from '../drawing/Fastener';
import { MarkedPhoto } from '../drawing/MarkedPhoto';
import { SideOutline } from '../drawing/SideOutline';
import { Caution } from '../parts/States';

/** One step to read: what it says, what comes off drawn, and where. */
export function StepCard({
  step,
  shapes,
}: {
  step: Schemas['StepSaid'];
  shapes: Schemas['NotesView']['shapes'];
}) {
  const marked = step.fasteners.filter((group) => group.spots.length > 0);
  const scale = 4;
  return (
    <Box
      display="grid"
      gridTemplateColumns={[
        '1fr',
        marked.length > 0 ? '190px' : '',
        step.photos.length > 0 ? '226px' : '',
      ].join(' ')}
      gap="14px"
      aria-live="polite"
    >
      <Box>
        <b>{step.title}</b>{' '}
        <chakra.span color="muted">
          {[floor.Side[step.side], step.tool, `${step.minutes} min`].filter(Boolean).join(' · ')}
        </chakra.span>
        {step.caution && <Caution>{step.caution}</Caution>}
        {step.mustBeTrue && (
          <Box>
            <b>First:</b> {step.mustBeTrue}.
          </Box>
        )}
        {step.how && <Box>{step.how}</Box>}
        {step.fasteners.map((group) => {
          const shape = shapes[group.id];
          return (
            <Box key={group.id} display="flex" alignItems="center" gap="8px" fontSize="sm">
              <chakra.span fontFamily="mono" color="brassInk" fontWeight={600} whiteSpace="nowrap">
                {group.count ?? '?'} ×
              </chakra.span>
              {shape && <FastenerPicture group={group} shape={shape} scale={scale} />}
              <span>
                {group.label}: {fastenerWords(group)}
                {group.hides && `, under the ${group.hides}`}
              </span>
            </Box>
          );
        })}
        {step.connectors.map((plug) => (
          <Box key={plug.id} fontSize="sm">
            {plug.count > 1 && `${plug.count} × `}plug: {plug.label}
            {plug.mark && `, ${plug.mark}`}
            {plug.latch && `, latch: ${plug.latch}`}
          </Box>
        ))}
        {step.pieces.map((piece) => (
          <Box key={piece.id} fontSize="sm">
            {piece.usedUp ? 'used up by opening' : 'loose'}: {piece.label}
            {piece.hint && `, ${piece.hint}`}
          </Box>
        ))}
        {step.stays.map((one) => (
          <Box key={one.id} fontSize="sm" color={one.as === 'LEAVE_ALONE' ? 'amberInk' : undefined}>
            <b>{floor.StaysAs[one.as]}:</b> {one.label}
            {one.words && `, ${one.words}`}
          </Box>
        ))}
        {step.closeUp && (
          <Box>
            <b>On the way back:</b> {step.closeUp}
          </Box>
        )}
      </Box>
      {marked.length > 0 && <SideOutline side={step.side} groups={marked} />}
      {step.photos.length > 0 && (
        <Box display="grid" gap="8px">
          {step.photos.map((photo, n) => (
            <MarkedPhoto key={`${photo.hash} ${n}`} photo={photo} />
          ))}
        </Box>
      )}
    </Box>
  );
}
