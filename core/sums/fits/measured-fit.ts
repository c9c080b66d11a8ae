import { VERDICT_WORDS } from '../../verdict.ts'
import { classOfMeasured, fitOfClasses, limitsOfClass, measuredFit, parseClass, worseEnd } from '../../fits/index.ts'
import { meanOf } from '../../gauging/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line, say, type Figure } from '../define.ts'
import { list, optional, text } from '../fields.ts'
import { hold, makerMax, makerMin, MAKER } from '../limits.ts'
import { NOMINAL, SIZE } from './shared.ts'

const CLEARANCE = [-5000, 20000] as const
const SLACK = {
  low: 'tighter than the fit wants: it may not go home, or the ring is strained',
  high: 'looser than the fit wants: the part creeps and frets',
}

export const measuredFitSum = defineSum({
  name: 'measured-fit',
  craft: 'fits',
  title: 'Fit from measured sizes',
  about: 'The fit two measured parts really make, against the wanted classes and the maker’s span.',
  source: 'ISO 286-1:2010; the maker’s span goes before it',
  fields: {
    nominalMm: NOMINAL,
    holeMm: list('Hole, every reading', 'mm', SIZE, [1, 20]),
    shaftMm: list('Shaft, every reading', 'mm', SIZE, [1, 20]),
    hole: optional(text('Hole class wanted', 6)),
    shaft: optional(text('Shaft class wanted', 6)),
    minUm: makerMin('µm', CLEARANCE),
    maxUm: makerMax('µm', CLEARANCE),
  },
  example: {
    nominalMm: 60,
    holeMm: [60.006, 60.011, 60.014],
    shaftMm: [60.004, 60.009, 60.007],
    hole: 'H7',
    shaft: 'k6',
    minUm: -5,
    maxUm: 15,
  },
  work: given => {
    const { nominalMm, hole, shaft } = given
    const part = (readings: readonly number[]) => ({
      leastMm: Math.min(...readings),
      greatestMm: Math.max(...readings),
      meanMm: meanOf(readings),
    })
    const parts = [part(given.holeMm), part(given.shaftMm)] as const
    const far = [...given.holeMm, ...given.shaftMm].find(mm => Math.abs(mm - nominalMm) > Math.max(2, nominalMm * 0.05))
    if (far !== undefined)
      return refuse(
        `${say(far)} mm is far from the nominal ${say(nominalMm)} mm. Check the decimal mark, or the nominal.`,
      )
    for (const [wanted, side] of [
      [hole, 'hole'],
      [shaft, 'shaft'],
    ] as const) {
      const parsed = wanted ? parseClass(wanted) : null
      if (parsed?.ok && parsed.value.side !== side)
        return refuse(
          side === 'hole'
            ? `“${wanted}” is a shaft class. A hole has a capital letter, such as H7.`
            : `“${wanted}” is a hole class. A shaft has a small letter, such as k6.`,
        )
    }
    const fit = measuredFit(parts[0], parts[1], { nominalMm, hole, shaft })
    return answering(fit, made => {
      const maker = { min: given.minUm, max: given.maxUm }
      const isMakers = maker.min !== undefined || maker.max !== undefined
      const classes = hole && shaft ? fitOfClasses(nominalMm, hole, shaft) : null
      const general = classes?.ok
        ? {
            limits: { min: classes.value.minClearanceUm, max: classes.value.maxClearanceUm },
            source: `${hole}/${shaft}, ISO 286-2`,
          }
        : undefined
      const byClass = general && worseEnd(made.minClearanceUm, made.maxClearanceUm, general.limits)
      const inClass = (
        key: string,
        what: string,
        wanted: string | undefined,
        own: typeof made.holeInClass,
      ): Figure[] => {
        const limits = wanted ? limitsOfClass(nominalMm, wanted) : null
        return own && limits?.ok
          ? [
              {
                key,
                what,
                value: `${own.verdict === 'Out' ? 'not ' : ''}in ${wanted}`,
                // The maker's span goes before the classes: then they are said, and not judged.
                ...(isMakers
                  ? {}
                  : {
                      held: {
                        ...own,
                        limits: { min: limits.value.lowerUm, max: limits.value.upperUm },
                        source: `${wanted}, ISO 286-2`,
                        consequence:
                          own.verdict === 'Out' ? (own.side === 'low' ? 'under its class' : 'over its class') : null,
                      },
                    }),
              },
            ]
          : []
      }
      const really = (
        side: 'hole' | 'shaft',
        wanted: string | undefined,
        { leastMm, greatestMm }: (typeof parts)[0],
      ) => {
        const parsed = wanted ? parseClass(wanted) : null
        const found = parsed?.ok ? classOfMeasured(nominalMm, side, parsed.value.letter, { leastMm, greatestMm }) : null
        return found === null ? null : found.ok ? found.value : `no ${wanted!.replace(/\d+/, '')} grade`
      }
      return {
        figures: [
          {
            key: 'minClearanceUm',
            what: 'Minimum clearance',
            value: made.minClearanceUm,
            unit: 'µm',
            decimals: 1,
            held: hold(made.minClearanceUm, maker, SLACK, general),
          },
          {
            key: 'maxClearanceUm',
            what: 'Maximum clearance',
            value: made.maxClearanceUm,
            unit: 'µm',
            decimals: 1,
            ...(isMakers || general ? { held: hold(made.maxClearanceUm, maker, SLACK, general) } : {}),
          },
          { key: 'meanClearanceUm', what: 'Mean clearance', value: made.meanClearanceUm, unit: 'µm', decimals: 1 },
          { key: 'kind', what: 'Kind of fit', value: made.kind },
          ...inClass('holeInClass', 'The hole is', hole, made.holeInClass),
          ...inClass('shaftInClass', 'The shaft is', shaft, made.shaftInClass),
          { key: 'holeReally', what: 'The hole really is', value: really('hole', hole, parts[0]) },
          { key: 'shaftReally', what: 'The shaft really is', value: really('shaft', shaft, parts[1]) },
        ],
        working: [
          line(
            'Minimum clearance',
            'minimum hole − maximum shaft',
            `${say(parts[0].leastMm)} − ${say(parts[1].greatestMm)}`,
            `${say(made.minClearanceUm, 1)} µm`,
          ),
          line(
            'Maximum clearance',
            'maximum hole − minimum shaft',
            `${say(parts[0].greatestMm)} − ${say(parts[1].leastMm)}`,
            `${say(made.maxClearanceUm, 1)} µm`,
          ),
          ...(classes?.ok
            ? [
                line(
                  `${hole}/${shaft} allows`,
                  'ISO 286-2',
                  `${say(nominalMm)} mm`,
                  `${say(classes.value.minClearanceUm, 1)} to ${say(classes.value.maxClearanceUm, 1)} µm`,
                ),
              ]
            : []),
        ],
        notes:
          isMakers && general && byClass
            ? [
                `The maker’s span (${MAKER}) goes before the classes. By ${hole}/${shaft} alone, ${say(general.limits.min, 1)} to ${say(general.limits.max, 1)} µm, it would be: ${VERDICT_WORDS[byClass.verdict]}.`,
              ]
            : [],
        reading: { row: 'figure', tries: [[made.meanClearanceUm / 1000]] },
      }
    })
  },
})
