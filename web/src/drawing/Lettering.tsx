import type { ReactNode, SVGProps } from 'react';

/** Words in a drawing. The page's own styles win over plain SVG attributes, so these are set as style. */
export function Lettering({
  size = 14,
  hand,
  bold,
  fill,
  children,
  ...rest
}: Omit<SVGProps<SVGTextElement>, 'children'> & {
  size?: number;
  /** as written on a tag, in even letters */
  hand?: boolean;
  bold?: boolean;
  children: ReactNode;
}) {
  return (
    <text
      {...rest}
      style={{
        fontFamily: hand ? "'IBM Plex Mono', monospace" : "'Atkinson Hyperlegible', sans-serif",
        fontSize: `${size}px`,
        fontWeight: bold ? 600 : 400,
        fill,
      }}
    >
      {children}
    </text>
  );
}
