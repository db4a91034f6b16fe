/** SVG path data for the drawing. Many shapes go into one path: a shelf of tubes is then drawn in a moment. */

const n = (value: number): string => String(Math.round(value * 1000) / 1000);

/** A whole ellipse, turned about its middle by degrees. */
export function ellipsePath(cx: number, cy: number, rx: number, ry: number, turn = 0): string {
  const angle = (turn * Math.PI) / 180;
  const dx = rx * Math.cos(angle);
  const dy = rx * Math.sin(angle);
  const arc = (x: number, y: number) => `A${n(rx)} ${n(ry)} ${n(turn)} 1 0 ${n(x)} ${n(y)}`;
  return `M${n(cx - dx)} ${n(cy - dy)}${arc(cx + dx, cy + dy)}${arc(cx - dx, cy - dy)}Z`;
}

interface Placing {
  x: number;
  y: number;
  /** Degrees. */
  turn: number;
  scaleX: number;
  scaleY: number;
}

/**
 * Path data with every point placed: scaled, turned, moved. Takes absolute M, L and C commands with plain points only.
 * @param d letters and points, such as "M0 0L1 1"
 */
export function placed(d: string, { x, y, turn, scaleX, scaleY }: Placing): string {
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return d.replace(/(-?[\d.]+)[ ,](-?[\d.]+)/g, (_, px: string, py: string) => {
    const [u, v] = [Number(px) * scaleX, Number(py) * scaleY];
    return `${n(x + u * cos - v * sin)} ${n(y + u * sin + v * cos)}`;
  });
}
