import { chakra } from '@chakra-ui/react';
import type { ComponentProps, ReactNode } from 'react';

type Look = 'main' | 'plain' | 'quiet' | 'bench' | 'benchMain' | 'onTape';

const LOOKS: Record<Look, ComponentProps<typeof chakra.button>> = {
  main: { bg: 'mat', color: 'onMat', borderColor: 'mat', _hover: { bg: 'matHover' } },
  plain: { bg: 'card', color: 'mat', borderColor: 'mat', _hover: { bg: 'matPaper' } },
  quiet: {
    bg: 'transparent',
    color: 'chalk',
    borderColor: 'transparent',
    fontWeight: 400,
    px: '6px',
    textDecoration: 'underline',
  },
  bench: {
    bg: 'transparent',
    color: 'bone',
    borderColor: 'matLine',
    _hover: { bg: 'matGrid' },
    fontWeight: 400,
  },
  onTape: { bg: 'transparent', color: 'onTape', borderColor: 'onTape' },
  benchMain: { bg: 'brassLight', color: 'onBrass', borderColor: 'brassLight', _hover: { bg: 'brassHover' } },
};

type Props = Omit<ComponentProps<typeof chakra.button>, 'children'> & {
  look?: Look;
  /** The key that does the same, printed on the button. */
  keyName?: string;
  children: ReactNode;
};

/** A button that says what happens and which key does it. */
export function Act({ look = 'plain', keyName, children, ...rest }: Props) {
  return (
    <chakra.button
      type="button"
      display="inline-flex"
      alignItems="center"
      justifyContent="space-between"
      gap="10px"
      minH="40px"
      px="14px"
      py="6px"
      border="1px solid"
      borderRadius="sm"
      fontWeight={700}
      textAlign="left"
      cursor="pointer"
      _disabled={{ opacity: 0.5, cursor: 'not-allowed' }}
      {...LOOKS[look]}
      {...rest}
    >
      <span>{children}</span>
      {keyName && <KeyCap name={keyName} />}
    </chakra.button>
  );
}

export function KeyCap({ name }: { name: string }) {
  return (
    <chakra.kbd
      fontFamily="mono"
      fontSize="xs"
      fontWeight={400}
      border="1px solid currentColor"
      borderRadius="sm"
      px="5px"
      aria-hidden="true"
    >
      {name}
    </chakra.kbd>
  );
}

/** How a word looks that can be picked, alone or as one of several. */
export function wordLook(on: boolean) {
  return {
    minH: '34px',
    px: '10px',
    py: '4px',
    borderRadius: 'sm',
    border: '1px solid',
    borderColor: on ? 'mat' : 'chipEdge',
    bg: on ? 'mat' : 'card',
    color: on ? 'onMat' : 'ink',
    fontSize: 'sm',
  } as const;
}

/** One of several words that can be picked. */
export function Chip({
  on,
  struck,
  children,
  ...rest
}: Omit<ComponentProps<typeof chakra.button>, 'children'> & {
  on: boolean;
  struck?: boolean;
  children: ReactNode;
}) {
  return (
    <chakra.button
      type="button"
      aria-pressed={on}
      {...wordLook(on)}
      {...(struck && {
        borderStyle: 'dashed',
        color: on ? 'onMat' : 'muted',
        textDecoration: 'line-through',
      })}
      cursor="pointer"
      {...rest}
    >
      {children}
    </chakra.button>
  );
}
