import workerpool from 'workerpool'
import type { ShelfSheet } from '../core/sheet/index.ts'
import { workThrough, type Crew, type Done } from './overhaul.ts'
import { FLEET } from './thornmere.ts'

/** A worker thread that works through one overhaul of the demo's fleet at a time. */

/** What is asked of it: which overhaul of which machine, by which sheet and by whom, and when the demo is loaded. */
export interface Asked {
  tag: string
  overhaul: number
  sheet: ShelfSheet
  crew: Crew
  /** How many overhauls of the fleet go before it. */
  nth: number
  now: number
}

workerpool.worker({
  work: ({ tag, overhaul, sheet, crew, nth, now }: Asked): Promise<Done> => {
    const machine = FLEET.find(one => one.tag === tag)!
    const one = machine.overhauls[overhaul]!
    return workThrough(machine, one, sheet, crew, nth, now).catch((error: Error) => {
      throw new Error(`${tag}, ${one.on}: ${error.message}`)
    })
  },
})
