import { equalLegTensionKN, hangingWeightKN, twoLegTensionsKN } from '../../rigging/index.ts'
import { accept, refuse, type Result } from '../../result.ts'
import { defineSum, fig, line, say, type Answer, type Figure } from '../define.ts'
import { choice, flag, number, oneWay, only, whole, type Input } from '../fields.ts'
import { PLAN, angleHeld } from './shared.ts'

const BY_ANGLE = 'the angle of equal legs'
const BY_PLACE = 'where the weight sits'

const fields = {
  massKg: oneWay(number('Mass that hangs', 'kg', [1, 500000], 'rigging included')),
  weightKN: oneWay(number('Or its weight', 'kN', [0.01, 5000])),
  known: oneWay(choice('What is known', [BY_ANGLE, BY_PLACE])),
  legs: only(whole('Legs', [1, 8]), 'known', BY_ANGLE),
  fromVerticalDeg: only(number('Leg from the vertical', '°', [0, 89.9]), 'known', BY_ANGLE),
  equalised: flag('Legs are equalised'),
  cgFromLeftM: only(number('Centre of gravity from the left', 'm', [0.01, 50]), 'known', BY_PLACE),
  cgFromRightM: only(number('… from the right', 'm', [0.01, 50]), 'known', BY_PLACE),
  hookHeightM: only(number('Hook above the lugs', 'm', [0.01, 50]), 'known', BY_PLACE),
}
type Lift = Input<typeof fields>
type Part = Pick<Answer, 'figures' | 'working'> & { main: string }

function byAngle({ legs = 2, fromVerticalDeg, equalised }: Lift, weightKN: number): Result<Part> {
  if (fromVerticalDeg === undefined) return refuse('Still wanted: how far a leg leans from the vertical.')
  const tension = equalLegTensionKN({ weightKN, legs, fromVerticalDeg }, equalised)
  if (!tension.ok) return tension
  const carrying = equalised ? legs : Math.min(legs, 2)
  return accept({
    main: 'equalLegKN',
    figures: [
      fig('equalLegKN', 'Each leg carries', tension.value, 'kN', 2),
      fig('fromVerticalDeg', 'Legs lean', fromVerticalDeg, '°', 0, angleHeld(fromVerticalDeg)),
    ],
    working: [
      line(
        'Each leg',
        'W/(n·cos θ)',
        `${say(weightKN)}/(${carrying}·cos ${say(fromVerticalDeg, 1)}°)`,
        `${say(tension.value)} kN`,
      ),
    ],
  })
}

function byPlace({ cgFromLeftM: a, cgFromRightM: b, hookHeightM: h }: Lift, weightKN: number): Result<Part> {
  if (a === undefined || b === undefined || h === undefined)
    return refuse('Still wanted: both distances of the centre of gravity, and the height of the hook above the lugs.')
  const two = twoLegTensionsKN(weightKN, a, b, h)
  if (!two.ok) return two
  const { leftKN, rightKN, leftFromVerticalDeg, rightFromVerticalDeg } = two.value
  const leg = (name: string, far: number, own: number, kN: number) =>
    line(
      `${name} leg`,
      'W·other distance/(a + b)·√(own² + h²)/h',
      `${say(weightKN)}·${say(far)}/${say(a + b)}·√(${say(own)}² + ${say(h)}²)/${say(h)}`,
      `${say(kN)} kN`,
    )
  const lean = (key: string, name: string, deg: number): Figure =>
    fig(key, `${name} leg leans`, deg, '°', 0, angleHeld(deg))
  return accept({
    main: leftKN > rightKN ? 'leftKN' : 'rightKN',
    figures: [
      fig('leftKN', 'Left leg carries', leftKN, 'kN', 2),
      fig('rightKN', 'Right leg carries', rightKN, 'kN', 2),
      lean('leftDeg', 'Left', leftFromVerticalDeg),
      lean('rightDeg', 'Right', rightFromVerticalDeg),
    ],
    working: [leg('Left', b, a, leftKN), leg('Right', a, b, rightKN)],
  })
}

export const liftingSum = defineSum({
  name: 'lifting',
  craft: 'rigging',
  title: 'Sling legs',
  about: 'What each leg of a sling carries: by the angle of equal legs, or by where the weight sits under two.',
  source: 'balance of forces and moments; standard gravity; three or more legs count as two unless equalised',
  fields,
  example: { massKg: 820, known: BY_ANGLE, legs: 2, fromVerticalDeg: 30, equalised: false },
  work: lift => {
    const { massKg, weightKN: given, known } = lift
    if (massKg !== undefined && given !== undefined) return refuse('Give the mass or the weight, not both.')
    if (massKg === undefined && given === undefined)
      return refuse('Still wanted: the mass that hangs, rigging included.')
    const weight = given !== undefined ? accept(given) : hangingWeightKN([massKg!])
    if (!weight.ok) return weight
    // A script may give both at once; on the screen one of them is known.
    const parts = [
      ...(known !== BY_PLACE && (known || lift.fromVerticalDeg !== undefined) ? [byAngle(lift, weight.value)] : []),
      ...(known !== BY_ANGLE && (known || lift.cgFromLeftM !== undefined) ? [byPlace(lift, weight.value)] : []),
    ]
    if (!parts.length) return refuse('Say what is known: the angle of equal legs, or where the weight sits.')
    const found: Part[] = []
    for (const part of parts) {
      if (!part.ok) return part
      found.push(part.value)
    }
    return accept({
      main: found[0]!.main,
      figures: [
        ...found.flatMap(one => one.figures),
        ...(massKg === undefined ? [] : [fig('hangsKN', 'Hangs', weight.value, 'kN', 2)]),
      ],
      working: [
        ...(massKg === undefined
          ? []
          : [line('Weight', 'm·g', `${say(massKg, 1)}·9.80665/1000`, `${say(weight.value)} kN`)]),
        ...found.flatMap(one => one.working),
      ],
      notes: [...(known === BY_ANGLE ? [] : ['The hook stands straight over the centre of gravity.']), PLAN],
    })
  },
})
