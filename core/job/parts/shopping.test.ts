import { describe, expect, it } from 'vitest'
import { plan, technician } from '../../../tests/pump.ts'
import { shoppingOf, standingOf } from '../index.ts'

describe('what a job wants from the stores', () => {
  it('lists every always-new part from the moment it opens, by kit', () => {
    const list = shoppingOf(plan, technician().folded.state)
    expect(list.map(one => one.from)).toEqual(['Seal ring kit', 'Case gasket kit', 'Stock'])
    const always = [...plan.parts.values()].filter(one => one.part.renewal === 'always')
    expect(list.flatMap(one => one.lines)).toHaveLength(always.length)
    expect(list.flatMap(one => one.lines).every(one => !one.taken)).toBe(true)
    expect(list[0]!.lines.find(one => one.part === 'flush-washers')!.pieces).toBe(2)
  })
  it('adds what is decided to be renewed, with the reason, and says what is in hand', () => {
    const worker = technician({ general: 0.4, renewed: ['throttle-bush'] })
    worker.workUntil('measure-new-sleeve')
    const stock = shoppingOf(plan, worker.folded.state).find(one => one.from === 'Stock')!
    expect(stock.lines.find(one => one.part === 'throttle-bush')).toMatchObject({ taken: true, pieces: 1 })
  })
})

describe('where a job stands', () => {
  it('says the next step, what it waits for, what is owed and who was last', () => {
    const worker = technician()
    worker.workUntil('spacer-off')
    expect(standingOf(plan, worker.folded)).toMatchObject({
      station: 'strip',
      step: 'Take out the coupling spacer',
      waits: null,
      gateOpen: false,
      lastBy: 'rena',
    })
    worker.workUntil('decide')
    expect(standingOf(plan, worker.folded).waits).toMatch(/^Hold point|^Decide/)
    worker.workUntil()
    expect(standingOf(plan, worker.folded)).toMatchObject({ step: null, owed: 0, gateOpen: true })
  })
})
