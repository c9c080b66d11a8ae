import { jointOrder, passesOf, slackeningOrder } from '../../joints/index.ts'
import { stepsBefore } from '../before.ts'
import { boltCount, type Plan } from '../plan.ts'

const isOneWay = (choices: readonly { met: boolean }[]) => new Set(choices.map(one => one.met)).size < 2

/** What is wrong with how the joints of a sheet are drawn up, slackened and locked, as sentences. */
export const jointRules = ({ sheet, steps }: Plan): string[] => [
  ...sheet.joints.flatMap(joint => {
    const { id, pattern, allowed = [], targetNm, toleranceShare, passes, turn, felt, nip, slacken, locking } = joint
    const says = (words: string) => `joint ${id} ${words}`
    const n = boltCount(joint)
    const isTorqued = targetNm !== undefined && toleranceShare !== undefined && passes?.at(-1) === 1
    return [
      ...([pattern, ...allowed].every(one => jointOrder(one, n).ok) && (isTorqued || (felt && targetNm === undefined))
        ? []
        : [says('cannot be drawn up as written')]),
      ...(turn && !isTorqued ? [says('is turned further with nothing that makes it snug')] : []),
      ...(felt && isOneWay(felt.choices) ? [says('can only be felt one way')] : []),
      ...(nip !== undefined && nip >= passesOf(joint).length ? [says('is nipped by all of its passes')] : []),
      ...(slacken && !slackeningOrder(slacken.order, pattern, n).ok ? [says('cannot be slackened as written')] : []),
      ...(locking && isOneWay(locking.choices) ? [says('can only be locked one way')] : []),
    ]
  }),
  ...sheet.steps.flatMap(({ id, joint }) =>
    joint?.act !== 'nip'
      ? []
      : [
          ...(sheet.joints.some(one => one.id === joint.id && one.nip !== undefined)
            ? []
            : [`step ${id} nips ${joint.id}, which does not say by which passes`]),
          ...(sheet.steps.some(
            one => one.joint?.id === joint.id && one.joint.act === 'pull' && stepsBefore(steps, one.id).has(id),
          )
            ? []
            : [`${joint.id} is nipped at ${id} and never drawn up for good`]),
        ],
  ),
]
