import { accept } from '../../result.ts'
import { follows, worstVerdict, type Held } from '../../verdict.ts'
import { cellKey } from '../cells.ts'
import { figureOf, READINGS, readings, type BenchSum } from './define.ts'

const SAID = 'said'

/** What is felt, heard or seen, in the sheet's own answers; asked in several places, the worst answer counts. */
export const askedSum: BenchSum = {
  name: 'asked',
  title: 'Asked',
  fields: check =>
    readings(check, { [SAID]: { type: 'choice', label: check.ask!, choices: check.choices!.map(one => one.say) } }),
  work: ({ readings: read = [] }, check) => {
    const answers = read.map(one => {
      const at = check.choices!.findIndex(choice => choice.say === one[SAID])
      const choice = check.choices![at]!
      const held: Held = {
        ...{ verdict: choice.verdict, share: null, side: null, limits: {}, source: check.source },
        ...follows(choice.verdict, choice.means ?? null),
      }
      return { place: one.name, at, choice, held }
    })
    const verdict = worstVerdict(answers.map(one => one.held.verdict))
    const told = answers.find(one => one.held.verdict === verdict)!
    return accept({
      figures: [
        figureOf('value', told.place || check.ask!, told.at, check, told.held),
        ...answers.map(({ place, at, held }) => {
          const key = cellKey({ field: READINGS, place, column: SAID })
          return figureOf(key, place || check.ask!, at, check, held, key)
        }),
      ],
      working: answers.map(({ place, choice }) => ({
        what: place || check.ask!,
        sum: choice.say,
        gives: choice.verdict,
      })),
      notes: answers.flatMap(({ choice }) => (choice.verdict !== 'Out' && choice.means ? [choice.means] : [])),
    })
  },
}
