export { mixBath, waitState, WAIT_KINDS, type Mix, type Wait, type WaitKind, type WaitState } from './baths.ts'
