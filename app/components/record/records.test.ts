import { mountSuspended } from '@nuxt/test-utils/runtime'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { recordTables, type RecordTable as Table } from '~~/core/job'
import { recordsOf } from '~~/tests/records'
import { librarySheetNames } from '~~/tests/sheets'
import RecordTable from './RecordTable.vue'

const shown = (tables: Table[]) =>
  mountSuspended(
    defineComponent({
      render: () =>
        h(
          'article',
          tables.map(table => h(RecordTable, { table })),
        ),
    }),
  )

describe.each(librarySheetNames())('%s', name => {
  it('every machine of it has a record that can be read on the screen, half done and signed', async () => {
    for (const { name: variant, half, signed, ids } of recordsOf(name))
      for (const record of [half, signed]) {
        const tables = recordTables(record)
        const screen = await shown(tables)
        const words = screen.text()
        expect(words, variant).not.toMatch(/undefined|\bnull\b|NaN|\[object|[{}]/)
        for (const word of words.match(/[\w]+(?:[-@][\w]+)+/g) ?? []) expect(ids, variant).not.toContain(word)
        const cells = screen.findAll('tbody td')
        const said = tables.flatMap(table => table.rows.flat())
        expect(cells).toHaveLength(said.length)
        cells.forEach((cell, i) => expect(cell.text(), variant).toContain(said[i]!.text?.trim() ?? ''))
        screen.unmount()
      }
  }, 120_000)
})
