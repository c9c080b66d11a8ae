import { asksOf, lacks, type Asks, type Said } from '~~/core/job'
import type { Step } from '~~/core/sheet'
import { fillLabels, takeLabel } from '~/bench/labels'
import type { Job } from '~/bench/job'

const NOTHING: Asks = {
  bags: [],
  tags: [],
  counts: [],
  hands: [],
  mates: [],
  lubricants: [],
  found: null,
  facts: [],
  lost: [],
  starting: [],
  started: {},
}
/** Of what a step is told, what is a table of its own: added to, not replaced. */
type Table = 'bags' | 'tags' | 'counts' | 'hands' | 'mates' | 'lubricants' | 'facts'

/** What the step on the card asks, and what was said of it so far. Sent when the step is confirmed; kept through a reload. */
export function createSaid(job: Job, step: Ref<Step | null>, isReached: Ref<boolean>) {
  const may = useMay()
  const kept = useLocalStorage<Record<string, Said>>(`needler-said-${job.id}`, {})
  const said = computed((): Said => (step.value && kept.value[step.value.id]) || {})
  const asks = computed(() => (step.value ? asksOf(job.plan, job.state, step.value, said.value) : NOTHING))
  const lacking = computed(() => lacks(job.plan, asks.value, said.value))

  function say(more: Said) {
    if (step.value) kept.value = { ...kept.value, [step.value.id]: { ...said.value, ...more } }
  }
  function put<K extends Table>(table: K, key: string, value: NonNullable<Said[K]>[string] | undefined) {
    const { [key]: _, ...rest } = (said.value[table] ?? {}) as Record<string, unknown>
    say({ [table]: value === undefined ? rest : { ...rest, [key]: value } })
  }
  const forget = (id: string) => {
    const { [id]: _, ...rest } = kept.value
    kept.value = rest
  }

  // A reserve of numbers is fetched as a job is opened, so that they do not run out with the network.
  if (may('part.tagged')) void fillLabels()
  // What comes off is given a number as soon as its step is at hand: nobody else gets that one.
  const numberless = computed(() =>
    isReached.value && may('part.tagged')
      ? [
          ...asks.value.tags
            .filter(ref => said.value.tags?.[ref] === undefined)
            .map(key => ['tags', 'T', key] as const),
          ...asks.value.bags
            .filter(({ group }) => said.value.bags?.[group] === undefined)
            .map(({ group }) => ['bags', 'B', group] as const),
        ]
      : [],
  )
  watch(
    numberless,
    async wanting => {
      if (!wanting.length) return
      await fillLabels()
      for (const [table, letter, key] of numberless.value) {
        const number = takeLabel()
        if (number !== null) put(table, key, `${letter}${number}`)
      }
    },
    { immediate: true },
  )

  return { said, asks, lacking, say, put, forget }
}
