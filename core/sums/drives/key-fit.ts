import { KEY_FIT_NAMES, KEY_FITS, keyLimits } from '../../drives/index.ts'
import type { ToleranceLimits } from '../../fits/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, limitOf, number } from '../fields.ts'
import { hold } from '../limits.ts'

const WIDTH = [1, 120] as const

export const keyFitSum = defineSum({
  name: 'key-fit',
  craft: 'drives',
  title: 'Key in its slots',
  about: 'A parallel key against its slots in shaft and hub, by measured widths, and the room over its top.',
  source: 'DIN 6885-1 and ISO/R 773 classes; limits of ISO 286-2',
  fields: {
    widthMm: number('Width, nominal', 'mm', WIDTH),
    fit: choice('It sits', KEY_FIT_NAMES),
    keyMm: number('Key, width', 'mm', WIDTH),
    shaftSlotMm: number('Slot in the shaft', 'mm', WIDTH),
    hubSlotMm: number('Slot in the hub', 'mm', WIDTH),
    keyHeightMm: limitOf(number('Key, height', 'mm', WIDTH), 'depthsMm'),
    depthsMm: limitOf(
      number('Both slots’ depths together', 'mm', [1, 200], 'key seat to the top of the hub’s slot'),
      'keyHeightMm',
    ),
    minTopMm: limitOf(number('Minimum room over the key', 'mm', [0, 5]), 'keyHeightMm', 'depthsMm'),
  },
  example: {
    widthMm: 14,
    fit: 'normal',
    keyMm: 13.985,
    shaftSlotMm: 13.975,
    hubSlotMm: 14.015,
    keyHeightMm: 9,
    depthsMm: 9.3,
    minTopMm: 0.2,
  },
  work: ({ widthMm, fit, keyMm, shaftSlotMm, hubSlotMm, keyHeightMm, depthsMm, minTopMm }) => {
    const far = [keyMm, shaftSlotMm, hubSlotMm].find(one => Math.abs(one - widthMm) > 0.5)
    if (far !== undefined)
      return refuse(`${say(far)} mm is far from the nominal ${say(widthMm)} mm. Check the decimal mark.`)
    return answering(keyLimits(widthMm, fit), limits => {
      const play = (slotMm: number, slot: ToleranceLimits, cls: string, where: string) => {
        const um = (slotMm - keyMm) * 1000
        return {
          um,
          held: hold(
            um,
            {},
            {
              low: `too tight in the ${where}: driven home it bows, and the ${where} may crack`,
              high: `slack in the ${where}: it rocks, hammers the slot and shears`,
            },
            {
              limits: { min: slot.lowerUm - limits.key.upperUm, max: slot.upperUm - limits.key.lowerUm },
              source: `${cls} on h9, ISO 286-2`,
            },
          ),
        }
      }
      const shaft = play(shaftSlotMm, limits.shaft, KEY_FITS[fit].shaft, 'shaft')
      const hub = play(hubSlotMm, limits.hub, KEY_FITS[fit].hub, 'hub')
      const topMm = keyHeightMm === undefined || depthsMm === undefined ? undefined : depthsMm - keyHeightMm
      return {
        figures: [
          fig('shaftUm', 'Play in the shaft', shaft.um, 'µm', 0, shaft.held),
          fig('hubUm', 'Play in the hub', hub.um, 'µm', 0, hub.held),
          ...(topMm === undefined
            ? []
            : [
                fig(
                  'topMm',
                  'Room over the key',
                  topMm,
                  'mm',
                  2,
                  hold(
                    topMm,
                    { min: minTopMm },
                    { low: 'the key carries the hub on its top and pushes it off centre' },
                    { limits: { min: 0 }, source: 'some room over its top: a parallel key drives by its sides' },
                  ),
                ),
              ]),
        ],
        working: [
          line('Shaft', 'slot − key', `${say(shaftSlotMm)} − ${say(keyMm)}`, `${say(shaft.um, 1)} µm`),
          line('Hub', 'slot − key', `${say(hubSlotMm)} − ${say(keyMm)}`, `${say(hub.um, 1)} µm`),
          ...(topMm === undefined
            ? []
            : [line('Top', 'depths − height', `${say(depthsMm!)} − ${say(keyHeightMm!)}`, `${say(topMm)} mm`)]),
        ],
      }
    })
  },
})
