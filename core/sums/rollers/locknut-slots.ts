import { accept, refuse } from '../../result.ts'
import { slotSetting } from '../../rollers/index.ts'
import { defineSum, line, say } from '../define.ts'
import { fallback, number, optional, whole } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'

export const locknutSlotsSum = defineSum({
  name: 'locknut-slots',
  craft: 'rollers',
  title: 'Locknut by its slots',
  about:
    'How many slots bring the nut to the wanted clearance, or a rotor to the middle between its walls, and what the slot on either side really leaves.',
  source: 'pitch and the least common multiple of slots and tabs',
  fields: {
    pitchMm: number('Pitch', 'mm', [0.25, 10]),
    slots: whole('Slots of the nut', [1, 60]),
    tabs: fallback(whole('Tabs of the washer', [1, 60]), 1),
    wantedMm: optional(number('End clearance wanted', 'mm', [0, 100])),
    betweenMm: optional(number('Or room between two walls, to stand in their middle', 'mm', [0, 100])),
    stopsGiven: optional(whole('Stops that were given', [0, 2000])),
    minMm: makerMin('mm', [0, 100]),
    maxMm: makerMax('mm', [0, 100]),
  },
  example: { pitchMm: 1.5, slots: 4, tabs: 17, wantedMm: 0.12, stopsGiven: 5, minMm: 0.1, maxMm: 0.15 },
  work: ({ pitchMm, slots, tabs, wantedMm: clearanceMm, betweenMm, stopsGiven, minMm, maxMm }) => {
    if ((clearanceMm === undefined) === (betweenMm === undefined))
      return refuse('Give the end clearance that is wanted, or what the walls leave between them, not both.')
    const wantedMm = clearanceMm ?? betweenMm! / 2
    const setting = slotSetting(pitchMm, slots, tabs, wantedMm)
    if (!setting.ok) return setting
    const { stopsPerTurn, travelPerStopMm, exact, fewer, more } = setting.value
    const nearer = wantedMm - fewer.leavesMm <= more.leavesMm - wantedMm ? fewer : more
    const givenMm = stopsGiven === undefined ? undefined : stopsGiven * travelPerStopMm
    return accept({
      figures: [
        ...(givenMm === undefined
          ? []
          : [
              {
                key: 'offMm',
                what: 'Off what is wanted',
                value: givenMm - wantedMm,
                unit: 'mm',
                decimals: 3,
                // The nearest stop is never further off than half of one.
                held: hold(
                  givenMm - wantedMm,
                  {},
                  { low: 'a stop too few', high: 'a stop too many' },
                  {
                    limits: { min: -travelPerStopMm * 0.501, max: travelPerStopMm * 0.501 },
                    source: 'half a stop to either side',
                  },
                ),
              },
              { key: 'givenMm', what: `${stopsGiven} stops give`, value: givenMm, unit: 'mm', decimals: 3 },
            ]),
        { key: 'stops', what: 'Stops to turn the nut', value: nearer.stops, decimals: 0 },
        {
          key: 'leavesMm',
          what: 'Leaves',
          value: nearer.leavesMm,
          unit: 'mm',
          decimals: 3,
          held: hold(
            nearer.leavesMm,
            { min: minMm, max: maxMm },
            { low: 'no room for growth: the bearings load each other', high: 'the rotor floats too far' },
          ),
        },
        { key: 'travelPerStopMm', what: 'A stop is worth', value: travelPerStopMm, unit: 'mm', decimals: 4 },
        { key: 'stopsPerTurn', what: 'Stops a turn', value: stopsPerTurn, decimals: 0 },
        { key: 'exact', what: 'Exactly', value: exact, decimals: 2 },
        { key: 'fewerLeavesMm', what: `${fewer.stops} stops leave`, value: fewer.leavesMm, unit: 'mm', decimals: 3 },
        { key: 'moreLeavesMm', what: `${more.stops} stops leave`, value: more.leavesMm, unit: 'mm', decimals: 3 },
      ],
      working: [
        line('Stops a turn', 'lcm(slots, tabs)', `lcm(${slots}, ${tabs})`, String(stopsPerTurn)),
        line('A stop', 'pitch/stops', `${say(pitchMm)}/${stopsPerTurn}`, `${say(travelPerStopMm, 4)} mm`),
        line('Wanted', 'clearance/stop', `${say(wantedMm)}/${say(travelPerStopMm, 4)}`, `${say(exact, 2)} stops`),
      ],
      notes: ['Count only where slots and tabs are evenly spaced; one tab alone stops at the nut’s slots.'],
      more: { fewer, more },
    })
  },
})
