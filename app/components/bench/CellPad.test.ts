import { mountSuspended } from '@nuxt/test-utils/runtime'
import { expect, it } from 'vitest'
import { defineComponent, h, reactive } from 'vue'
import { extend, sentenceOf, viewJob, type Act, type AnyEntry } from '~~/core/job'
import { entryOf } from '~~/tests/pump'
import { atTheGap } from '~~/tests/measuring'
import type { Job } from '~/bench/job'
import ReadingPad from './ReadingPad.vue'

/** A job as the pads see it, worked here and sent nowhere. */
function jobOf(one: ReturnType<typeof atTheGap>): Job {
  const folded = shallowRef(one.folded)
  const state = computed(() => folded.value.state)
  return reactive({
    id: 'test',
    plan: one.plan,
    folded,
    state,
    view: computed(() => viewJob(one.plan, state.value)),
    about: { last: {} },
    isClosed: false,
    wantsPin: () => false,
    act(...acts: Act[]) {
      folded.value = extend(
        one.plan,
        folded.value,
        acts.map(({ kind, payload }): AnyEntry => entryOf(kind, payload as never)),
      )
      const flagged = folded.value.state.flags.at(-1)
      return flagged ? sentenceOf(flagged.why) : null
    },
  }) as unknown as Job
}

const padOf = (job: Job) =>
  mountSuspended(
    defineComponent({
      setup() {
        provideJob(job)
        provideBench(job)
        return () => h(ReadingPad, { check: 'gape', moment: 'build' })
      },
    }),
  )

it('a way of measuring that the product does not have is read on the pad like any other', async () => {
  const job = jobOf(atTheGap())
  const pad = await padOf(job)
  const type = async (...figures: string[]) => {
    for (const figure of figures) {
      await pad.find('#figure').setValue(figure)
      await pad.find('form').trigger('submit')
    }
  }
  expect(pad.text()).toContain('Gap of the hub')
  expect(pad.text()).toContain('motor end')
  expect(pad.text()).toContain('Next: one way')
  await type('0', '0.1', '0', '0.1')
  // Both tries are in: what is typed next keeps them.
  await pad.find('form').trigger('submit')
  expect(pad.text()).toContain('motor end: 0.10')
  await type('0', '0.3', '0', '0.3')
  await pad.find('form').trigger('submit')
  const kept = [...job.state.readings.get('gape build')!.values()]
  expect(kept.map(one => [one.place, one.tries.flat().join(' ')])).toEqual([
    ['motor end', '0 0.1 0 0.1'],
    ['gearbox end', '0 0.3 0 0.3'],
  ])
  expect(job.view.results.get('gape build')).toMatchObject({ complete: true, judgement: { verdict: 'Out' } })
  expect(pad.text()).toContain('Failed')
  expect(pad.text()).toContain('The hub stands askew.')
})

it('a pasted column is one press of many, kept whole or not at all', async () => {
  const job = jobOf(atTheGap())
  const pad = await padOf(job)
  const paste = async (text: string) => {
    await pad.find('form').trigger('paste', { clipboardData: { getData: () => text } })
  }
  await paste('0\n0.1\n0\n0.1\n0\n0.12\n0')
  expect(pad.text()).toContain('Nothing of the column is kept. gearbox end: 3 of 4 figures are there.')
  await paste('0\t0.1\t0\t0.1\t0\t0.12\t0\ta dial')
  expect(pad.text()).toContain('Nothing of the column is kept. gearbox end:')
  await paste(Array(9).fill('0.1').join('\n'))
  expect(pad.text()).toContain('it has 9 figures, and the places still open take 8')
  expect(job.state.readings.size).toBe(0)
  await paste('0\r\n0.1\r\n0\r\n0.1\r\n0\r\n0.12\r\n0\r\n0.12\r\n')
  expect(job.view.results.get('gape build')).toMatchObject({ complete: true, judgement: { verdict: 'Holds' } })
})

it('the rule has its figures in the unit that the limits are said in', async () => {
  const marks = async (unit: 'mm' | 'µm') => {
    const pad = await padOf(jobOf(atTheGap({ unit, decimals: unit === 'mm' ? 2 : 0 })))
    return pad.findAll('svg.band text').map(one => Number(one.text()))
  }
  const inMm = await marks('mm')
  expect(inMm.length).toBeGreaterThan(1)
  expect(await marks('µm')).toEqual(inMm.map(one => Math.round(one * 1000)))
})
