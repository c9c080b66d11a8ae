export { mixBath, waitState, type Mix, type Wait, type WaitState } from './baths.ts'
