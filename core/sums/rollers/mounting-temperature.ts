import { holdAgainst } from '../../verdict.ts'
import { mountingTemperature } from '../../rollers/index.ts'
import { answering, defineSum, line, say, type School } from '../define.ts'
import { flag, number } from '../fields.ts'

export const HEATING: School[] = [
  {
    name: 'Induction',
    gives: 'quick, even, thermostat on the inner ring',
    why: 'the ring is its own heater; it is demagnetised afterwards. Not for what the maker forbids it for',
  },
  {
    name: 'Oil bath',
    gives: 'even, slow, clean oil off the bottom',
    why: 'suits large and many parts; washes grease and dirt in, needs a lid and an extinguisher',
  },
  {
    name: 'Oven',
    gives: 'slow, dry, clean',
    why: 'holds small parts ready at one temperature; the bearing stays clean and its bore dry',
  },
]

export const mountingTemperatureSum = defineSum({
  name: 'mounting-temperature',
  craft: 'rollers',
  title: 'Mounting temperature',
  about: 'How hot a ring must be to slide home, and whether it may be.',
  source: 'linear expansion, 11.7·10⁻⁶ 1/K; 110 and 125 °C are general limits for bearing steel',
  fields: {
    boreMm: number('Bore', 'mm', [0.1, 1000]),
    interferenceUm: number('Maximum interference', 'µm', [0, 2000]),
    assemblyClearanceUm: number('Room to slide', 'µm', [0, 2000]),
    ambientC: number('Shaft is at', '°C', [-50, 80]),
    greasedOrSealed: flag('Greased or sealed'),
  },
  example: { boreMm: 60, interferenceUm: 36, assemblyClearanceUm: 30, ambientC: 20, greasedOrSealed: false },
  work: input =>
    answering(mountingTemperature(input), ({ temperatureC, otherWays }) => {
      const max = input.greasedOrSealed ? 80 : 125
      const held = holdAgainst(
        temperatureC,
        {
          max,
          best: Math.min(input.ambientC, max - 1),
          warningShare: input.greasedOrSealed ? 0 : (125 - 110) / (125 - Math.min(input.ambientC, 124)),
        },
        input.greasedOrSealed ? 'greased or sealed: 80 °C' : 'bearing steel: 125 °C, care above 110 °C',
        { high: input.greasedOrSealed ? 'grease and seals spoil' : 'the steel may lose its size and hardness' },
      )
      return {
        figures: [
          { key: 'temperatureC', what: 'Heat the ring to', value: temperatureC, unit: '°C', decimals: 1, held },
        ],
        working: [
          line(
            'Temperature',
            'shaft + (δ + room)/(11.7·10⁻³·d)',
            `${say(input.ambientC)} + (${say(input.interferenceUm, 1)} + ${say(input.assemblyClearanceUm, 1)})/(0.0117·${say(input.boreMm)})`,
            `${say(temperatureC, 1)} °C`,
          ),
        ],
        notes: [
          ...(otherWays.length ? [`Too hot for heat alone: ${otherWays.join(', ')}.`] : []),
          'Never a flame. Hot parts burn: gloves on, shaft clean and ready first.',
        ],
        schools: HEATING,
        more: { otherWays },
      }
    }),
})
