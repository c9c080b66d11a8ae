/**
 * What somebody draws on a photograph to show what they mean: arrows, circles and words. Everything lies in fractions of the
 * picture, from its top left corner, so that it lies the same on a thumbnail, full screen and on paper.
 */

/** One thing drawn: an arrow from its tail to its tip, a circle from its middle to its rim, or a word where it begins. */
export interface DrawnShape {
  is: (typeof SHAPES)[number]
  /** From the left and from the top, 0 to 1. */
  x: number
  y: number
  /** The tip, or a place on the rim. */
  toX?: number
  toY?: number
  text?: string
}
export const SHAPES = ['arrow', 'circle', 'word'] as const

/** A picture's size in pixels. */
export interface PictureSize {
  width: number
  height: number
}

/** How thick lines are and how high letters, as shares of the longer side. */
const [THICK, LETTERS, HEAD] = [0.007, 0.042, 0.035]
/** Nothing is drawn so small that it cannot be seen: the shortest arrow and the smallest circle, as shares of the longer side. */
const LEAST = 0.03

/** What is drawn, ready to be put on a picture of that size: paths, and words with where they begin. */
export interface DrawnOn {
  /** Drawn one over the other, light on dark, so that it is seen on any picture. */
  layers: { colour: string; thick: number }[]
  letters: number
  paths: string[]
  words: { x: number; y: number; text: string }[]
}

const round = (n: number) => Math.round(n * 10) / 10

/** The path of an arrow: its shaft, and a head of two strokes at its tip. */
function arrowPath(fromX: number, fromY: number, tipX: number, tipY: number, head: number): string {
  const turn = Math.atan2(tipY - fromY, tipX - fromX)
  const stroke = (by: number) =>
    `M${round(tipX)} ${round(tipY)}L${round(tipX - head * Math.cos(turn + by))} ${round(tipY - head * Math.sin(turn + by))}`
  return `M${round(fromX)} ${round(fromY)}L${round(tipX)} ${round(tipY)}${stroke(0.45)}${stroke(-0.45)}`
}

const circlePath = (x: number, y: number, radius: number): string =>
  `M${round(x - radius)} ${round(y)}a${round(radius)} ${round(radius)} 0 1 0 ${round(2 * radius)} 0a${round(radius)} ${round(radius)} 0 1 0 ${round(-2 * radius)} 0`

/** Lays what was drawn on a picture of some size, in its pixels. */
export function drawnOn(shapes: readonly DrawnShape[], { width, height }: PictureSize): DrawnOn {
  const long = Math.max(width, height)
  const paths = shapes.flatMap(({ is, x, y, toX = x, toY = y }) => {
    if (is === 'word') return []
    const [fromX, fromY, endX, endY] = [x * width, y * height, toX * width, toY * height]
    return is === 'arrow'
      ? [arrowPath(fromX, fromY, endX, endY, HEAD * long)]
      : [circlePath(fromX, fromY, Math.max(LEAST * long, Math.hypot(endX - fromX, endY - fromY)))]
  })
  const words = shapes.flatMap(({ is, x, y, text = '' }) =>
    is === 'word' ? [{ x: round(x * width), y: round(y * height), text }] : [],
  )
  const thick = round(THICK * long)
  const layers = [
    { colour: '#17211f', thick: round(thick * 1.9) },
    { colour: '#ffd23f', thick },
  ]
  return { layers, letters: round(LETTERS * long), paths, words }
}

/** Whether a shape is large enough to be meant: a touch that did not move draws nothing. */
export function isMeant(
  { is, x, y, toX = x, toY = y, text = '' }: DrawnShape,
  { width, height }: PictureSize,
): boolean {
  return is === 'word'
    ? text.trim() !== ''
    : Math.hypot((toX - x) * width, (toY - y) * height) >= LEAST * Math.max(width, height)
}

/** The arrows and circles of what was drawn as SVG, for paper; words are set by whoever prints. */
export function drawnAsSvg(shapes: readonly DrawnShape[], size: PictureSize): string {
  const { layers, paths } = drawnOn(shapes, size)
  return [
    `<svg viewBox="0 0 ${size.width} ${size.height}">`,
    ...paths.flatMap(path =>
      layers.map(({ colour, thick }) => `<path d="${path}" fill="none" stroke="${colour}" stroke-width="${thick}"/>`),
    ),
    '</svg>',
  ].join('')
}
