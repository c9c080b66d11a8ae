import { dialAsSvg, dialHours, drawnRings, POSITIONS_DIAL, positionsAsSvg } from '../../core/marks/index.ts'
import { drawnAsSvg, drawnOn } from '../../core/photos/index.ts'
import { VERDICT_WORDS } from '../../core/verdict.ts'
import dayjs from 'dayjs'
import pdfmake from 'pdfmake'
import { FONT_FILES, FONTS, runsOf, type Fonts } from './fonts.ts'
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { GroupDial, JobRecord, Pictured, RecordTable, Signed } from '../../core/job/index.ts'
import type { Report } from '../../shared/file-names.ts'

export interface Machine {
  tag: string
  name: string
  line: string
}

export interface RecordSheet {
  report: Report
  record: JobRecord
  /** The tables of this part of it. */
  tables: RecordTable[]
  /** Which part it is, from 1, and of how many. */
  part: number
  parts: number
  number: number
  machine: Machine
  /** Files of photographs as they go to paper, by their SHA-256; JPEG. */
  pictures: ReadonlyMap<string, Uint8Array>
  /** The machine in section, as SVG without words. */
  drawing?: string
  /** Where on each group everything lay. */
  dials?: GroupDial[]
}

/** What stands over each report, and in the name of its file. */
const TITLES: Record<Report, string> = { record: 'Overhaul record', failure: 'Failure report' }

/** The package's own files in memory; its types leave them out. */
const { virtualfs } = pdfmake as unknown as { virtualfs: { writeFileSync: (name: string, bytes: Buffer) => void } }

/** What is told of every line that is drawn between two rows. */
type Lines = (row: number, node: { table: { body: unknown[] } }) => number

/** Fonts are given, nothing comes from disk or network. `drawn` hears of every row as it is laid out. */
function prepare(fonts: Fonts, drawn: () => void): void {
  for (const file of Object.values(FONT_FILES)) virtualfs.writeFileSync(file, Buffer.from(fonts[file]!))
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy(() => false)
  const rules = (first: Lines) => ({
    hLineWidth: ((row, node) => {
      drawn()
      return first(row, node)
    }) satisfies Lines,
    vLineWidth: () => 0,
    hLineColor: () => '#8d9996',
    paddingTop: () => 2,
    paddingBottom: () => 2,
  })
  pdfmake.setTableLayouts({
    rules: rules(row => (row === 0 ? 0 : row < 3 ? 0.8 : 0.3)),
    more: rules(row => (row === 0 ? 0 : 0.3)),
  })
  pdfmake.setFonts(FONTS)
}

/** Site time: the server stands on the site. */
const dateTime = (iso: string) => (iso ? dayjs(iso).format('D MMM YYYY, HH:mm') : '')
const signature = ({ who, role, when, clock }: Signed) =>
  [who && (role ? `${who}, ${role}` : who), dateTime(when), clock && `clock: ${clock}`].filter(Boolean).join('\n')

type CellOf = RecordTable['rows'][number][number]

/** The most room a photograph takes on paper, points. */
const [PICTURE_WIDE, PICTURE_HIGH] = [230, 170]

/** A photograph with what is drawn on it, or that its file is not here. */
function pictureOn({ sha256, width, height, shapes, isHere }: Pictured, pictures: RecordSheet['pictures']): Content[] {
  if (!isHere || !pictures.has(sha256)) return [{ text: 'Not arrived', bold: true }]
  const scale = Math.min(PICTURE_WIDE / width, PICTURE_HIGH / height)
  const size = { width: width * scale, height: height * scale }
  const { letters, layers, words } = drawnOn(shapes, { width, height })
  const [under, over] = layers
  const fontSize = letters * scale
  // A word stands on its line, and is dark under light like the rest.
  const set = (one: (typeof words)[number], color: string, by: number): Content => ({
    ...{ text: runsOf(one.text), fontSize, color, bold: true },
    relativePosition: { x: one.x * scale + by, y: one.y * scale + by - size.height - fontSize },
  })
  return [
    { image: sha256, fit: [size.width, size.height] },
    ...(shapes.length
      ? [{ svg: drawnAsSvg(shapes, { width, height }), ...size, relativePosition: { x: 0, y: -size.height } }]
      : []),
    ...words.flatMap(one => [set(one, under!.colour, (over!.thick * scale) / 2), set(one, over!.colour, 0)]),
  ]
}

/** So many lines of a working stand one under the other; of a whole commutator they run on. */
const MOST_LINES = 24
const inShort = (lines: readonly string[]) => (lines.length > MOST_LINES ? [lines.join('; ')] : lines)

function cell(
  { text, small, figures, verdict, arcs, picture, by, lines }: CellOf,
  pictures: RecordSheet['pictures'],
): TableCell {
  const stack = [
    ...(picture ? pictureOn(picture, pictures) : []),
    ...(verdict ? [{ text: VERDICT_WORDS[verdict], bold: true }] : []),
    ...(text ? [figures ? { text: runsOf(text, 'Figures'), fontSize: 7.5 } : { text: runsOf(text) }] : []),
    ...(arcs ? [{ svg: dialAsSvg(arcs), width: 34 }] : []),
    ...(small ?? []).map(words => ({ text: runsOf(words), fontSize: 7.5, color: '#44504d' })),
    ...(by ? [{ text: runsOf(signature(by)), fontSize: 7.5, color: '#44504d' }] : []),
    ...inShort(lines ?? []).map(line => ({ text: runsOf(line, 'Figures'), fontSize: 6.5 })),
  ]
  return { stack } as TableCell
}

/** Gives the first line of words in a row a name: of what is kept together, only that is told the page it came to. */
function nameRow(row: TableCell[], id: string): void {
  const words = row.flatMap(one => (one as { stack: object[] }).stack).find(one => 'text' in one)
  if (words) Object.assign(words, { id })
}

/** A4 between its margins, less what pdfmake pads every column with. */
const widths = (columns: RecordTable['columns']) => {
  const room = 523 - columns.length * 8
  const shares = columns.reduce((sum, one) => sum + one.width, 0)
  return columns.map(one => (room * one.width) / shares)
}

/** So many rows of a table stay together at its end, and as many beside its heading: no page begins or ends with a lone row. */
const TOGETHER = 3

/** About as many letters go on a line as wide as the page, and a line is about so high, points; what stands together is no higher than this. */
const [LETTERS, LINE, HIGH] = [115, 12, 500]

/** Whether rows are low enough to be kept on one page: what is higher than a page and may not be broken would be cut off. */
function fitTogether(columns: RecordTable['columns'], rows: RecordTable['rows']): boolean {
  const all = columns.reduce((sum, one) => sum + one.width, 0)
  const lines = (words: string, width: number) => Math.ceil(words.length / ((LETTERS * width) / all))
  const heights = rows.map(row =>
    Math.max(
      ...row.map(({ text = '', small = [], lines: working = [], picture }, i) =>
        [text, ...small, ...inShort(working)].reduce(
          (sum, words) => sum + lines(words, columns[i]!.width),
          picture ? PICTURE_HIGH / LINE : 0,
        ),
      ),
    ),
  )
  return heights.reduce((sum, one) => sum + (one + 1) * LINE, 0) < HIGH
}

/** What the end of a table and the rest of it go by while they are laid out. */
const [REST, END] = ['rest', 'end']
/** Tables, by their place among all, whose end goes on to a page of its own: it is named there, too. */
type EndsOver = ReadonlySet<number>

/** Which ends went on to a page of their own, by where everything was laid. */
function endsOver(laid: ReadonlyMap<string, readonly number[]>): EndsOver {
  const over = [...laid].flatMap(([id, [first]]) => {
    const [what, at] = id.split(' ')
    return what === END && first! > laid.get(`${REST} ${at}`)!.at(-1)! ? [Number(at)] : []
  })
  return new Set(over)
}

function tableOf(
  { title, columns, rows }: RecordTable,
  pictures: RecordSheet['pictures'],
  at: number,
  over: EndsOver,
): Content[] {
  // Named in its own first row, and again on every page it goes on to: no page ends with a name alone.
  const head = (): TableCell[][] => [
    columns.map((_, i) =>
      i ? '' : { text: title, style: 'heading', colSpan: columns.length, margin: [-4, 12, 0, 4] },
    ),
    columns.map(one => ({ text: one.head, bold: true, fontSize: 8 })),
  ]
  const body = rows.map(row => row.map(one => cell(one, pictures)))
  const part = (some: TableCell[][], headed: boolean): Content => ({
    layout: headed ? 'rules' : 'more',
    table: {
      headerRows: headed ? 2 : 0,
      // What is higher than a page goes on on the next one: kept together it would be cut off.
      dontBreakRows: rows.every(row => fitTogether(columns, [row])),
      keepWithHeaderRows: headed ? (fitTogether(columns, rows.slice(0, TOGETHER)) ? TOGETHER : 1) : 0,
      widths: widths(columns),
      body: headed ? [...head(), ...some] : some,
    },
  })
  if (!fitTogether(columns, rows.slice(-2 * TOGETHER))) return [part(body, true)]
  if (body.length <= 2 * TOGETHER) return [{ unbreakable: true, stack: [part(body, true)] }]
  const end = body.slice(-TOGETHER)
  nameRow(end[0]!, `${END} ${at}`)
  return [
    // Any node may have an id, though the types give it to texts alone.
    { id: `${REST} ${at}`, stack: [part(body.slice(0, -TOGETHER), true)] } as Content,
    { unbreakable: true, stack: [part(end, over.has(at))] },
  ]
}

/** All tables, one after the other; a short last one goes with the end of the table before it. */
function tablesOf(tables: readonly RecordTable[], pictures: RecordSheet['pictures'], over: EndsOver): Content[] {
  const blocks = tables.flatMap((one, at) => tableOf(one, pictures, at, over))
  const last = tables.at(-1)
  const before = tables.at(-2)
  const isLow = [before, last].every(one => one && fitTogether(one.columns, one.rows.slice(-2 * TOGETHER)))
  if (!last || last.rows.length >= TOGETHER || blocks.length < 2 || !isLow) return blocks
  return [...blocks.slice(0, -2), { unbreakable: true, stack: blocks.slice(-2) }]
}

/** How wide a large clock is on paper, points; what lies on it is told beside it, and so much of that is no higher than a page. */
const DIAL_WIDE = 230
const MOST_BESIDE = 14

/** A large clock with its hours and numbers. */
function clockOf(rings: Parameters<typeof positionsAsSvg>[0]): Content[] {
  const scale = DIAL_WIDE / POSITIONS_DIAL.side
  // A figure is a little more than half as wide as it is high, and stands in the middle of its place.
  const figure = (n: number, x: number, y: number, fontSize: number): Content => ({
    ...{ text: String(n), fontSize, bold: true },
    relativePosition: {
      x: x * scale - String(n).length * fontSize * 0.29,
      y: y * scale - DIAL_WIDE - fontSize * 0.62,
    },
  })
  return [
    { svg: positionsAsSvg(rings), width: DIAL_WIDE, height: DIAL_WIDE },
    ...dialHours.map(({ hour, x, y }) => figure(hour, x, y, 9)),
    ...drawnRings(rings).flatMap(ring => ring.numbers.map(({ n, x, y }) => figure(n, x, y, 7))),
  ]
}

/** The clock of a group with all that lies on it, and beside it what each number is. */
const dialOf = ({ name, told, rings, placed }: GroupDial): Content => ({
  unbreakable: placed.length <= MOST_BESIDE,
  stack: [
    { text: runsOf(name), style: 'heading' },
    { text: runsOf(told), margin: [0, 0, 0, 4] },
    {
      columnGap: 14,
      columns: [
        { width: DIAL_WIDE, stack: clockOf(rings.map(one => one.positions)) },
        {
          layout: 'more',
          table: {
            widths: [16, 54, '*'],
            body: placed.map(({ n, part, what, at }) => [
              { text: String(n), bold: true },
              { text: runsOf(at, 'Figures'), fontSize: 8 },
              { stack: [{ text: runsOf(part) }, { text: runsOf(what), fontSize: 7.5, color: '#44504d' }] },
            ]),
          },
        },
      ],
    },
  ],
})

/** “, part 2 of 5”, where there are several. */
const partWords = ({ part, parts }: RecordSheet) => (parts > 1 ? `, part ${part} of ${parts}` : '')

function contents(sheet: RecordSheet, over: EndsOver): Content[] {
  const { record, tables, number, machine, drawing } = sheet
  const { signed, cancelled } = record
  return [
    { text: runsOf(`${machine.tag}  ${machine.name}`), fontSize: 18, bold: true },
    {
      text: runsOf(`${TITLES[sheet.report]}, job ${number}${partWords(sheet)}. ${record.title}. ${machine.line}.`),
      margin: [0, 2, 0, 2],
    },
    {
      text: `${record.notice} Needler records what was done; it does not certify the machine as safe.`,
      color: '#44504d',
      fontSize: 8,
    },
    { text: runsOf(`Reported: ${record.complaint || 'nothing reported'}`), margin: [0, 6, 0, 0] },
    signed
      ? {
          text: runsOf(
            `Signed by ${signed.who}, ${signed.role}, ${dateTime(signed.when)}. Complaint cured: ${signed.cured}.${signed.cause ? ` Cause: ${signed.cause}.` : ''}`,
          ),
          bold: true,
        }
      : {
          text: runsOf(
            cancelled
              ? `Cancelled by ${cancelled.who}, ${cancelled.role}, ${dateTime(cancelled.when)}: ${cancelled.why}.`
              : 'Not signed: the job is still open.',
          ),
          bold: true,
          color: '#a3262a',
        },
    ...(drawing ? [{ svg: drawing, width: 523, margin: [0, 10, 0, 0] } satisfies Content] : []),
    ...(sheet.dials ?? []).map(dialOf),
    ...tablesOf(tables, sheet.pictures, over),
  ]
}

/** So often a record is laid out at the most. */
const MOST_TRIES = 4

/** A row asks about its lines some times while it is laid out and drawn; about so many. */
const ASKED_PER_ROW = 3

/**
 * The record of a job as a PDF, A4, with who and when beside every line.
 * @param tell hears about how much is done, from 0 to 1
 */
export async function recordPdf(
  sheet: RecordSheet,
  fonts: Fonts,
  tell: (share: number) => void = () => {},
): Promise<Buffer> {
  const rows = sheet.tables.reduce((sum, table) => sum + table.rows.length + 1, 0)
  let asked = 0
  prepare(fonts, () => tell(Math.min(0.95, ++asked / (rows * ASKED_PER_ROW))))
  const definition = (over: EndsOver, laid: Map<string, readonly number[]>): TDocumentDefinitions => ({
    pageSize: 'A4',
    pageMargins: [36, 40, 36, 44],
    info: {
      title: `${TITLES[sheet.report]} ${sheet.machine.tag}, job ${sheet.number}${partWords(sheet)}`,
      producer: 'Needler',
      creator: 'Needler',
    },
    defaultStyle: { font: 'Barlow', fontSize: 9, color: '#17211f' },
    styles: { heading: { fontSize: 12, bold: true, color: '#1f3a68', margin: [0, 12, 0, 4] } },
    images: Object.fromEntries(
      [...sheet.pictures].map(([sum, bytes]) => [
        sum,
        `data:image/jpeg;base64,${Buffer.from(bytes).toString('base64')}`,
      ]),
    ),
    content: contents(sheet, over),
    pageBreakBefore: ({ id, pageNumbers }) => {
      if (id) laid.set(id, pageNumbers)
      return false
    },
    footer: (page, pages) => ({
      margin: [36, 10, 36, 0],
      columns: [
        { text: runsOf(`${sheet.machine.tag}, job ${sheet.number}${partWords(sheet)}`), fontSize: 8 },
        { text: `${page} of ${pages}`, alignment: 'right', fontSize: 8 },
      ],
    }),
  })
  // Where an end comes to lie is known once all is laid out; named, it may move what comes after it.
  let over: EndsOver = new Set<number>()
  for (let tries = 1; ; tries++) {
    const laid = new Map<string, readonly number[]>()
    const pdf = await pdfmake.createPdf(definition(over, laid)).getBuffer()
    const now = endsOver(laid)
    if (tries === MOST_TRIES || [...now].join() === [...over].join()) return pdf
    over = now
  }
}
