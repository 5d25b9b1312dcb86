import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { FastenerPicture } from '../drawing/Fastener';

type Step = Schemas['StepSaid'];

/** The steps in their order, each with what it takes off, drawn. */
export function StepList({
  steps,
  shapes,
  chosen,
  choose,
  move,
}: {
  steps: Step[];
  shapes: Schemas['NotesView']['shapes'];
  chosen?: string;
  choose: (id: string) => void;
  move: (steps: Step[]) => void;
}) {
  const swap = (at: number, by: number) => {
    const next = [...steps];
    const [step] = next.splice(at, 1);
    if (step) {
      next.splice(at + by, 0, step);
      move(next);
    }
  };
  return (
    <chakra.ol listStyleType="none" m={0} p={0}>
      {steps.map((step, n) => (
        <chakra.li
          key={step.id}
          display="grid"
          gridTemplateColumns="28px 1fr auto"
          gap="8px"
          alignItems="center"
          borderTop="1px solid"
          borderColor="line"
          bg={step.id === chosen ? 'card' : undefined}
          outline={step.id === chosen ? '2px solid' : undefined}
          outlineColor="mat"
          px="6px"
        >
          <chakra.span fontFamily="mono" color="muted">
            {n + 1}
          </chakra.span>
          <chakra.button
            type="button"
            textAlign="left"
            py="7px"
            cursor="pointer"
            onClick={() => choose(step.id)}
          >
            <b>{step.title || 'A step without a title'}</b>
            <chakra.span color="muted" fontSize="sm">
              {' '}
              {[floor.Side[step.side], step.tool, `${step.minutes} min`].filter(Boolean).join(' · ')}
            </chakra.span>
            <Off step={step} shapes={shapes} />
          </chakra.button>
          <Box display="flex" flexDirection="column">
            <Mover label={`Move ${step.title} up`} off={n === 0} act={() => swap(n, -1)}>
              ↑
            </Mover>
            <Mover label={`Move ${step.title} down`} off={n === steps.length - 1} act={() => swap(n, 1)}>
              ↓
            </Mover>
          </Box>
        </chakra.li>
      ))}
    </chakra.ol>
  );
}

function Mover({
  label,
  off,
  act,
  children,
}: {
  label: string;
  off: boolean;
  act: () => void;
  children: string;
}) {
  return (
    <chakra.button
      type="button"
      aria-label={label}
      disabled={off}
      px="8px"
      minH="26px"
      fontSize="md"
      color="chalk"
      cursor="pointer"
      _disabled={{ opacity: 0.25, cursor: 'default' }}
      onClick={act}
    >
      {children}
    </chakra.button>
  );
}

function Off({ step, shapes }: { step: Step; shapes: Schemas['NotesView']['shapes'] }) {
  const scale = 3.2;
  const words = [
    ...step.connectors.map((plug) => `${plug.count > 1 ? `${plug.count} × ` : ''}plug: ${plug.label}`),
    ...step.pieces.map((piece) =>
      piece.count === 1 ? piece.label : `${piece.count ?? '?'} × ${piece.label}`,
    ),
  ];
  return (
    <chakra.span
      display="flex"
      flexWrap="wrap"
      gap="4px 12px"
      alignItems="center"
      fontSize="sm"
      color="brassInk"
    >
      {step.fasteners.map((group) => {
        const shape = shapes[group.id];
        return (
          <chakra.span key={group.id} display="inline-flex" alignItems="center" gap="5px" fontFamily="mono">
            {group.count ?? '?'} ×
            {shape ? <FastenerPicture group={group} shape={shape} scale={scale} /> : ` ${group.label}`}
          </chakra.span>
        );
      })}
      {words.join(' · ')}
    </chakra.span>
  );
}
