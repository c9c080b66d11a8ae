/** What may stand in the name of a file on every system: letters and figures of any script, and these signs between them. */
const ELSE = /[^\p{L}\p{N}._-]+/gu

/** Words as a part of a file's name: “P-1"x” becomes “P-1-x”, “../x” becomes “x”. */
const inName = (words: string) =>
  words
    .normalize('NFC')
    .replace(ELSE, '-')
    .replace(/\.{2,}/g, '.')
    .replace(/^[.-]+|[.-]+$/g, '')

/** What can be had of a job on paper: all of it, or what it failed of. */
export const REPORTS = ['record', 'failure'] as const
export type Report = (typeof REPORTS)[number]

/**
 * The name of the file that a report of a job is saved as.
 * @param part which part of it and of how many, where it is a long one
 */
export const reportFileName = (report: Report, tag: string, job: number, part?: { n: number; of: number }): string =>
  [report, inName(tag), String(job), ...(part && part.of > 1 ? [`part-${part.n}-of-${part.of}`] : [])]
    .filter(Boolean)
    .join('-') + '.pdf'

/** A header that has a file saved under a name, in letters that every browser reads (RFC 6266, RFC 8187). */
export function savedAs(name: string): string {
  const plain = name.replace(/[^\x20-\x7e]+/g, '_')
  const coded = encodeURIComponent(name).replace(/['()*]/g, sign => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`)
  return `attachment; filename="${plain}"; filename*=UTF-8''${coded}`
}
