export { mountingTemperature, type Mounting, type MountingTemperature } from './mounting.ts'
