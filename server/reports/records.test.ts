import sharp from 'sharp'
import { extractText, getDocumentProxy } from 'unpdf'
import { expect, it } from 'vitest'
import { sectionAsSvg, sectionOf } from '../../core/section/index.ts'
import { recordOf, recordTables } from '../../core/job/index.ts'
import { atTheGap } from '../../tests/measuring/index.ts'
import { bare, fonts, pdfOf, printed, printedPages } from '../../tests/printing.ts'
import { technician } from '../../tests/pump.ts'
import { recordsOf } from '../../tests/records.ts'
import { recordPdf } from './record-pdf.ts'

/** The size of every picture in a PDF, pixels. */
const picturesIn = (pdf: Uint8Array) =>
  [
    ...Buffer.from(pdf)
      .toString('latin1')
      .matchAll(/\/Subtype \/Image[^>]*?\/Width (\d+)[^>]*?\/Height (\d+)/g),
  ].map(found => found.slice(1).map(Number))

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
  const { signed } = recordsOf('m2-lever-hoist').next().value!
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

it('no page ends with a heading alone', async () => {
  const { signed } = recordsOf('m3-cycloidal-reducer').next().value!
  const note = (i: number) => ({
    text: `Note ${i}`,
    ...{ on: '', who: 'R. Okell', role: 'fitter' as const, when: '', clock: '' as const },
  })
  for (const n of [6, 18, 27]) {
    const record = { ...signed, notes: Array.from({ length: n }, (_, i) => note(i)) }
    const pages = await printedPages(record)
    const titles = recordTables(record).map(one => bare(one.title))
    for (const page of pages) {
      const [body] = bare(page).split(/T-1,job7\d+of\d+$/)
      expect(
        titles.filter(title => body!.endsWith(title)),
        `${n} notes`,
      ).toEqual([])
    }
  }
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
