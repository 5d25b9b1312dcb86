import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  animationStyles,
  breakpoints,
  comboboxSlotRecipe,
  dialogSlotRecipe,
  globalCss,
  keyframes,
  layerStyles,
  radioGroupSlotRecipe,
  semanticTokens,
  textStyles,
  tokens,
} from '@chakra-ui/react/theme';
import { BENCH, FIXED, ROOMS } from './palette';

const named = <V>(
  pairs: Record<string, readonly [string, string]>,
  to: (pair: readonly [string, string]) => V,
) => Object.fromEntries(Object.entries(pairs).map(([name, pair]) => [name, { value: to(pair) }]));

/** Chakra's own theme, with the looks of those parts that the screens use: the rest would be loaded for nothing. */
const chakra = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html, .chakra-theme)',
  globalCss,
  theme: {
    animationStyles,
    breakpoints,
    keyframes,
    layerStyles,
    semanticTokens,
    slotRecipes: { combobox: comboboxSlotRecipe, dialog: dialogSlotRecipe, radioGroup: radioGroupSlotRecipe },
    textStyles,
    tokens,
  },
});

export const system = createSystem(
  defaultBaseConfig,
  chakra,
  defineConfig({
    // Everything dark is Chakra's own; everything light is the bench by day.
    conditions: { lit: '.lit &' },
    theme: {
      tokens: {
        colors: Object.fromEntries(Object.entries(FIXED).map(([name, value]) => [name, { value }])),
        fonts: {
          body: { value: "'Atkinson Hyperlegible', sans-serif" },
          heading: { value: "'Atkinson Hyperlegible', sans-serif" },
          mono: { value: "'IBM Plex Mono', monospace" },
        },
        // Seven sizes of type, in the reader's own measure.
        fontSizes: {
          xs: { value: '0.8125rem' },
          sm: { value: '0.9rem' },
          md: { value: '1rem' },
          lg: { value: '1.125rem' },
          xl: { value: '1.25rem' },
          '2xl': { value: '1.375rem' },
          '3xl': { value: '1.75rem' },
        },
        radii: { sm: { value: '3px' }, md: { value: '3px' }, lg: { value: '3px' } },
      },
      semanticTokens: {
        colors: {
          ...named(ROOMS, ([base, _dark]) => ({ base, _dark })),
          ...named(BENCH, ([base, _lit]) => ({ base, _lit })),
        },
      },
    },
    globalCss: {
      'html, body, #root': { height: '100%' },
      'html.dark': { colorScheme: 'dark' },
      body: { bg: 'paper', color: 'ink', fontSize: 'md', lineHeight: 1.4 },
      '*:focus-visible': { outline: '3px solid', outlineColor: 'chalk', outlineOffset: '2px' },
      '[data-bench] *:focus-visible': { outlineColor: 'brassLight' },
      'header, .noprint': { _print: { display: 'none !important' } },
      // A finger is wider than a pointer.
      'button, select, input, textarea, [role="button"]': {
        '@media (pointer: coarse)': { minHeight: '44px !important' },
      },
      // At the bench it is dirty, too.
      '[data-bench] main button': {
        '@media (pointer: coarse)': { minHeight: '56px !important' },
      },
      'input[type="checkbox"], input[type="radio"]': {
        '@media (pointer: coarse)': { minWidth: '28px', minHeight: '28px !important' },
      },
      h1: { fontSize: '2xl', fontWeight: 700 },
      h2: { fontSize: 'md', fontWeight: 700 },
    },
  }),
);

type Name = keyof typeof ROOMS | keyof typeof BENCH | keyof typeof FIXED;

/** A colour for what is drawn, as it is on this device now. */
export const colours = Object.fromEntries(
  [ROOMS, BENCH, FIXED].flatMap((part) =>
    Object.keys(part).map((name) => [name, system.token.var(`colors.${name}`)]),
  ),
) as Record<Name, string>;

/** On a drawing that stays a dark mat whatever the light is. */
export const onMat = Object.fromEntries(
  Object.entries(BENCH).map(([name, [dark]]) => [system.token.var(`colors.${name}`).slice(4, -1), dark]),
);
