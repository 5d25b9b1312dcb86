import { type chakra, RadioGroup } from '@chakra-ui/react';
import type { ComponentProps, ReactNode } from 'react';
import { wordLook } from './Buttons';

/** What is pressed lies over the whole word, so that a finger, a pointer and whoever tests it meet the same thing. */
const OVER_ALL = {
  position: 'absolute',
  inset: 0,
  width: '100%',
  height: '100%',
  margin: 0,
  opacity: 0,
  clip: 'auto',
  cursor: 'pointer',
} as const;

type Props<T extends string> = {
  /** what is chosen, for those who do not see it */
  label: string;
  words: Record<T, ReactNode>;
  picked?: T;
  pick: (one: T) => void;
  off?: boolean;
  /** height and measure of each word */
  each?: ComponentProps<typeof chakra.span>;
} & Omit<ComponentProps<typeof RadioGroup.Root>, 'children' | 'value' | 'onValueChange'>;

/** Exactly one of a few words: the arrow keys go through them, Tab passes them at once. */
export function Choice<T extends string>({ label, words, picked, pick, off, each, ...rest }: Props<T>) {
  return (
    <RadioGroup.Root
      aria-label={label}
      display="flex"
      gap="6px"
      flexWrap="wrap"
      alignItems="center"
      value={picked ?? null}
      disabled={off}
      onValueChange={({ value }) => value && pick(value as T)}
      {...rest}
    >
      {(Object.keys(words) as T[]).map((one) => {
        const on = picked === one;
        return (
          <RadioGroup.Item key={one} value={one} position="relative" display="inline-flex" gap="0">
            <RadioGroup.ItemHiddenInput style={OVER_ALL} />
            <RadioGroup.ItemText
              display="inline-flex"
              alignItems="center"
              {...wordLook(on)}
              fontWeight={400}
              lineHeight="inherit"
              opacity={off ? 0.5 : 1}
              css={{
                'input:focus-visible + &': {
                  outline: '3px solid',
                  outlineColor: 'chalk',
                  outlineOffset: '2px',
                },
                '@media (pointer: coarse)': { minHeight: '44px' },
              }}
              {...each}
            >
              {words[one]}
            </RadioGroup.ItemText>
          </RadioGroup.Item>
        );
      })}
    </RadioGroup.Root>
  );
}
