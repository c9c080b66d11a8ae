import { runSum, type Answer, type AnySum } from '~~/core/sums'
import { refuse, type Result } from '~~/core/result'
import { carryOver, fromQuery, readField, readFields, toQuery, writeFields, type Texts } from '~/say/sumTexts'

/** One sum on the screen: what is typed, what it says, and what comes of it. The address carries the input. */
export function useSum(sum: AnySum) {
  const { system } = useDisplay()
  const route = useRoute()
  const given = Object.fromEntries(
    Object.entries(route.query).flatMap(([key, value]) =>
      typeof value === 'string' && key in sum.fields ? [[key, value]] : [],
    ),
  )
  const isExample = ref(Object.keys(given).length === 0)
  const texts = ref<Texts>(
    isExample.value ? writeFields(sum.fields, sum.example, system.value) : fromQuery(sum.fields, given, system.value),
  )
  const result = shallowRef<Result<Answer>>(refuse(''))
  const worker = useSumWorker()
  /** What was typed is put aside while the example is shown, and comes back. */
  const mine = shallowRef<Texts | null>(null)

  const input = computed(() => readFields(sum.fields, texts.value, system.value))
  const errors = computed(() =>
    Object.fromEntries(
      Object.entries(sum.fields).map(([key, field]) => {
        const read = readField(field, texts.value[key], system.value)
        return [key, read.state === 'wrong' ? read.why : null]
      }),
    ),
  )

  async function work() {
    const now = input.value
    if (!now.ok) result.value = now
    else if (!sum.cost) result.value = runSum(sum, now.value)
    else {
      const answer = await worker.run(sum.name, now.value)
      if (answer) result.value = answer
      else if (worker.stopped.value) result.value = refuse('Stopped. Work it out again when you are ready.')
    }
  }
  // What was put off must not happen on another page.
  let hasLeft = false
  onScopeDispose(() => {
    hasLeft = true
  })
  const soon = useDebounceFn(() => (hasLeft ? undefined : work()), 250)
  watch(input, () => (sum.cost ? void soon() : void work()))
  void work()

  const address = useDebounceFn(() => {
    if (hasLeft || isExample.value || !input.value.ok) return
    void navigateTo({ path: route.path, query: { sum: sum.name, ...toQuery(input.value.value) } }, { replace: true })
  }, 400)
  watch(
    texts,
    () => {
      isExample.value = false
      void address()
    },
    { deep: true },
  )

  watch(
    system,
    (now, before) => {
      const stillExample = isExample.value
      texts.value = carryOver(sum.fields, texts.value, before, now)
      if (mine.value) mine.value = carryOver(sum.fields, mine.value, before, now)
      void nextTick(() => {
        isExample.value = stillExample
      })
    },
    { flush: 'sync' },
  )

  function clear() {
    texts.value = writeFields(sum.fields, {}, system.value)
  }
  function example() {
    mine.value = texts.value
    texts.value = writeFields(sum.fields, sum.example, system.value)
    void nextTick(() => {
      isExample.value = true
    })
  }
  function back() {
    if (mine.value) texts.value = mine.value
    mine.value = null
  }
  const set = (key: string, value: Texts[string]) => {
    texts.value = { ...texts.value, [key]: value }
  }
  return { texts, set, input, errors, result, worker, work, clear, example, mine, back, isExample }
}
