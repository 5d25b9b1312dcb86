import type { Schemas } from '../api/client';
import { PartDrawing, shapeOf } from '../drawing/PartDrawing';

/** One part as large as it goes into a small space. */
export function Picture({ lies, width, height }: { lies: Schemas['Lies']; width: number; height: number }) {
  const shape = shapeOf(lies);
  const scale = Math.min((width - 10) / shape.wideMm, (height - 10) / shape.highMm, 8);
  return (
    <svg width={width} height={height} aria-hidden="true">
      <PartDrawing
        lies={lies}
        scale={scale}
        x={(width - shape.wideMm * scale) / 2}
        y={(height - shape.highMm * scale) / 2}
      />
    </svg>
  );
}
