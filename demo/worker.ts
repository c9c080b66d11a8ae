import workerpool from 'workerpool'
import { librarySheets } from '../server/db/library.ts'
import { workThrough, type Crew, type Done } from './overhaul.ts'
import { FLEET, sheetOf } from './thornmere.ts'

/** A worker thread that works through one overhaul of the demo's fleet at a time. */

const SHEETS = new Map(librarySheets().map(one => [one.id, one]))

/** What is asked of it: which overhaul of which machine, by whom, and when the demo is loaded. */
export interface Asked {
  tag: string
  overhaul: number
  crew: Crew
  /** How many overhauls of the fleet go before it. */
  nth: number
  now: number
}

workerpool.worker({
  work: ({ tag, overhaul, crew, nth, now }: Asked): Promise<Done> => {
    const machine = FLEET.find(one => one.tag === tag)!
    const one = machine.overhauls[overhaul]!
    return workThrough(machine, one, SHEETS.get(sheetOf(machine))!, crew, nth, now).catch((error: Error) => {
      throw new Error(`${tag}, ${one.on}: ${error.message}`)
    })
  },
})
