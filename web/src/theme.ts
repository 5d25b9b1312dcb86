import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';

/** The bench, not an office: docs/decisions/0006-the-look.md. */
export const colours = {
  paper: '#F4F0E6',
  card: '#FFFCF5',
  line: '#DDD5C3',
  ink: '#1F2B29',
  muted: '#5C6663',
  mat: '#1F5B4E',
  matSurface: '#12382F',
  matGrid: '#1D4C41',
  matDeep: '#0E2B24',
  matLine: '#3B7A67',
  chalkDust: '#A9C3B8',
  bone: '#EFE9D8',
  brass: '#9A6A14',
  /** Brass for words on paper: the drawing colour falls short of 4.5:1 there. */
  brassInk: '#855A0E',
  brassLight: '#D9A441',
  tape: '#EBDCAB',
  chalk: '#27548A',
  amber: '#A85B00',
  /** Amber for words on paper, for the same reason. */
  amberInk: '#9A5200',
  hazard: '#B3261E',
  hazardLight: '#F0705F',
  /** Edges, papers and inks of single parts. */
  edge: '#8B8771',
  matEdge: '#28604F',
  onBrass: '#221A05',
  brassPale: '#F2D38C',
  matPaper: '#EDF3EE',
  goodPaper: '#DCE9E3',
  hazardPaper: '#FBECEA',
  hazardInk: '#5A130F',
  onTape: '#2B2614',
  hazardPale: '#FFD9D3',
  brassPaper: '#FBF3E2',
  differs: '#F3E2B8',
  waitPaper: '#EDE3CF',
  bar: '#ECE4D2',
  track: '#EAE3D3',
  meterPaper: '#E9EEF4',
  brassHover: '#E6B558',
  matPale: '#B9D3CA',
  chipEdge: '#B9B09A',
  matFaded: '#9DB5AC',
  hazardDeep: '#3A1F1B',
  matHover: '#174A3F',
} as const;

const tokens = Object.fromEntries(Object.entries(colours).map(([name, value]) => [name, { value }]));

export const system = createSystem(
  defaultConfig,
  defineConfig({
    theme: {
      tokens: {
        colors: tokens,
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
    },
    globalCss: {
      'html, body, #root': { height: '100%' },
      body: { bg: 'paper', color: 'ink', fontSize: 'md', lineHeight: 1.4 },
      '*:focus-visible': { outline: '3px solid', outlineColor: 'chalk', outlineOffset: '2px' },
      '[data-bench] *:focus-visible': { outlineColor: 'brassLight' },
      'header, .noprint': { _print: { display: 'none !important' } },
      // A finger is wider than a pointer.
      'button, select, input, textarea, [role="button"]': {
        '@media (pointer: coarse)': { minHeight: '44px !important' },
      },
      'input[type="checkbox"], input[type="radio"]': {
        '@media (pointer: coarse)': { minWidth: '28px', minHeight: '28px !important' },
      },
      h1: { fontSize: '2xl', fontWeight: 700 },
      h2: { fontSize: 'md', fontWeight: 700 },
    },
  }),
);
