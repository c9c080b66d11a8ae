import { refuse } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { axialSet, HELD_BY, type HeldBy } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'

const OFF_FIELD = 'the coupling holds the rotor off its field: it pulls at the coupling and hunts'
const GROWS: Record<HeldBy, string> = {
  'the driven machine': 'Held by the driven machine, growth pushes the rotor toward its outer stop.',
  'its own non-drive end': 'Held at its own non-drive end, the rotor grows toward the drive end.',
  'not known':
    'Which end holds the shaft is not known: growth is taken off both margins. Find out, and it may be less.',
}

export const magneticCentreSum = defineSum({
  name: 'magnetic-centre',
  craft: 'sleeves',
  title: 'Axial set',
  about: 'Does the coupling’s limited float keep the journal shoulders off the bearing ends, cold and hot.',
  source: 'distances on one scale; steel grows 11.7 µm/m/K',
  fields: {
    stopOuterMm: number('Against the outer stop', 'mm', [-200, 200]),
    stopDriveMm: number('Against the drive-end stop', 'mm', [-200, 200]),
    magneticMm: number('Where it runs', 'mm', [-200, 200]),
    setMm: number('Where it was set', 'mm', [-200, 200]),
    couplingFloatMm: number('Coupling’s float either way', 'mm', [0, 50]),
    heldBy: fallback(
      choice('The shaft that grows is held by', HELD_BY, 'it grows away from there; not known takes the worse'),
      'not known',
    ),
    shaftLengthMm: number('Fixed end to coupling', 'mm', [0, 20000]),
    warmerK: number('Shaft warms by', 'K', [-50, 200]),
    marginMm: number('Margin wanted', 'mm', [0, 50]),
  },
  example: {
    stopOuterMm: 0,
    stopDriveMm: 12.4,
    magneticMm: 6.1,
    setMm: 6,
    couplingFloatMm: 2.4,
    heldBy: 'the driven machine',
    shaftLengthMm: 1600,
    warmerK: 45,
    marginMm: 1.5,
  },
  work: ({ marginMm, ...given }) => {
    if (given.magneticMm === given.stopOuterMm || given.magneticMm === given.stopDriveMm)
      return refuse('It runs against a stop: find out why before the coupling is set.')
    return answering(axialSet(given), made => {
      const { totalFloatMm, centreMm, magneticOffCentreMm, runsOffSetMm, growthMm, coldMm, hotMm } = made
      const margin = (key: string, what: string, mm: number) => ({
        key,
        what,
        value: mm,
        unit: 'mm',
        decimals: 2,
        held: holdAgainst(
          mm,
          { min: marginMm, best: Math.max(totalFloatMm / 2, marginMm + 0.001), warningShare: 0 },
          'margin typed here',
          { low: 'the journal shoulder can rub the bearing end' },
        ),
      })
      return {
        figures: [
          margin('coldOuterMm', 'Margin cold, non-drive end', coldMm.outer),
          margin('coldDriveMm', 'Margin cold, drive end', coldMm.drive),
          margin('hotOuterMm', 'Margin hot, non-drive end', hotMm.outer),
          margin('hotDriveMm', 'Margin hot, drive end', hotMm.drive),
          {
            key: 'runsOffSetMm',
            what: 'Runs off where it was set',
            value: runsOffSetMm,
            unit: 'mm',
            decimals: 2,
            held: holdAgainst(
              runsOffSetMm,
              { min: -given.couplingFloatMm, max: given.couplingFloatMm, best: 0 },
              'the coupling’s own float',
              { low: OFF_FIELD, high: OFF_FIELD },
            ),
          },
          { key: 'totalFloatMm', what: 'Total float', value: totalFloatMm, unit: 'mm', decimals: 2 },
          { key: 'centreMm', what: 'Middle of the float', value: centreMm, unit: 'mm', decimals: 2 },
          {
            key: 'magneticOffCentreMm',
            what: 'Runs off the middle by',
            value: magneticOffCentreMm,
            unit: 'mm',
            decimals: 2,
          },
          { key: 'growthMm', what: 'Shaft grows', value: growthMm, unit: 'mm', decimals: 2 },
        ],
        working: [
          line(
            'Growth',
            '11.7·L·ΔT',
            `11.7·${say(given.shaftLengthMm / 1000)}·${say(given.warmerK)}/1000`,
            `${say(growthMm, 2)} mm`,
          ),
          line(
            'Drive end',
            'stop − (set + float)',
            `${say(given.stopDriveMm, 2)} − (${say(given.setMm, 2)} + ${say(given.couplingFloatMm, 2)})`,
            `${say(coldMm.drive, 2)} mm cold, ${say(hotMm.drive, 2)} mm hot`,
          ),
          line(
            'Outer end',
            'set − float − stop',
            `${say(given.setMm, 2)} − ${say(given.couplingFloatMm, 2)} − ${say(given.stopOuterMm, 2)}`,
            `${say(coldMm.outer, 2)} mm cold, ${say(hotMm.outer, 2)} mm hot`,
          ),
        ],
        notes: [GROWS[given.heldBy]],
      }
    })
  },
})
