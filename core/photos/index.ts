export { drawnAsSvg, drawnOn, isMeant, SHAPES, type DrawnOn, type DrawnShape, type PictureSize } from './drawn.ts'
