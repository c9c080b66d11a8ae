export { profileOf, toneOf, type Box, type Point, type Rolling, type Shape, type Tone } from './profile.ts'
export { sectionOf, type DrawnPart, type Hit, type Section } from './section.ts'
export { pathOf, pathsOf, sectionAsSvg } from './svg.ts'
