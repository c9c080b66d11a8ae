import {
  boltCount,
  boltOrder,
  boltPoints,
  CIRCLE_PATTERNS,
  outwardsOn,
  PATTERN_REASONS,
  PATTERNS,
  type BoltLayout,
} from '../../joints/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line } from '../define.ts'
import { choice, only, whole } from '../fields.ts'

export const boltOrderSum = defineSum({
  name: 'bolt-order',
  craft: 'joints',
  title: 'Order of the bolts',
  about: 'The order of a pass on a circle, round a rectangle or along a split line, each with its reason.',
  source: 'flange and cover practice',
  fields: {
    layout: choice('Bolts stand', ['on a circle', 'round a rectangle', 'along a split line']),
    bolts: only(whole('Bolts on the circle', [2, 200]), 'layout', 'on a circle'),
    along: only(
      whole('Along one side', [2, 50], 'corners counted; a row of a split line'),
      'layout',
      'round a rectangle',
      'along a split line',
    ),
    across: only(whole('Across', [2, 50], 'corners counted'), 'layout', 'round a rectangle'),
    pattern: choice('Order', PATTERNS),
  },
  example: { layout: 'on a circle', bolts: 12, pattern: 'star' },
  work: ({ layout, bolts, along, across, pattern }) => {
    if (layout === 'on a circle' && bolts === undefined) return refuse('Say how many bolts stand on the circle.')
    if (layout !== 'on a circle' && (along === undefined || (layout === 'round a rectangle' && across === undefined)))
      return refuse('Say how many bolts a side has, corners counted.')
    if (layout === 'on a circle' && pattern === 'middle outwards')
      return refuse(
        'A circle has no middle bolt to go outwards from. Choose a star, or another order that goes across.',
      )
    const place: BoltLayout =
      layout === 'on a circle'
        ? { kind: 'circle', bolts: bolts! }
        : layout === 'round a rectangle'
          ? { kind: 'rectangle', along: along!, across: across! }
          : { kind: 'split line', aSide: along! }
    const ordered =
      place.kind !== 'circle' && pattern === 'middle outwards'
        ? outwardsOn(place)
        : boltOrder(pattern, boltCount(place))
    return answering(ordered, order => ({
      figures: [
        { key: 'bolts', what: 'Bolts', value: order.length, decimals: 0 },
        { key: 'first', what: 'Starts with', value: order.slice(0, 4).join(', ') },
      ],
      working: [line('Order', pattern, PATTERN_REASONS[pattern], order.join(' '))],
      more: { order, points: boltPoints(place) },
      schools: (place.kind === 'circle' ? CIRCLE_PATTERNS : PATTERNS).flatMap(one => {
        const other =
          place.kind !== 'circle' && one === 'middle outwards' ? outwardsOn(place) : boltOrder(one, boltCount(place))
        return other.ok
          ? [
              {
                name: one[0]!.toUpperCase() + one.slice(1),
                gives: `${other.value.slice(0, 8).join(' ')}${other.value.length > 8 ? ' …' : ''}`,
                why: PATTERN_REASONS[one],
                chosen: one === pattern,
              },
            ]
          : []
      }),
    }))
  },
})
