import { boltTorqueSum } from './bolt-torque.ts'
import { preloadSum } from './preload.ts'
import { threadSum } from './thread.ts'
import { wrenchExtensionSum } from './wrench-extension.ts'
import { boltOrderSum } from './bolt-order.ts'
import { elasticInteractionSum } from './elastic-interaction.ts'
import { studStretchSum } from './stud-stretch.ts'
import { tensionerSum } from './tensioner.ts'

export const jointSums = [
  boltTorqueSum,
  preloadSum,
  threadSum,
  wrenchExtensionSum,
  boltOrderSum,
  elasticInteractionSum,
  studStretchSum,
  tensionerSum,
]
