import { expect, it } from 'vitest'
import type { PartState } from '~~/core/job'
import { whereIs } from './where'

const tagged = { keep: 'tag', renewal: 'on condition' } as const
const act = { by: 'a', role: 'fitter', at: '', entry: '', n: 1, seq: 1 } as const
const off = (more: Partial<PartState> = {}): PartState => ({ where: 'off', ...more })

it.each([
  [tagged, { where: 'on' }, 'on the machine'],
  [tagged, off(), 'no tag yet'],
  [tagged, off({ kept: { as: 'tag', label: 'T3' } }), 'tag T3'],
  [tagged, off({ kept: { as: 'tag', label: 'T3' }, decision: { ...act, choice: 'send out' } }), 'sent out'],
  [tagged, off({ decision: { ...act, choice: 'rework' }, returned: act }), 'no tag yet'],
  [tagged, off({ renewed: { ...act, from: 'stock' } }), 'new one ready'],
  [{ keep: 'lay', renewal: 'life' }, off(), 'laid out'],
  [{ keep: 'bag', renewal: 'always' }, off(), 'scrap'],
  [tagged, { where: 'fitted', fitted: { ...act, as: 'new', place: 'x' } }, 'fitted, a new one'],
] as [typeof tagged, PartState, string][])('%j %j is %s', (part, now, words) => expect(whereIs(part, now)).toBe(words))
