import type { Moment, Plan, Ref } from '../../sheet/index.ts'
import {
  axisName,
  checkName,
  jointName,
  loopName,
  mateName,
  MOMENT_WORDS,
  partName,
  stepName,
} from '../ledger/words.ts'

/** What is owed, by what it is about. Two debts are the same when this is. */
export type OwedId =
  | { kind: 'reading'; check: string; moment: Moment }
  | { kind: 'out'; check: string; moment: Moment }
  | { kind: 'mark'; mate: string }
  | { kind: 'keep'; part: Ref }
  | { kind: 'decision'; part: Ref }
  | { kind: 'renewal'; part: Ref }
  | { kind: 'return'; part: Ref }
  | { kind: 'wrong place'; part: Ref }
  | { kind: 'wrong way'; mate: string }
  | { kind: 'mate'; mate: string }
  | { kind: 'pieces'; part: Ref; way: 'out' | 'in' }
  | { kind: 'joint'; joint: string }
  | { kind: 'slackening'; joint: string }
  | { kind: 'locking'; joint: string }
  | { kind: 'debt'; debt: string }
  | { kind: 'hold'; step: string }
  | { kind: 'step'; step: string }
  | { kind: 'axis'; axis: string }
  | { kind: 'stray'; part: Ref }
  | { kind: 'round'; loop: string }
  | { kind: 'trial'; part: Ref }
  | { kind: 'item'; item: string }
  | { kind: 'trouble'; step: string; sign: string }
  | { kind: 'late'; entry: string; nth: number }

export type OwedKind = OwedId['kind']

type IdOf<K extends OwedKind> = Extract<OwedId, { kind: K }>

/** What tells one debt of a kind from another, and how it is said. */
const IDS: {
  [K in OwedKind]: { by: readonly (keyof IdOf<K> & string)[]; words: (plan: Plan, id: IdOf<K>) => string }
} = {
  'reading': {
    by: ['check', 'moment'],
    words: (plan, { check, moment }) => `${checkName(plan, check)}, ${MOMENT_WORDS[moment]}`,
  },
  'out': {
    by: ['check', 'moment'],
    words: (plan, { check, moment }) => `${checkName(plan, check)} out, ${MOMENT_WORDS[moment]}`,
  },
  'mark': { by: ['mate'], words: (plan, { mate }) => `Mark: ${mateName(plan, mate)}` },
  'keep': { by: ['part'], words: (plan, { part }) => `Tag or bag: ${partName(plan, part)}` },
  'decision': { by: ['part'], words: (plan, { part }) => `Decision: ${partName(plan, part)}` },
  'renewal': { by: ['part'], words: (plan, { part }) => `New part: ${partName(plan, part)}` },
  'return': { by: ['part'], words: (plan, { part }) => `Not back: ${partName(plan, part)}` },
  'wrong place': { by: ['part'], words: (plan, { part }) => `In another place: ${partName(plan, part)}` },
  'wrong way': { by: ['mate'], words: (plan, { mate }) => `Not met: ${mateName(plan, mate)}` },
  'mate': { by: ['mate'], words: (plan, { mate }) => `How it stands: ${mateName(plan, mate)}` },
  'pieces': {
    by: ['part', 'way'],
    words: (plan, { part, way }) =>
      `Pieces ${way === 'out' ? 'that came off' : 'that went back'}: ${partName(plan, part)}`,
  },
  'joint': { by: ['joint'], words: (plan, { joint }) => `Joint not drawn up: ${jointName(plan, joint)}` },
  'slackening': { by: ['joint'], words: (plan, { joint }) => `Not eased bolt by bolt: ${jointName(plan, joint)}` },
  'locking': { by: ['joint'], words: (plan, { joint }) => `Not locked: ${jointName(plan, joint)}` },
  'debt': {
    by: ['debt'],
    words: (plan, { debt }) =>
      plan.sheet.steps.flatMap(step => step.leaves ?? []).find(one => one.id === debt)?.what ?? debt,
  },
  'hold': { by: ['step'], words: (plan, { step }) => `Hold point: ${stepName(plan, step)}` },
  'step': { by: ['step'], words: (plan, { step }) => stepName(plan, step) },
  'axis': { by: ['axis'], words: (plan, { axis }) => axisName(plan, axis) },
  'stray': { by: ['part'], words: (plan, { part }) => `Off, and no step to fit it: ${partName(plan, part)}` },
  'round': { by: ['loop'], words: (plan, { loop }) => `Not come out good: ${loopName(plan, loop)}` },
  'trial': { by: ['part'], words: (plan, { part }) => `On for a trial: ${partName(plan, part)}` },
  'trouble': { by: ['step', 'sign'], words: (plan, { step, sign }) => `${stepName(plan, step)}: ${sign}` },
  'item': { by: ['item'], words: (_, { item }) => `Still in: ${item}` },
  'late': { by: ['entry', 'nth'], words: () => 'Done late, past something owed' },
}

export const OWED_KINDS = Object.keys(IDS) as OwedKind[]

type Loose = { kind: OwedKind } & Partial<Record<string, unknown>>
const rule = (kind: OwedKind) => IDS[kind] as { by: readonly string[]; words: (plan: Plan, id: OwedId) => string }

/** One text an identity, for maps. Never taken apart again. */
export const keyOf = (id: OwedId): string =>
  JSON.stringify([id.kind, ...rule(id.kind).by.map(key => (id as Loose)[key])])

/** An identity as it came over the wire: null when something of it is missing. What does not belong to it is left out. */
export function owedOf(given: Loose): OwedId | null {
  const { by } = rule(given.kind)
  if (by.some(key => given[key] === undefined)) return null
  return Object.fromEntries([['kind', given.kind], ...by.map(key => [key, given[key]])]) as OwedId
}

export const owedWords = (plan: Plan, id: OwedId): string => rule(id.kind).words(plan, id)
