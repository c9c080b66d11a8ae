import type { Moment, Sheet, Variants } from '../core/sheet/index.ts'
import type { NextOverhaul } from '../core/wear/next.ts'
import type { Verdict } from '../core/verdict.ts'

/** What the server answers, as the screens read it. */
export interface YardMachine {
  tag: string
  name: string
  line: string
  family: string
  hoursRun: number
  hoursSince: number
  lastOverhaulAt: string | null
  openJob: { id: string; number: number } | null
  worst: { check: string; verdict: Verdict; share: number | null } | null
  next: NextOverhaul
}

export interface YardArea {
  id: string
  name: string
  machines: YardMachine[]
}

export interface MachineAnswer {
  equipment: { tag: string; name: string; line: string; hoursRun: number; variants: Variants }
  sheet: Sheet
  readings: {
    checkId: string
    moment: Moment
    value: number
    verdict: Verdict
    share: number | null
    takenAt: string
    number: number
    hours: number
  }[]
  fitted: { partRef: string; asNew: boolean; fittedAt: string; number: number }[]
  past: { id: string; number: number; complaint: string; openedAt: string; signedAt: string; hoursAtOpen: number }[]
}

export interface OpenJob {
  id: string
  number: number
  tag: string
  name: string
  complaint: string
  openedAt: string
  entries: number
}
