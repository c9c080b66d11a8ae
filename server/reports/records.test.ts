import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { extractText, getDocumentProxy } from 'unpdf'
import { describe, expect, it } from 'vitest'
import { sectionAsSvg, sectionOf } from '../../core/section/index.ts'
import { recordOf, recordTables, type JobRecord, type RecordTable } from '../../core/job/index.ts'
import { atTheGap } from '../../tests/measuring/index.ts'
import { technician } from '../../tests/pump.ts'
import { recordsOf } from '../../tests/records.ts'
import { librarySheetNames } from '../../tests/sheets.ts'
import { FONT_FILES, type Fonts } from './fonts.ts'
import { recordPdf } from './record-pdf.ts'

const fonts: Fonts = Object.fromEntries(
  Object.values(FONT_FILES).map(file => [file, new Uint8Array(readFileSync(`server/assets/fonts/${file}`))]),
)

async function pdfOf(
  record: JobRecord,
  tables = recordTables(record),
  pictures: ReadonlyMap<string, Uint8Array> = new Map(),
) {
  const pdf = await recordPdf(
    {
      report: 'record',
      record,
      tables,
      part: 1,
      parts: 1,
      number: 7,
      machine: { tag: 'T-1', name: 'Test', line: 'Line 1' },
      pictures,
    },
    fonts,
  )
  return new Uint8Array(pdf)
}
/** The size of every picture in a PDF, pixels. */
const picturesIn = (pdf: Uint8Array) =>
  [
    ...Buffer.from(pdf)
      .toString('latin1')
      .matchAll(/\/Subtype \/Image[^>]*?\/Width (\d+)[^>]*?\/Height (\d+)/g),
  ].map(found => found.slice(1).map(Number))

async function printed(record: JobRecord, tables = recordTables(record)): Promise<string> {
  const { text } = await extractText(await getDocumentProxy(await pdfOf(record, tables)), { mergePages: true })
  return text
}

/** Lines break where they must: texts are compared without what stands between their letters. */
const bare = (text: string) => text.normalize('NFKC').replace(/[\s\u00ad]/g, '')

/** Columns of figures in which a row without one has no business. */
const FIGURES = /^(Value|As found|As left|Change|Pieces)$/

function wordsIn(value: unknown, found: string[] = []): string[] {
  if (typeof value === 'string') found.push(value)
  else if (value && typeof value === 'object') for (const one of Object.values(value)) wordsIn(one, found)
  return found
}

/** What no reader should see: an object, a name that is the sheet's own, a hole nobody filled, a figure that is not there. */
function faultsOf(record: JobRecord, ids: ReadonlySet<string>): string[] {
  const tables = recordTables(record)
  const odd = wordsIn({ ...record, tables }).filter(
    words =>
      /undefined|null|NaN|\[object|"by":|[{}]/.test(words) ||
      (words.match(/[\w]+(?:[-@][\w]+)+/g) ?? []).some(word => ids.has(word)),
  )
  const objects = tables.flatMap(({ title, columns, rows }) =>
    rows.flatMap(row =>
      row.flatMap((cell, i) => [
        ...([cell.text, ...(cell.small ?? []), ...(cell.lines ?? [])] as unknown[])
          .filter(words => words !== undefined && typeof words !== 'string')
          .map(words => `${title}: ${JSON.stringify(words)}`),
        ...(FIGURES.test(columns[i]!.head) && !cell.text?.trim()
          ? [`${title}: no figure under ${columns[i]!.head}`]
          : []),
      ]),
    ),
  )
  return [...odd, ...objects]
}

it('prints names and tags in other letters than ours, every one of them', async () => {
  const { signed } = recordsOf('m3-cycloidal-reducer').next().value!
  const names = ['Łukasz Żak', 'Θ. Ωμέγα', 'Ж. Щукин', 'Å. Öz', 'Ő. Űr', 'S. Ňová']
  const note = (who: string) => ({
    text: `${who}: ≥ 5 MΩ, 20 µm ± 2 °C`,
    ...{ on: '', who, role: 'fitter' as const, when: '', clock: '' as const },
  })
  const pdf = bare(await printed({ ...signed, complaint: 'Ω-1 weeps', notes: names.map(note) }))
  for (const name of names) expect(pdf).toContain(bare(`${name}: >= 5 MΩ, 20 µm ± 2 °C`))
  expect(pdf).toContain('Ω-1weeps')
})

it('prints all of what is long: nothing is cut off at the foot of a page', async () => {
  const { signed } = recordsOf('m3-cycloidal-reducer').next().value!
  const long = (i: number) => ({
    text: `long${i}. ${'the bore is worn at its lower half; '.repeat(60)} end${i}.`,
    ...{ on: '', who: 'R. Okell', role: 'fitter' as const, when: '', clock: '' as const },
  })
  for (const n of [2, 5, 6, 7]) {
    const pdf = bare(await printed({ ...signed, notes: Array.from({ length: n }, (_, i) => long(i)) }))
    for (let i = 0; i < n; i++) {
      expect(pdf, `${n}`).toContain(`long${i}.`)
      expect(pdf, `${n}`).toContain(`end${i}.`)
    }
  }
})

describe.each(librarySheetNames())('%s', name => {
  it('every machine of it has a record that can be read and printed, half done and signed', async () => {
    // What several of them say in the same words is printed once.
    const all = new Map<string, { table: RecordTable; rows: Map<string, RecordTable['rows'][number]> }>()
    let last: JobRecord | undefined
    for (const { name: variant, half, signed, ids } of recordsOf(name))
      for (const [when, record] of Object.entries({ half, signed })) {
        expect(faultsOf(record, ids), `${variant}, ${when}`).toEqual([])
        const tables = recordTables(record)
        expect(tables.length, `${variant}, ${when}`).toBeGreaterThan(5)
        for (const table of tables) {
          const known = all.get(table.title) ?? { table, rows: new Map() }
          for (const row of table.rows)
            known.rows.set(JSON.stringify(row.map(cell => ({ ...cell, by: undefined }))), row)
          all.set(table.title, known)
        }
        last = record
      }
    const tables = [...all.values()].map(({ table, rows }) => ({ ...table, rows: [...rows.values()] }))
    const pdf = bare(await printed(last!, tables))
    for (const { title, rows } of tables) {
      expect(pdf).toContain(bare(title))
      for (const { text = '', small = [] } of rows.flat())
        for (const words of [text, ...small]) expect(pdf, title).toContain(bare(words))
    }
  }, 300_000)
})

it('a way of measuring that the product does not have is printed like any other', async () => {
  const one = atTheGap()
  one.workUntil()
  one.sign('yes', 'Wear')
  const text = await printed(recordOf(one.plan, one.folded.entries, new Map()))
  for (const words of ['Gap of the hub', '0.00 mm', 'maximum 0.10 mm']) expect(bare(text)).toContain(bare(words))
})

it('has the machine in section on its first page, and no word less for it', async () => {
  const one = technician()
  one.workUntil('decide')
  const record = recordOf(one.plan, one.folded.entries, new Map())
  const { plan } = one
  const given = {
    ...{ report: 'record' as const, record, tables: recordTables(record), part: 1, parts: 1, number: 7 },
    machine: { tag: 'T-1', name: 'Test', line: 'Line 1' },
    pictures: new Map(),
  }
  const drawing = sectionAsSvg(sectionOf(plan, { width: 1080, height: 196 }))
  const [bare, drawn] = await Promise.all([recordPdf(given, fonts), recordPdf({ ...given, drawing }, fonts)])
  // Some hundred strokes more.
  expect(drawn.length).toBeGreaterThan(bare.length + 1000)
})

it('has every photograph that is here, upright and wide, with the words that are drawn on it; of the others that they are not', async () => {
  const one = technician()
  const sizes = [
    [1600, 1200],
    [900, 1600],
    [2560, 400],
  ] as const
  const pictures = new Map<string, Uint8Array>()
  for (const [n, [width, height]] of sizes.entries()) {
    const sha256 = `${n}`.repeat(64)
    one.act('photo.added', { photo: `p${n}`, sha256, width, height, words: `Line of ${n}` })
    one.act('photo.drawn', {
      photo: `p${n}`,
      shapes: [
        { is: 'arrow', x: 0.1, y: 0.1, toX: 0.5, toY: 0.5 },
        { is: 'word', x: 0.2, y: 0.2, text: `κόψη ${n}` },
      ],
      words: `Line of ${n}`,
    })
    if (n === 2) continue
    one.act('photo.arrived', { sha256 })
    pictures.set(
      sha256,
      await sharp({ create: { width: width / 4, height: height / 4, channels: 3, background: '#446688' } })
        .jpeg()
        .toBuffer(),
    )
  }
  const pdf = await pdfOf(recordOf(one.plan, one.folded.entries, new Map()), undefined, pictures)
  const found = picturesIn(pdf)
  const { text } = await extractText(await getDocumentProxy(pdf), { mergePages: true })
  for (const words of ['Line of 0', 'Line of 1', 'Line of 2', 'κόψη 0', 'κόψη 1', 'Not arrived'])
    expect(bare(text)).toContain(bare(words))
  expect(text).not.toContain('κόψη 2')
  expect(found).toEqual([
    [400, 300],
    [225, 400],
  ])
})
