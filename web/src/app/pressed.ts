/** A pointer that stays where it is trembles by less, in pixels. */
const STILL = 8;

/**
 * A press is of the button that was under the pointer when it went down, though the screen moves beneath it: an offer that came in between swallowed it, since the
 * browser then clicks on neither. A pointer that is drawn off before it is let go presses nothing, as ever.
 */
export function keepPresses(on: Document) {
  let down: { button: HTMLElement; x: number; y: number } | undefined;
  on.addEventListener(
    'pointerdown',
    (event) => {
      const button = (event.target as Element).closest('button');
      down = button && event.button === 0 ? { button, x: event.clientX, y: event.clientY } : undefined;
    },
    true,
  );
  on.addEventListener(
    'pointerup',
    (event) => {
      const was = down;
      down = undefined;
      if (
        was &&
        Math.hypot(event.clientX - was.x, event.clientY - was.y) < STILL &&
        !was.button.contains(event.target as Node)
      ) {
        was.button.click();
      }
    },
    true,
  );
}
