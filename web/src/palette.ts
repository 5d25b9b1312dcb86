/**
 * Every colour of the screens: docs/decisions/0006-the-look.md. The rooms are of paper and the bench is a dark mat, unless this device
 * shows everything dark, or everything light.
 */

/** Of the rooms: by day, and when everything is dark. */
export const ROOMS = {
  paper: ['#F4F0E6', '#151E1B'],
  card: ['#FFFCF5', '#1D2825'],
  /** What is typed into. */
  field: ['#FFFFFF', '#101815'],
  line: ['#DDD5C3', '#35443F'],
  ink: ['#1F2B29', '#ECE6D6'],
  muted: ['#5C6663', '#A9B5AF'],
  mat: ['#1F5B4E', '#7FC6B1'],
  /** On mat, hazard and amber. */
  onMat: ['#FFFFFF', '#0B1613'],
  matHover: ['#174A3F', '#9AD6C4'],
  /** What comes off, on mat. */
  brassOnMat: ['#F2D38C', '#4A3205'],
  brass: ['#9A6A14', '#D9A441'],
  /** Brass for words on paper: the drawing colour falls short of 4.5:1 there. */
  brassInk: ['#855A0E', '#E0B25A'],
  chalk: ['#27548A', '#9DC4F2'],
  amber: ['#A85B00', '#F0A24A'],
  /** Amber for words on paper, for the same reason. */
  amberInk: ['#9A5200', '#F2AC5C'],
  hazard: ['#B3261E', '#FF9285'],
  /** Edges, papers and inks of single parts. */
  edge: ['#8B8771', '#7F8C86'],
  chipEdge: ['#B9B09A', '#62716B'],
  matPaper: ['#EDF3EE', '#22332D'],
  goodPaper: ['#DCE9E3', '#203A33'],
  hazardPaper: ['#FBECEA', '#3A1F1B'],
  hazardInk: ['#5A130F', '#FFD9D3'],
  brassPaper: ['#FBF3E2', '#332A12'],
  differs: ['#F3E2B8', '#4B3C12'],
  waitPaper: ['#EDE3CF', '#2E2B1D'],
  bar: ['#ECE4D2', '#2B3834'],
  track: ['#EAE3D3', '#2B3834'],
  meterPaper: ['#E9EEF4', '#1C2935'],
  matFaded: ['#9DB5AC', '#4D6C62'],
  matPale: ['#B9D3CA', '#37584D'],
  badPale: ['#F1D9D5', '#4A2520'],
  idle: ['#E4DECF', '#303C38'],
  /** A way on a map that is not the one asked for. */
  otherWay: ['#CFC6B0', '#4A5751'],
} as const;

/** Of the bench: as the mat that it is, and when everything is light. */
export const BENCH = {
  matSurface: ['#12382F', '#E3ECE7'],
  matGrid: ['#1D4C41', '#CFDED7'],
  matDeep: ['#0E2B24', '#F3F7F4'],
  matLine: ['#3B7A67', '#6B8F83'],
  matEdge: ['#28604F', '#B3CCC1'],
  chalkDust: ['#A9C3B8', '#43605A'],
  bone: ['#EFE9D8', '#1F2B29'],
  brassLight: ['#D9A441', '#754D09'],
  onBrass: ['#221A05', '#FFF8E6'],
  brassHover: ['#E6B558', '#5E3E05'],
  brassPale: ['#F2D38C', '#6B4707'],
  hazardLight: ['#F0705F', '#B3261E'],
  hazardPale: ['#FFD9D3', '#5A130F'],
  hazardDeep: ['#3A1F1B', '#FBECEA'],
} as const;

/** The same everywhere: masking tape is what it is, and a chip is black. */
export const FIXED = {
  tape: '#EBDCAB',
  onTape: '#2B2614',
  tapeEdge: '#CBB878',
  chipBody: '#1F2B29',
  chipGood: '#8FC9B4',
  chipBad: '#F0705F',
} as const;

/** What is drawn as it is, whatever the light: body, edge and shine of each finish of a fastener. */
export const METALS = {
  BLACK: ['#3A4043', '#0B0D0E', '#98A2A5'],
  SILVER: ['#C9CFD1', '#7F888B', '#F4F7F8'],
  BRASS: ['#D9A441', '#8A5E10', '#F5D998'],
} as const;
/** What nobody has looked at is left open: the ground shows through. */
export const UNSEEN = ['transparent', '#A8B5AE', 'transparent'] as const;

/** The cutting mat and the shallow trays on it, beside the colours of the bench. */
export const ON_THE_MAT = {
  bold: '#2C6453',
  edge: '#3E7A67',
  figures: '#7FA394',
  trayAskedFor: '#17483C',
  shade: '#071A15',
  plugEdge: '#8B9497',
  wire: '#8FA49C',
} as const;

/** The boards of the rack. */
export const WOOD = { board: '#B9A679', edge: '#8D7C53' } as const;
