import { readFileSync } from 'node:fs'
import { extractText, getDocumentProxy } from 'unpdf'
import { recordTables, type JobRecord } from '../core/job/index.ts'
import { FONT_FILES, type Fonts } from '../server/reports/fonts.ts'
import { recordPdf } from '../server/reports/record-pdf.ts'

export const fonts: Fonts = Object.fromEntries(
  Object.values(FONT_FILES).map(file => [file, new Uint8Array(readFileSync(`server/assets/fonts/${file}`))]),
)

/** A record as it is printed. */
export async function pdfOf(
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

/** Every word of a record as it is printed, page by page. */
export async function printedPages(record: JobRecord, tables = recordTables(record)): Promise<string[]> {
  const { text } = await extractText(await getDocumentProxy(await pdfOf(record, tables)), { mergePages: false })
  return text
}

/** Every word of a record as it is printed. */
export const printed = async (record: JobRecord, tables = recordTables(record)): Promise<string> =>
  (await printedPages(record, tables)).join('\n')

/** Lines break where they must: texts are compared without what stands between their letters. */
export const bare = (text: string) => text.normalize('NFKC').replace(/[\s\u00ad]/g, '')
