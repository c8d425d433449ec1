/** Places on the dial's face. The rim has radius 100; degrees run clockwise from the twelve. */
export const RADII = {
  rim: 100,
  numerals: 86.5,
  track: 75,
  tickFive: 65.5,
  tickOne: 70.5,
  minuteNumbers: 109,
  corner: 106,
  sweep: 60,
} as const;

/** The hands as outlines pointing at the twelve: a short broad leaf, a long thin spear. */
export const HAND_SHAPES = {
  hour: "M0-53C8.5-39 10-19 3.4 0V9a3.4 3.4 0 0 1-6.8 0V0C-10-19-8.5-39 0-53Z",
  minute: "M0-74.5 3-58 1.9-58 2.1 15a2.1 2.1 0 0 1-4.2 0L-1.9-58-3-58Z",
} as const;

export interface Point {
  x: number;
  y: number;
}

export function pointAt(degrees: number, radius: number): Point {
  const turn = (degrees * Math.PI) / 180;
  return { x: radius * Math.sin(turn), y: -radius * Math.cos(turn) };
}

/** Marks round the face, each so many minutes from the last, as one outline. */
export function ticks(every: number, inner: number, outer: number): string {
  const marks = Array.from({ length: 60 / every }, (_, place) => place * every * 6);
  return marks
    .map((degrees) => ({ from: pointAt(degrees, inner), to: pointAt(degrees, outer) }))
    .map(({ from, to }) => `M${from.x.toFixed(2)} ${from.y.toFixed(2)}L${to.x.toFixed(2)} ${to.y.toFixed(2)}`)
    .join("");
}

/** A piece of the rim from one angle clockwise to another. */
export function ringPart(from: number, to: number, inner: number, outer: number): string {
  const at = (degrees: number, radius: number): string => {
    const { x, y } = pointAt(degrees, radius);
    return `${x.toFixed(2)} ${y.toFixed(2)}`;
  };
  const [low, high] = [inner, outer];
  return (
    `M${at(from, high)}A${high} ${high} 0 0 1 ${at(to, high)}` +
    `L${at(to, low)}A${low} ${low} 0 0 0 ${at(from, low)}Z`
  );
}

/** A slice of the face from one angle clockwise to another. */
export function slice(from: number, to: number, radius: number): string {
  const start = pointAt(from, radius);
  const end = pointAt(to, radius);
  const large = to - from > 180 ? 1 : 0;
  return `M0 0L${start.x} ${start.y}A${radius} ${radius} 0 ${large} 1 ${end.x} ${end.y}Z`;
}

/** The direction of a point seen from the middle, in degrees clockwise from the twelve. */
export function degreesTo(point: Point): number {
  const degrees = (Math.atan2(point.x, -point.y) * 180) / Math.PI;
  return (degrees + 360) % 360;
}

/** Marks the long hand moves from one mark to the one nearest to an angle, the shorter way round. */
export function marksMoved(fromDegrees: number, toDegrees: number): number {
  const marks = Math.round((toDegrees - fromDegrees) / 6);
  return ((((marks + 30) % 60) + 60) % 60) - 30;
}

/** An arc round the middle from one angle to another, either way round; a whole turn ends a hair before it. */
export function arc(from: number, to: number, radius: number): string {
  const start = pointAt(from, radius);
  const end = pointAt(Math.abs(to - from) < 360 ? to : to - 0.1, radius);
  const large = Math.abs(to - from) > 180 ? 1 : 0;
  return `M${start.x} ${start.y}A${radius} ${radius} 0 ${large} ${to > from ? 1 : 0} ${end.x} ${end.y}`;
}

/** A line from the middle to a radius. */
export function ray(degrees: number, radius: number): string {
  const end = pointAt(degrees, radius);
  return `M0 0L${end.x} ${end.y}`;
}

/** Degrees of a minute on the dial. */
export const degreesOf = (minute: number): number => minute * 6;
