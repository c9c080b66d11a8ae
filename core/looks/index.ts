export * from './codes.ts'
export { BOX, findingDrawing, pathOf, type Piece, type Ground, type DrawnAs } from './drawing.ts'
