import type { LengthSystem } from '../../quantity/index.ts'
import type { DrawnShape, PictureSize } from '../../photos/index.ts'
import type { Verdict } from '../../verdict.ts'
import type { Scene } from '../owed/owing.ts'
import type { AnyEntry } from './entry.ts'
import type { Role } from './roles.ts'
import type { Contested } from './seen.ts'
import type { Stamp } from './state.ts'

/** Who did something, in which role and when; `clock` says where the time they gave is not the one shown. */
export interface Signed {
  who: string
  role: Role | ''
  when: string
  clock: '' | 'late' | 'ahead'
}

/** What the record is made from: the job, its whole ledger, and words for who did what. */
export interface RecordScene extends Scene {
  entries: readonly AnyEntry[]
  byId: ReadonlyMap<string, AnyEntry>
  system: LengthSystem
  who: (person: string) => string
  by: (stamp: Stamp | null | undefined) => Signed
  byEntry: (entry: AnyEntry) => Signed
  /** One line on an entry. */
  words: (entry: AnyEntry | undefined) => string
  /** What others said of the same thing, none of them having seen the others: how, and who. */
  unseen: <T extends Stamp>(said: Contested<T>, words: (said: T) => string) => string[]
}

/** A photograph as the record shows it. */
export interface Pictured extends PictureSize {
  sha256: string
  shapes: readonly DrawnShape[]
  isHere: boolean
}

/** One cell of a table of the record: what stands in it, and small print under it. */
export interface Cell {
  text?: string
  small?: string[]
  figures?: true
  verdict?: Verdict
  /** Where it is on the clock: from, clockwise, to, in degrees; at one place where both are the same. */
  arcs?: readonly (readonly [number, number])[]
  /** A photograph, with what is drawn on it; its file may still be on its way. */
  picture?: Pictured
  by?: Signed
  /** Long detail: folded on a screen, printed in full. */
  lines?: string[]
}

/** Parts of a record, in their order: what was decided, what was done, what was put right or late, and how it went step by step. */
export const RECORD_PARTS = ['decisions', 'work', 'remarks', 'course'] as const

/** A table of the record as data: its rows, and its columns, each with the cell it makes of a row. */
export interface Section<R> {
  title: string
  in: (typeof RECORD_PARTS)[number]
  rows: (scene: RecordScene) => R[]
  /** Widths are shares of the table. */
  columns: { head: string; width: number; cell: (row: R) => Cell }[]
}

export const section = <R>(table: Section<R>): Section<R> => table
export const text = (words: string): Cell => ({ text: words })
export const figures = (words: string): Cell => ({ text: words, figures: true })
export const by = <R extends Signed>() => ({ head: 'By', width: 3, cell: (row: R): Cell => ({ by: row }) })
