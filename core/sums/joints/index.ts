import { boltTorqueSum } from './bolt-torque.ts'
import { preloadSum } from './preload.ts'
import { threadSum } from './thread.ts'
import { wrenchExtensionSum } from './wrench-extension.ts'
import { boltOrderSum } from './bolt-order.ts'
import { elasticInteractionSum } from './elastic-interaction.ts'

export const jointSums = [boltTorqueSum, preloadSum, threadSum, wrenchExtensionSum, boltOrderSum, elasticInteractionSum]
