import { renderToString } from '@vue/server-renderer'
import { describe, expect, it } from 'vitest'
import { createSSRApp } from 'vue'
import { recordTables, type RecordTable as Table } from '~~/core/job'
import { recordsOf } from '~~/tests/records'
import { librarySheetNames } from '~~/tests/sheets'
import RecordTable from './RecordTable.vue'

const MARKUP: Record<string, string> = { '&amp;': '&', '&lt;': '<', '&gt;': '>', '&quot;': '"', '&#39;': "'" }
const wordsOf = (html: string) => html.replace(/<[^>]*>/g, '').replace(/&[^;]+;/g, one => MARKUP[one] ?? one)

/** What the screen shows of a table: written out, since a page for each of thousands would not fit. */
async function shown(table: Table): Promise<{ words: string; cells: string[] }> {
  const html = await renderToString(createSSRApp(RecordTable, { table }))
  return { words: wordsOf(html), cells: [...html.matchAll(/<td[ >].*?<\/td>/gs)].map(([cell]) => wordsOf(cell)) }
}

describe.each(librarySheetNames())('%s', name => {
  it('has records that can be read on the screen, half done and signed', async () => {
    for (const { name: variant, half, signed, ids } of recordsOf(name))
      for (const table of [half, signed].flatMap(record => recordTables(record))) {
        const { words, cells } = await shown(table)
        expect(words, variant).not.toMatch(/undefined|\bnull\b|NaN|\[object|[{}]/)
        for (const word of words.match(/[\w]+(?:[-@][\w]+)+/g) ?? []) expect(ids, variant).not.toContain(word)
        const said = table.rows.flat()
        expect(cells.length, variant).toBe(said.length)
        cells.forEach((cell, i) => expect(cell, variant).toContain(said[i]!.text?.trim() ?? ''))
      }
  }, 120_000)
})
