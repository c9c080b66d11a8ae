import {
  causeStep,
  failureTables,
  fold,
  groupDials,
  planIn,
  recordOf,
  recordParts,
  recordTables,
  type AnyEntry,
  type RecordTable,
} from '../../core/job/index.ts'
import { sectionAsSvg, sectionOf } from '../../core/section/index.ts'
import { planFor, type ShelfSheet, type Variants } from '../../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import type { Report } from '../../shared/file-names.ts'
import { answerSum, type Answered } from '../../shared/sums.ts'
import type { Fonts } from '../reports/fonts.ts'
import { cleanPicture, type CleanPicture, type PictureFault } from './pictures.ts'
import { recordPdf, type Machine } from '../reports/record-pdf.ts'

/** Tells how much of the work is done, from 0 to 1. */
export type Tell = (share: number) => void

/** Everything a record is made from. */
export interface RecordWork {
  report: Report
  sheet: ShelfSheet
  variants: Variants
  entries: AnyEntry[]
  names: [id: string, name: string][]
  lengths: 'mm' | 'inch'
  number: number
  machine: Machine
  /** Files of photographs, by their SHA-256. */
  pictures: [sha256: string, jpeg: Uint8Array][]
  /** Which part of it, from 1. */
  part: number
}

/** A part of a report, or none where it has not so many; none at all where the job has no such report. */
export interface MadeRecord {
  pdf: Uint8Array | null
  parts: number
}

/** Of all files those that a part shows. */
function ofPart(tables: readonly RecordTable[], pictures: RecordWork['pictures']) {
  const shown = new Set(tables.flatMap(({ rows }) => rows.flat().map(({ picture }) => picture?.sha256)))
  return new Map(pictures.filter(([sum]) => shown.has(sum)))
}

/** Work that takes long enough to hold everybody else up: what a worker thread can be asked for. */
export const TASKS = {
  async record(given: RecordWork, fonts: Fonts, tell: Tell): Promise<MadeRecord> {
    const { report, sheet, variants, entries, names, lengths, number, machine, part, pictures } = given
    const opened = planFor(sheet, variants, SUMS_BY_NAME)
    const state = fold(opened, entries)
    const plan = planIn(opened, state)
    const isFailure = report === 'failure'
    if (isFailure && !causeStep(plan)) return { pdf: null, parts: 0 }
    const record = recordOf(opened, entries, new Map(names), lengths, state)
    const parts = recordParts(isFailure ? failureTables(record) : recordTables(record))
    const tables = parts[part - 1]
    if (!tables) return { pdf: null, parts: parts.length }
    const first = part === 1 && {
      drawing: sectionAsSvg(sectionOf(opened, { width: 1080, height: 196 })),
      dials: isFailure ? groupDials(plan, state) : [],
    }
    const made = await recordPdf(
      {
        ...{ report, record, tables, part, parts: parts.length, number, machine },
        pictures: ofPart(tables, pictures),
        ...first,
      },
      fonts,
      tell,
    )
    return { pdf: Uint8Array.from(made), parts: parts.length }
  },
  async sum({ name, body }: { name: string; body: unknown }, _: Fonts, tell: Tell): Promise<Answered> {
    return answerSum(name, body, { tell })
  },
  async picture({ bytes }: { bytes: Uint8Array }): Promise<CleanPicture | PictureFault> {
    return cleanPicture(bytes)
  },
}
export type Tasks = typeof TASKS
