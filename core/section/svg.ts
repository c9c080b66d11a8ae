import type { Shape, Tone } from './profile.ts'
import type { DrawnPart, Section } from './section.ts'

/** A path through points, as SVG writes it; closed where it is a body. */
export function pathOf(shape: Shape): string {
  if ('at' in shape) {
    const [[x, y], r] = [shape.at, shape.radius]
    return `M${fine(x - r)} ${fine(y)}a${fine(r)} ${fine(r)} 0 1 0 ${fine(2 * r)} 0a${fine(r)} ${fine(r)} 0 1 0 ${fine(-2 * r)} 0z`
  }
  const way = shape.points.map(([x, y]) => `${fine(x)} ${fine(y)}`).join('L')
  return `M${way}${shape.is === 'line' ? '' : 'z'}`
}
const fine = (figure: number) => Number(figure.toFixed(1))

/** What is drawn of a part as paths, in its order; lines that follow one another are one path. */
export function pathsOf(shapes: readonly Shape[]): { is: Shape['is']; d: string }[] {
  const paths: { is: Shape['is']; d: string }[] = []
  for (const shape of shapes) {
    const last = paths.at(-1)
    if (last && last.is === 'line' && shape.is === 'line') last.d += pathOf(shape)
    else paths.push({ is: shape.is, d: pathOf(shape) })
  }
  return paths
}

/** Ink on paper: filled by what it is made of. */
const FILLS = { plain: '#e9eeec', grey: '#d5dcda', blue: '#c3d0e6' } as const

const fillOf = (is: Shape['is'], tone: Tone) =>
  is === 'line' ? 'none' : is === 'soft' || is === 'soft round' ? '#5a6764' : FILLS[tone]

const partOnPaper = ({ shapes, tone }: DrawnPart): string =>
  pathsOf(shapes)
    .map(
      ({ is, d }) =>
        `<path d="${d}" fill="${fillOf(is, tone)}" stroke="#3c4a47" stroke-width="${is === 'line' ? 0.6 : 0.9}"/>`,
    )
    .join('')

/** The section as it is printed, without words: everything as it stands when the machine is whole. */
export function sectionAsSvg({ width, height, parts, row, lines, left, right }: Section): string {
  const axes = lines
    .map(
      line =>
        `<path d="M${left} ${fine(line.centre)}H${right}" stroke="#1f3a68" stroke-width="0.7" stroke-dasharray="14 3 3 3" fill="none"/>`,
    )
    .join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${[...parts, ...row].map(partOnPaper).join('')}${axes}</svg>`
}
