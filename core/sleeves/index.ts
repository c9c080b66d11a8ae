export { stripReading, stripScaleClearanceMm, type StripReading } from './strip.ts'
