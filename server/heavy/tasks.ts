import { recordOf, type AnyEntry } from '../../core/job/index.ts'
import { planFor, type ShelfSheet, type Variants } from '../../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { answerSum, type Answered } from '../../shared/sums.ts'
import type { Fonts } from '../reports/fonts.ts'
import { recordPdf, type Machine } from '../reports/record-pdf.ts'

/** Tells how much of the work is done, from 0 to 1. */
export type Tell = (share: number) => void

/** Everything a record is made from. */
export interface RecordWork {
  sheet: ShelfSheet
  variants: Variants
  entries: AnyEntry[]
  names: [id: string, name: string][]
  lengths: 'mm' | 'inch'
  number: number
  machine: Machine
}

/** Work that takes long enough to hold everybody else up: what a worker thread can be asked for. */
export const TASKS = {
  async record({ sheet, variants, entries, names, lengths, number, machine }: RecordWork, fonts: Fonts, tell: Tell) {
    const record = recordOf(planFor(sheet, variants, SUMS_BY_NAME), entries, new Map(names), lengths)
    return Uint8Array.from(await recordPdf({ record, number, machine }, fonts, tell))
  },
  async sum({ name, body }: { name: string; body: unknown }, _: Fonts, tell: Tell): Promise<Answered> {
    return answerSum(name, body, { tell })
  },
}
export type Tasks = typeof TASKS
