import { describe, expect, it } from 'vitest'
import { entryOf } from '../../../tests/pump.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import {
  codesFor,
  drawnFor,
  entryWords,
  hasArrived,
  lastAct,
  lineOf,
  notedName,
  photosMissing,
  photosOn,
  recordOf,
  recordTables,
  refusalOf,
} from '../index.ts'

const SUM = 'a1'.repeat(32)
const OTHER = 'b2'.repeat(32)
const face = { what: 'look', id: 'seal-faces', part: 'rotating-face' } as const
const part = { what: 'part', id: 'rotating-face' } as const
const picture = { photo: 'one', sha256: SUM, width: 1600, height: 1200 }
const arrow = { is: 'arrow', x: 0.1, y: 0.1, toX: 0.4, toY: 0.5 } as const

const bench = () => worker(librarySheet('m14-axially-split-pump'))
type Bench = ReturnType<typeof bench>
const codeOf = (one: Bench, kind: 'photo.added' | 'photo.drawn', payload: object) =>
  refusalOf(one.opened, one.folded, entryOf(kind, payload as never, { role: 'fitter' }))?.code

describe('a photograph', () => {
  it('is on what it is of; one of a look at a part is of that part, too', () => {
    const one = bench()
    one.act('photo.added', { ...picture, on: face, words: 'Heat checks' })
    one.act('photo.added', { ...picture, photo: 'two', sha256: OTHER })
    const { state } = one.folded
    expect(photosOn(state, face)).toMatchObject([{ sha256: SUM, words: 'Heat checks' }])
    expect(photosOn(state, part)).toHaveLength(1)
    expect(photosOn(state, { what: 'part', id: 'shaft' })).toEqual([])
    expect(photosOn(state, null)).toMatchObject([{ sha256: OTHER }])
  })
  it('of a finding is beside the look, and told by the finding on the record', () => {
    const one = bench()
    const on = { ...face, finding: codesFor(one.plan, face.part, face.id).codes[0]!.id }
    one.act('photo.added', { ...picture, on })
    expect(photosOn(one.folded.state, face)).toHaveLength(1)
    expect(photosOn(one.folded.state, part)).toHaveLength(1)
    expect(recordOf(one.plan, one.folded.entries, new Map()).photos[0]!.on).toBe(notedName(one.plan, on))
    // The same picture may show two findings, and no finding twice.
    const again = { ...picture, photo: 'two' }
    expect(codeOf(one, 'photo.added', { ...again, on })).toBe('photo.taken')
    expect(codeOf(one, 'photo.added', { ...again, on: face })).toBeUndefined()
    const moon = entryOf('photo.added', { ...again, on: { ...on, finding: 'moon' } } as never, { role: 'fitter' })
    const refused = refusalOf(one.opened, one.folded, moon)
    expect(refused).toMatchObject({ code: 'sheet.unknown', values: { what: 'finding', id: 'moon' } })
  })
  it('has not arrived until the server says so, also once the job is signed', () => {
    const one = bench()
    one.act('photo.added', { ...picture, on: face })
    expect(photosMissing(one.folded.state)).toHaveLength(1)
    const table = () =>
      recordTables(recordOf(one.plan, one.folded.entries, new Map())).find(each => each.title === 'Photographs')!
    expect(table().rows[0]![0]!.picture).toMatchObject({ isHere: false, sha256: SUM })
    expect(table().rows[0]![1]!.small!.join()).toContain('Not arrived')
    one.act('job.cancelled', { why: 'Wrong machine' })
    expect(codeOf(one, 'photo.added', { ...picture, photo: 'two', sha256: OTHER })).toBe('ledger.closed')
    one.act('photo.arrived', { sha256: SUM })
    expect(hasArrived(one.folded.state, picture)).toBe(true)
    expect(table().rows[0]![1]!.small!.join()).not.toContain('Not arrived')
    expect(one.folded.state.flags).toEqual([])
  })
  it('is drawn on: the newest stands, the picture stays, and a line that is corrected takes nothing from it', () => {
    const one = bench()
    const photo = 'one'
    const { id } = one.act('photo.added', { ...picture, on: face, words: 'Hete checks' })
    one.act('photo.drawn', { photo, shapes: [arrow] })
    one.act('photo.drawn', { photo, shapes: [arrow, { is: 'word', x: 0.5, y: 0.5, text: 'here' }] })
    expect(lineOf(one.folded.state, { photo })).toBe('')
    one.act('photo.drawn', { photo, shapes: [arrow, { is: 'word', x: 0.5, y: 0.5, text: 'here' }], words: 'Blue rim' })
    expect(lineOf(one.folded.state, { photo, words: 'Hete checks' })).toBe('Blue rim')
    one.act('entry.corrected', {
      target: id,
      why: 'Spelling',
      replacement: { ...picture, on: face, words: 'Heat checks' },
    })
    const [kept] = photosOn(one.folded.state, face)
    expect(kept).toMatchObject({ words: 'Heat checks', photo })
    expect(drawnFor(one.folded.state, kept!)).toHaveLength(2)
    expect(one.folded.state.flags).toEqual([])
  })
  it('is what is taken back, not that its file arrived', () => {
    const one = bench()
    const { id, madeBy } = one.act('photo.added', picture)
    one.act('photo.arrived', { sha256: SUM })
    expect(lastAct(one.folded.entries, madeBy).map(each => each.id)).toEqual([id])
    one.act('entry.corrected', { target: id, why: 'Blurred' })
    expect(one.folded.state.photos).toEqual([])
    expect(one.folded.state.flags).toEqual([])
  })
  it('is taken out by whoever took it, or a lead, drawn on or not; and it comes back', () => {
    const one = bench()
    const { madeBy } = one.act('photo.added', picture)
    one.act('photo.drawn', { photo: 'one', shapes: [arrow] })
    const out = { photo: 'one', why: 'A face is on it' }
    const by = (who: { madeBy?: string; role?: 'fitter' | 'lead' }) =>
      refusalOf(one.opened, one.folded, entryOf('photo.removed', out, who))?.code
    expect(by({ madeBy: 'brisco', role: 'fitter' })).toBe('photo.others')
    expect(by({ madeBy: 'hallam', role: 'lead' })).toBeUndefined()
    expect(by({ madeBy, role: 'fitter' })).toBeUndefined()
    const { id } = one.act('photo.removed', out)
    expect(one.folded.state.photos).toEqual([])
    expect(codeOf(one, 'photo.added', picture)).toBeUndefined()
    one.act('entry.corrected', { target: id, why: 'It was the hand' })
    expect(one.folded.state.photos).toMatchObject([{ photo: 'one' }])
    expect(drawnFor(one.folded.state, { photo: 'one' })).toEqual([arrow])
  })
  it('is refused in words where it is none, is there already, or is of nothing the sheet has', () => {
    const one = bench()
    const photo = 'one'
    one.act('photo.added', { ...picture, on: face })
    for (const sha256 of ['x', SUM.toUpperCase(), `${SUM}0`, '../../etc/passwd'])
      expect(codeOf(one, 'photo.added', { ...picture, sha256 })).toBe('photo.sum')
    expect(codeOf(one, 'photo.added', { ...picture, photo: 'two', on: face })).toBe('photo.taken')
    expect(codeOf(one, 'photo.added', { ...picture, sha256: OTHER })).toBe('photo.taken')
    expect(codeOf(one, 'photo.added', { ...picture, photo: 'two', on: part })).toBeUndefined()
    expect(codeOf(one, 'photo.added', { ...picture, on: { what: 'part', id: 'moon' } })).toBe('sheet.unknown')
    expect(codeOf(one, 'photo.added', { ...picture, on: { ...face, part: 'moon' } })).toBe('sheet.unknown')
    expect(codeOf(one, 'photo.drawn', { photo: 'another', shapes: [arrow] })).toBe('photo.none')
    for (const shape of [
      { is: 'word', x: 0, y: 0, text: ' ' },
      { is: 'circle', x: 0.2, y: 0.2 },
    ])
      expect(codeOf(one, 'photo.drawn', { photo, shapes: [shape] })).toBe('photo.odd')
  })
  it('says in the ledger what it is of', () => {
    const one = bench()
    expect(entryWords(one.plan, one.act('photo.added', { ...picture, on: face, words: 'Heat checks' }))).toMatch(
      /^Photograph of rotating face: .+: Heat checks$/,
    )
    expect(entryWords(one.plan, one.act('photo.added', picture))).toBe('Photograph of the job')
  })
  it('is one of four hundred at the most', () => {
    const one = bench()
    for (let n = 0; n < 400; n++)
      one.act('photo.added', { ...picture, photo: `p${n}`, sha256: n.toString(16).padStart(64, '0') })
    expect(codeOf(one, 'photo.added', picture)).toBe('photo.tooMany')
  })
})
