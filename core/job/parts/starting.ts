import type { Step } from '../../sheet/index.ts'

/** What is asked before a machine is started, whatever it is, by everybody's site rules: seen, never conceded. */
export interface StartQuestion {
  id: 'guards' | 'locks' | 'people'
  ask: string
  choices: readonly { say: string; met: boolean }[]
  /** What is done about any other answer. */
  otherwise: string
}

const QUESTIONS: readonly StartQuestion[] = [
  {
    id: 'guards',
    ask: 'Guards and bolts: go round it once. What is missing?',
    choices: [
      { say: 'a guard', met: false },
      { say: 'nothing, all are on', met: true },
      { say: 'a bolt or a cover', met: false },
    ],
    otherwise: 'It goes on before anything is started',
  },
  {
    id: 'locks',
    ask: 'Locks at the isolator: whose are still on?',
    choices: [
      { say: 'somebody else’s', met: false },
      { say: 'my own', met: false },
      { say: 'none, each taken off by its owner', met: true },
    ],
    otherwise: 'Each is taken off by whoever put it on, and by nobody else',
  },
  {
    id: 'people',
    ask: 'Who stands at the machine, or at what it drives?',
    choices: [
      { say: 'nobody, and they know it starts', met: true },
      { say: 'somebody still works there', met: false },
      { say: 'I have not looked', met: false },
    ],
    otherwise: 'Nothing is started until everybody is clear and knows of it, by your site’s procedure',
  },
]

/** What is asked before a step that starts something; nothing before any other. */
export const questionsAt = ({ starts }: Pick<Step, 'starts'>): readonly StartQuestion[] => (starts ? QUESTIONS : [])

/** What was answered, by question. */
export type Started = Partial<Record<StartQuestion['id'], string>>

/** Why nothing may be started yet, by what was answered, as sentences; empty when it may. */
export const notReady = (questions: readonly StartQuestion[], said: Started = {}): string[] =>
  questions.flatMap(({ id, ask, choices, otherwise }) => {
    const given = choices.find(one => one.say === said[id])
    return given ? (given.met ? [] : [`${otherwise}.`]) : [`Before it is started: ${ask}`]
  })
