import { describe, expect, it } from 'vitest'
import { eventsIn } from './long'

describe('events of work that takes long', () => {
  it('are read one by one', () =>
    expect(eventsIn('event: progress\ndata: {"before":2}\n\nevent: done\ndata: "JVBERi0="\n\n')).toEqual({
      events: [
        { event: 'progress', data: { before: 2 } },
        { event: 'done', data: 'JVBERi0=' },
      ],
      rest: '',
    }))
  it('wait for their end', () =>
    expect(eventsIn('event: progress\ndata: {"sha')).toEqual({ events: [], rest: 'event: progress\ndata: {"sha' }))
  it('that are none are passed over', () => expect(eventsIn(': beat\n\n').events).toEqual([]))
})
