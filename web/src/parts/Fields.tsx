import { Box, chakra } from '@chakra-ui/react';
import { type ComponentProps, type ReactNode, useId } from 'react';

/** How a field looks, for those without a label of their own. */
export const bareField = {
  bg: 'field',
  border: '1px solid',
  borderColor: 'edge',
  borderRadius: 'sm',
  px: '6px',
} as const;

const field = {
  w: '100%',
  minH: '38px',
  px: '8px',
  py: '5px',
  bg: 'field',
  border: '1px solid',
  borderColor: 'edge',
  borderRadius: 'sm',
  color: 'ink',
} as const;

type Labelled = { label: string; problem?: string; hint?: string; compact?: boolean };

function Around({
  id,
  label,
  problem,
  hint,
  compact,
  children,
}: Labelled & { id: string; children: ReactNode }) {
  return (
    <Box minW={0}>
      <chakra.label htmlFor={id} display="block" fontSize={compact ? 'xs' : 'sm'} fontWeight={700} mb="2px">
        {label}
      </chakra.label>
      {children}
      {hint && (
        <Box
          fontSize="xs"
          color="muted"
          css={{ '[data-bench] &:not([data-paper] *)': { color: 'chalkDust' } }}
        >
          {hint}
        </Box>
      )}
      {problem && (
        <Box fontSize="sm" color="hazard" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
}

export function Text({
  label,
  problem,
  hint,
  compact,
  ...rest
}: Labelled & ComponentProps<typeof chakra.input>) {
  const id = useId();
  return (
    <Around id={id} {...{ label, problem, hint, compact }}>
      <chakra.input
        id={id}
        autoComplete="off"
        aria-invalid={problem ? true : undefined}
        {...field}
        {...rest}
      />
    </Around>
  );
}

export function Words({
  label,
  problem,
  hint,
  compact,
  ...rest
}: Labelled & ComponentProps<typeof chakra.textarea>) {
  const id = useId();
  return (
    <Around id={id} {...{ label, problem, hint, compact }}>
      <chakra.textarea
        id={id}
        rows={2}
        aria-invalid={problem ? true : undefined}
        {...field}
        resize="vertical"
        {...rest}
      />
    </Around>
  );
}

export function Pick({
  label,
  problem,
  hint,
  compact,
  children,
  ...rest
}: Labelled & ComponentProps<typeof chakra.select>) {
  const id = useId();
  return (
    <Around id={id} {...{ label, problem, hint, compact }}>
      <chakra.select id={id} aria-invalid={problem ? true : undefined} {...field} {...rest}>
        {children}
      </chakra.select>
    </Around>
  );
}

/** A name on the left, what belongs to it on the right. */
export function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={name}
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '104px 1fr' }}
      gap="6px 14px"
      py="6px"
      borderTop="1px solid"
      borderColor="line"
      alignItems="start"
    >
      <Box fontWeight={700} fontSize="sm" pt="6px">
        {name}
      </Box>
      <Box minW={0}>{children}</Box>
    </Box>
  );
}
