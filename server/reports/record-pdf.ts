import pdfmake from 'pdfmake'
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { JobRecord } from '../../core/job/index.ts'

export interface RecordSheet {
  record: JobRecord
  number: number
  machine: { tag: string; name: string; line: string }
}

const FONT_FILES = {
  words: 'barlow-latin-400-normal.woff',
  bold: 'barlow-latin-600-normal.woff',
  figures: 'dm-mono-latin-400-normal.woff',
}

/** The package's own files in memory; its types leave them out. */
const { virtualfs } = pdfmake as unknown as { virtualfs: { writeFileSync: (name: string, bytes: Buffer) => void } }

let ready: Promise<void> | undefined

/** Fonts come from the build, nothing from disk or network. */
async function prepare(): Promise<void> {
  const fonts = useStorage('assets:server')
  for (const file of Object.values(FONT_FILES)) {
    const bytes = await fonts.getItemRaw(`fonts:${file}`)
    virtualfs.writeFileSync(file, Buffer.from(bytes as Uint8Array))
  }
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy(() => false)
  pdfmake.setTableLayouts({
    rules: {
      hLineWidth: (i: number) => (i < 2 ? 0.8 : 0.3),
      vLineWidth: () => 0,
      hLineColor: () => '#8d9996',
      paddingTop: () => 2,
      paddingBottom: () => 2,
    },
  })
  const { words, bold, figures } = FONT_FILES
  pdfmake.setFonts({
    Barlow: { normal: words, bold, italics: words, bolditalics: bold },
    Figures: { normal: figures, bold: figures, italics: figures, bolditalics: figures },
  })
}

const dateTime = (iso: string) => (iso ? `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC` : '')
const figures = (text: string): TableCell => ({ text, font: 'Figures', fontSize: 7.5 })
const by = ({ who, when }: { who: string; when: string }): TableCell => ({
  text: `${who}\n${dateTime(when)}`,
  fontSize: 7.5,
  color: '#44504d',
})

function section(title: string, heads: string[], widths: (string | number)[], rows: TableCell[][]): Content[] {
  if (!rows.length) return []
  return [
    { text: title, style: 'heading' },
    {
      layout: 'rules',
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths,
        body: [heads.map(text => ({ text, bold: true, fontSize: 8 })), ...rows],
      },
    },
  ]
}

function contents({ record, number, machine }: RecordSheet): Content[] {
  const { signed } = record
  return [
    { text: `${machine.tag}  ${machine.name}`, fontSize: 18, bold: true },
    { text: `Overhaul record, job ${number}. ${record.title}. ${machine.line}.`, margin: [0, 2, 0, 2] },
    {
      text: `${record.notice} Needler records what was done; it does not certify the machine as safe.`,
      color: '#44504d',
      fontSize: 8,
    },
    { text: `Reported: ${record.complaint || 'nothing reported'}`, margin: [0, 6, 0, 0] },
    signed
      ? {
          text: `Signed by ${signed.who}, ${dateTime(signed.when)}. Complaint cured: ${signed.cured}.${signed.cause ? ` Cause: ${signed.cause}.` : ''}`,
          bold: true,
        }
      : { text: 'Not signed: the job is still open.', bold: true, color: '#a3262a' },
    ...section(
      'As found and as left',
      ['Check', 'As found', 'As left', 'Change', 'Moved'],
      ['*', 70, 70, 70, 90],
      record.compared.map(one => [one.title, figures(one.found), figures(one.left), figures(one.change), one.moved]),
    ),
    ...section(
      'Readings',
      ['Check', 'Value', 'Held against', 'Verdict and working', 'Who'],
      [95, 80, 85, '*', 75],
      record.readings.map(one => [
        `${one.title}\n${one.moment}`,
        figures(one.value),
        { stack: [figures(one.limits), { text: one.source, fontSize: 7 }] as Content[] },
        {
          stack: [
            { text: one.verdict, bold: true },
            ...(one.consequence ? [one.consequence] : []),
            ...one.working.map(line => ({
              text: `${line.what}: ${line.sum} = ${line.gives}`,
              font: 'Figures',
              fontSize: 6.5,
            })),
          ],
        },
        by(one),
      ]),
    ),
    ...section(
      'Parts',
      ['Item', 'Part', 'Off', 'Kept', 'Decided', 'Went back', 'Who'],
      [24, '*', 22, 48, 70, 80, 75],
      record.parts.map(one => [
        figures(String(one.item)),
        one.name,
        figures(one.cameOff),
        one.kept,
        one.decision,
        one.wentBack,
        by(one),
      ]),
    ),
    ...section(
      'Marks',
      ['Mark', 'Where', 'Made as', 'At build', 'Who'],
      ['*', 120, 90, 55, 75],
      record.marks.map(one => [one.title, one.where, one.carrier, one.met, by(one)]),
    ),
    ...section(
      'Joints',
      ['Joint', 'Wanted', 'Last pass, N·m by bolt', 'Verdict'],
      [110, 130, '*', 45],
      record.joints.map(one => [one.title, one.wanted, figures(one.torques), one.verdict]),
    ),
    ...section(
      'Findings',
      ['Part', 'Finding', 'Where', 'Who'],
      [110, '*', 110, 75],
      record.findings.map(one => [one.part, one.finding, one.where, by(one)]),
    ),
    ...section(
      'Concessions',
      ['What', 'Why', 'Who'],
      ['*', '*', 75],
      record.concessions.map(one => [one.what, one.why, by(one)]),
    ),
    ...section(
      'Evidence lost',
      ['What', 'Why', 'Who'],
      ['*', '*', 75],
      record.lost.map(one => [one.what, one.why, by(one)]),
    ),
    ...section(
      'Corrections',
      ['What', 'Why', 'Who'],
      ['*', '*', 75],
      record.corrections.map(one => [one.what, one.why, by(one)]),
    ),
    ...section(
      'Notes',
      ['Note', 'Who'],
      ['*', 75],
      record.notes.map(one => [one.text, by(one)]),
    ),
    ...section(
      'Steps',
      ['Station', 'Step', 'Who'],
      [70, '*', 75],
      record.steps.map(one => [
        one.station,
        one.skipped ? `${one.title} (left out: ${one.skipped})` : one.title,
        by(one),
      ]),
    ),
  ]
}

/** The record of a job as a PDF, A4, with who and when beside every line. */
export async function recordPdf(sheet: RecordSheet): Promise<Buffer> {
  ready ??= prepare()
  await ready
  const definition: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [36, 40, 36, 44],
    info: { title: `Record ${sheet.machine.tag}, job ${sheet.number}`, producer: 'Needler', creator: 'Needler' },
    defaultStyle: { font: 'Barlow', fontSize: 9, color: '#17211f' },
    styles: { heading: { fontSize: 12, bold: true, color: '#1f3a68', margin: [0, 12, 0, 4] } },
    content: contents(sheet),
    footer: (page, pages) => ({
      margin: [36, 10, 36, 0],
      columns: [
        { text: `${sheet.machine.tag}, job ${sheet.number}`, fontSize: 8 },
        { text: `${page} of ${pages}`, alignment: 'right', fontSize: 8 },
      ],
    }),
  }
  return pdfmake.createPdf(definition).getBuffer()
}
