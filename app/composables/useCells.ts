import { atOf, cellNamed, readingKey, unmetNeeds, type Cell } from '~~/core/job'
import type { Moment } from '~~/core/sheet'

/** The cells of one check at one moment, and which of them is at hand: the first that is missing, else what is wrong, until another is chosen. */
export function useCells(id: string, moment: Moment) {
  const job = useJob()
  const result = computed(() => job.view.results.get(readingKey(id, moment))!)
  const cells = computed(() => result.value.worked.cells)
  /** What has to be done before this can be measured at all. */
  const before = computed(() => {
    const { step } = result.value.check.at.find(one => one.moment === moment)!
    return unmetNeeds(job.plan, job.state, job.plan.steps.get(step)!)
  })
  const taken = (cell: Cell) => result.value.read.get(cell.key)
  /** The next one that is missing, going round from the one at hand. */
  const nextOpen = (after?: Cell): Cell | undefined => {
    const from = after ? cells.value.findIndex(one => one.key === after.key) + 1 : 0
    const missing = new Set(result.value.missing.map(one => one.key))
    return [...cells.value.slice(from), ...cells.value.slice(0, from)].find(one => missing.has(one.key))
  }
  /** Read twice, too far apart: it is taken again. */
  const apart = () => result.value.rivals.find(one => one.apart)?.cell
  const out = () => [...result.value.places.values()].find(one => one.judgement.verdict === 'Out')?.cell
  const chosen = ref<string | null>((nextOpen() ?? apart() ?? out() ?? cells.value[0])?.key ?? null)
  /** A row of a table that grows, read at a time of its own: it is not among the others yet. */
  const ofOwn = () =>
    chosen.value && result.value.worked.grows
      ? cellNamed(result.value.worked, result.value.check, atOf(chosen.value))
      : undefined
  const cell = computed(() => cells.value.find(one => one.key === chosen.value) ?? ofOwn() ?? nextOpen())
  const entered = computed(() => cell.value && taken(cell.value))
  const goTo = (to: Pick<Cell, 'key'> | undefined) => {
    chosen.value = to?.key ?? chosen.value
  }
  // Once something was put right, what it took away is read again from its first place.
  watch(
    () => result.value.read.size,
    (now, then) => {
      if (now < then) goTo(nextOpen())
    },
  )
  return { result, cells, cell, entered, before, taken, nextOpen, goTo }
}
