import { checkFacing, FACING_ANSWERS, FACING_RULE_NAMES, FACING_RULES } from '../../marks/index.ts'
import { answering, defineSum, line } from '../define.ts'
import { choice, rows } from '../fields.ts'
import { PART, wanted } from './shared.ts'

export const facingSum = defineSum({
  name: 'facing',
  craft: 'marks',
  title: 'Which way round',
  about: 'Rules without an angle: end, face, thick end, notch, hole, lip, chamfer. Yes or no, and what goes wrong.',
  source: 'workshop practice; the sheet says which rules a part has',
  fields: {
    parts: rows(
      'Parts',
      { part: PART, rule: choice('Rule', FACING_RULE_NAMES), stands: choice('It stands so', FACING_ANSWERS) },
      [1, 40],
    ),
  },
  example: {
    parts: [
      { part: 'lip seal', rule: 'lip to pressure', stands: 'no' },
      { part: 'bush', rule: 'hole to oilway', stands: 'yes' },
      { part: 'spacer', rule: 'chamfer in', stands: 'not looked at' },
    ],
  },
  work: ({ parts }) =>
    answering(checkFacing(parts), ({ wrong, open }) => {
      const words = wrong.map(one => `${one.part}: ${one.consequence}`)
      const held = wanted(!wrong.length, 'every part the right way round', words.join('; '))
      return {
        figures: [
          {
            key: 'wrongCount',
            what: 'The wrong way round',
            value: wrong.length,
            decimals: 0,
            held: open.length && !wrong.length ? { ...held, verdict: 'Open' } : held,
          },
          { key: 'openCount', what: 'Not looked at', value: open.length, decimals: 0 },
        ],
        working: parts.map(one =>
          line(
            one.part,
            one.rule,
            FACING_RULES[one.rule].ask,
            one.stands === 'no' ? FACING_RULES[one.rule].wrong : one.stands,
          ),
        ),
        more: { wrong, open },
      }
    }),
})
