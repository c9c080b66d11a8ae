import {
  cellNamed,
  checkAt,
  doubtOf,
  minutesRead,
  readCell,
  readingsOfRow,
  readTable,
  type Cell,
  type Payloads,
} from '~~/core/job'
import { rowNamed } from '~~/core/sums/bench'

/** Acts that are sent with one press at the most; a longer table is kept in several, row by row whole. */
const PER_PRESS = 180

/** A table of a run, pasted from elsewhere: nothing of it is kept before all of it can be. */
export function useTable(
  { result, cell }: Pick<ReturnType<typeof useCells>, 'result' | 'cell'>,
  tries: Pick<ReturnType<typeof useTries>, 'why'>,
  { doubt, kept }: { doubt: Ref<string | null>; kept: () => void },
) {
  const job = useJob()
  const { system } = useDisplay()
  /** A table that is asked about before it is kept. */
  const table = shallowRef<string | null>(null)
  watch(doubt, now => {
    if (now === null) table.value = null
  })

  /** The cell that an entry is read in, as it will be. */
  const cellOf = ({ field, place, column }: Payloads['reading.taken']): Cell | undefined =>
    cellNamed(result.value.worked, result.value.check, { field, place, column })

  /** What is wrong with one figure, or odd about it; null where nothing is. */
  function faultOf(payload: Payloads['reading.taken']): { why?: string; odd?: string } | null {
    const place = cellOf(payload)!
    const where = `${place.name}: `
    const read = readCell(place, payload.tries)
    if (!read.ok) return { why: where + read.why }
    const odd = doubtOf(checkAt(result.value.check, place), read.value.values[0]![0] as number, null, system.value)
    return odd ? { odd: where + odd } : null
  }

  function takeTable(text: string, isSure = false): void {
    const { check, moment, read } = result.value
    doubt.value = null
    const places = [...read.values()].flatMap(one => one.place ?? [])
    const way = rowNamed(check.run!, cell.value?.place ?? '')?.way ?? ''
    const rows = readTable(check, text, way, minutesRead(check, places, way).at(-1) ?? null)
    if (!rows.ok) {
      tries.why.value = `Nothing of the table is kept. ${rows.why}`
      return
    }
    const payloads = rows.value.flatMap(row => readingsOfRow(check, moment, row))
    for (const payload of payloads) {
      const fault = faultOf(payload)
      if (fault?.why) {
        tries.why.value = `Nothing of the table is kept. ${fault.why}`
        return
      }
      if (fault?.odd && !isSure) {
        doubt.value = fault.odd
        table.value = text
        return
      }
    }
    const perRow = check.run!.columns.length
    const atOnce = Math.floor(PER_PRESS / perRow) * perRow || perRow
    tries.why.value = null
    for (let i = 0; i < payloads.length && tries.why.value === null; i += atOnce)
      tries.why.value = job.act(
        ...payloads.slice(i, i + atOnce).map(payload => ({ kind: 'reading.taken' as const, payload })),
      )
    if (tries.why.value === null) kept()
  }
  return { table, takeTable }
}
