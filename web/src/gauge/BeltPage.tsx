import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { BeltDrawing } from '../drawing/BeltDrawing';
import { short } from '../drawing/short';
import { Chip } from '../parts/Buttons';
import { OneOf } from '../parts/OneOf';
import { colours } from '../theme';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, problemOf, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

type Method = Schemas['WornBelt']['method'];
type Shape = Schemas['BeltSection']['shape'];

const METHODS: Record<Method, string> = {
  FLAT: 'folded flat',
  RING: 'ring across',
  CIRCUMFERENCE: 'all round',
};
const SHAPES: Record<Shape, string> = { SQUARE: 'square', FLAT: 'flat', ROUND: 'round' };
const BLANK = {
  worn: '',
  driver: '',
  driven: '',
  centres: '',
  width: '',
  thick: '',
  method: 'FLAT' as Method,
  shape: 'SQUARE' as Shape,
  crossed: false,
};
type Length = 'worn' | 'driver' | 'driven' | 'centres' | 'width' | 'thick';
const EXAMPLE = { ...BLANK, driver: '6', driven: '6', centres: '18', width: '1.2', thick: '1.2' };

export function BeltPage() {
  const [said, say, set] = useTyped('belt', BLANK);
  const { method, shape, crossed } = said;
  const mm = (field: Length) => quantity(said[field], 'mm');
  const worn = mm('worn');
  const [driver, driven, centres] = [mm('driver'), mm('driven'), mm('centres')];
  const width = mm('width');
  const path =
    driver !== undefined && driven !== undefined && centres !== undefined
      ? { driverMm: driver, drivenMm: driven, centresMm: centres, crossed }
      : undefined;
  const asked =
    worn !== undefined || path
      ? {
          worn: worn === undefined ? undefined : { method, valueMm: worn },
          path,
          section:
            width === undefined ? undefined : { shape, widthMm: width, thicknessMm: mm('thick') ?? width },
        }
      : undefined;
  const query = useGauge('belt', asked, () =>
    answer(api.POST('/api/gauges/belt', { body: asked as Schemas['BeltAsked'] })),
  );
  return (
    <Gauge
      name="belt"
      asked={asked}
      typed={said}
      query={query}
      example={() => say(EXAMPLE)}
      clear={() => say(BLANK)}
      fields={
        <>
          <chakra.h2>The old belt</chakra.h2>
          <OneOf
            label="How it was measured"
            words={METHODS}
            picked={method}
            pick={(one) => one && set('method')(one)}
          />
          <Measure
            label={METHODS[method]}
            unit="mm"
            value={said.worn}
            set={set('worn')}
            problem={problemOf(query, 'valueMm')}
          />
          <OneOf label="Section" words={SHAPES} picked={shape} pick={(one) => one && set('shape')(one)} />
          <Measure label="section, wide" unit="mm" value={said.width} set={set('width')} />
          {shape === 'FLAT' && (
            <Measure label="section, thick" unit="mm" value={said.thick} set={set('thick')} />
          )}
          <chakra.h2 mt="8px">The pulleys: better, if you can reach them</chakra.h2>
          <Measure label="motor pulley" unit="mm" value={said.driver} set={set('driver')} />
          <Measure label="driven pulley" unit="mm" value={said.driven} set={set('driven')} />
          <Measure
            label="centre to centre"
            unit="mm"
            value={said.centres}
            set={set('centres')}
            problem={problemOf(query, 'centresMm')}
          />
          <Chip on={crossed} onClick={() => set('crossed')(!crossed)}>
            {crossed ? 'runs crossed' : 'runs open'}
          </Chip>
        </>
      }
    >
      {(found) => (
        <>
          <Box display="grid" gridTemplateColumns="1fr 190px" gap="20px">
            {path && centres ? (
              <BeltDrawing
                driver={path.driverMm}
                driven={path.drivenMm}
                centres={centres}
                crossed={crossed}
              />
            ) : (
              <Box color="muted">With the pulleys measured the belt is drawn round them.</Box>
            )}
            <Box>
              {found.pathMm !== undefined && (
                <Figure name="way round" value={`${short(found.pathMm, 4)} mm`} />
              )}
              <Figure name="a new one, inside" value={`${short(found.target.bestMm, 4)} mm`} />
              <Box>
                {short(found.target.minMm, 4)} to {short(found.target.maxMm, 4)} will do
              </Box>
              {found.wornCircumferenceMm !== undefined && (
                <Box color="muted">The old one is {short(found.wornCircumferenceMm, 4)} mm round.</Box>
              )}
            </Box>
          </Box>
          <chakra.h2 mt="10px">From the drawers</chakra.h2>
          {found.candidates.map((one) => (
            <Candidate key={one.belt.partId} one={one} target={found.target} />
          ))}
          {found.candidates.length === 0 && (
            <Box color="muted">No drawer holds a belt whose words name an inner circumference.</Box>
          )}
        </>
      )}
    </Gauge>
  );
}

function Candidate({ one, target }: { one: Schemas['BeltCandidate']; target: Schemas['BeltTarget'] }) {
  const from = target.minMm * 0.8;
  const span = target.maxMm * 1.2 - from;
  const x = (mm: number) => Math.min(100, Math.max(0, (100 * (mm - from)) / span));
  return (
    <Box
      display="grid"
      gridTemplateColumns="190px 1fr 1.4fr auto"
      gap="12px"
      alignItems="center"
      borderTop="1px solid"
      borderColor="line"
      py="4px"
    >
      <Box>
        <b>{one.part}</b>
        <Box fontSize="xs" color="muted">
          {one.belt.count === 0 ? 'none left' : one.belt.count} in drawer {one.belt.drawer}
        </Box>
      </Box>
      <svg viewBox="0 0 100 16" preserveAspectRatio="none" width="100%" height={18} aria-hidden="true">
        <rect y={6} width={100} height={4} fill={colours.track} />
        <rect
          x={x(target.minMm)}
          y={6}
          width={x(target.maxMm) - x(target.minMm)}
          height={4}
          fill={colours.matPale}
        />
        <path
          d={`M${x(one.circumferenceMm)} 8h0.001`}
          stroke={
            one.verdict === 'GOOD' ? colours.mat : one.verdict === 'BAD' ? colours.hazard : colours.amber
          }
          strokeWidth={13}
          strokeLinecap="round"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <Box fontSize="sm">
        {short(one.circumferenceMm, 4)} mm
        {one.stretchPercent !== undefined &&
          (one.stretchPercent < 0 ? ', slack' : `, ${short(one.stretchPercent, 2)} % stretch`)}
        . {one.reasons.join('. ')}
      </Box>
      <VerdictOf
        verdict={one.verdict}
        words={{ GOOD: 'fits', BAD: 'does not', CAN_NOT_SAY: 'look' }[one.verdict]}
      />
    </Box>
  );
}
