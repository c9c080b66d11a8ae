import { M18 } from '../walks/m18.ts'
import {
  against,
  early,
  hurried,
  inHand,
  on,
  outAt,
  short,
  slip,
  smeared,
  stands,
  type Mistakes,
  leftSo,
} from './bench.ts'

const SMALL = { size: 'small', tray: 'single', air: 'own' }
const LARGE = { size: 'large', tray: 'double', air: 'line' }

export const M18_MISTAKES: Mistakes = {
  family: 'Pneumatic linear conveyor',
  sheet: 'm18-linear-conveyor',
  figures: M18,
  mistakes: [
    ...on(SMALL, [
      leftSo('A base bolt moves after its hour', { 'base-again': 'one or two moved' }, /have settled/),
      outAt(
        { what: 'It is opened with air in it', at: 'vented', stopped: 'vented', means: /takes fingers/ },
        { vented: 'it strokes once' },
      ),
      early('The adjuster comes out before it is read', 'found', 'tray-off', /how it was set/, { lifts: ['adjuster'] }),
      against(
        'A dented piston goes back',
        { 'size-l inspect': 19.99 },
        ['piston@l', 'reuse'],
        /renew is proposed/,
        'measured',
      ),
      outAt(
        { what: 'Another ring is taken', at: 'look-new', stopped: 'body-on', means: /does not start/ },
        { 'ring-section': 3.1 },
      ),
      hurried('The silencers go on wet', 'dried', /silencers drying/),
      stands('The foot goes on end for end', 'body-on', 'slots', 'two of them', 'foot-pull', /does not start/),
      smeared('Sealant on the foot', 'body-on', 'faces of the foot', 'oil', /jam the valve/),
      outAt(
        { what: 'The foot blows at one place', at: 'foot-felt', stopped: 'bearings-in', means: /blows there/ },
        { 'foot-shut place 3': 'it goes in' },
      ),
      stands(
        'A bearing goes in square edge first',
        'bearings-in',
        'taper',
        'the tapered one on one or two',
        'seat-in',
        /shaved oval/,
      ),
      outAt(
        { what: 'Shavings are left in', at: 'bearings-read', stopped: 'seat-in', means: /jams the valve/ },
        { shavings: 'a curl of plastic' },
      ),
      outAt(
        { what: 'A bearing closed in as it was driven', at: 'bearings-read', stopped: 'seat-in', means: /rail drags/ },
        { 'bearing-bore back, left': 9.99 },
      ),
      outAt(
        { what: 'A bearing stands proud', at: 'bearings-read', stopped: 'seat-in', means: /strikes it/ },
        { 'bearing-deep front, right': -0.6 },
      ),
      outAt(
        { what: 'The seat is cocked', at: 'valve-in', stopped: 'valve-in', means: /goes one way|not home/ },
        { 'seat-square at 4': 2.41, 'seat-square at 8': 2.58 },
      ),
      stands('The seat goes in turned over', 'seat-in', 'bevel', 'a flat rim', 'valve-in', /blows through/),
      stands('The valve goes in stem up', 'valve-in', 'stem', 'its stem, standing up', 'cap-on', /it is dead/),
      outAt(
        { what: 'The valve does not lift', at: 'valve-read', stopped: 'cap-on', means: /it is dead/ },
        { lift: 0.4 },
      ),
      stands(
        'Another gasket goes under the cap',
        'cap-on',
        'gasket-pattern',
        'it is thicker or thinner',
        'cap-on',
        /another lift/,
      ),
      outAt(
        { what: 'A piston does not fall', at: 'pistons-tried', stopped: 'pistons-in', means: /sticks as it warms/ },
        { 'falls right': 'it has to be pushed, or turned' },
      ),
      inHand(
        'The pistons are exchanged',
        'pistons-in',
        { 'piston@l': 'piston@r', 'piston@r': 'piston@l' },
        /turns over/,
      ),
      smeared('Grease on rings and pistons', 'pistons-in', 'rings, pistons and bores', 'grease', /gums the valve/),
      stands('The rod lies flat down', 'rails-in', 'flat', 'down', 'plate-on', /strikes beside/),
      inHand(
        'Short screws go outside',
        'plate-on',
        { 'long-screws': 'short-screws', 'short-screws': 'long-screws' },
        /Short screws/,
      ),
      stands('Long screws go inside', 'plate-on', 'heads', 'the inner two, by 15 mm', 'plate-on', /plate is loose/),
      short('A screw of the end plate is missing', 'plate-on', { 'short-screws in': 1 }, 'plate-on', 'bores'),
      outAt(
        { what: 'The carriage binds', at: 'slid', stopped: 'adjuster-in', means: /screws askew/ },
        { slides: 'heavy, or it binds at one place' },
      ),
      outAt(
        { what: 'The adjuster is hardly out', at: 'adjuster-set', stopped: 'locknut-pull', means: /hammers/ },
        { 'adjuster build': 1.2 },
      ),
      outAt(
        {
          what: 'It gets bench air without a filter',
          at: 'bench-air',
          stopped: 'low-air',
          means: /grit in clean bores/,
        },
        { 'set-on': 'a hose' },
      ),
      early('It gets full air first', 'low-air', 'held', /breaks what is wrong/),
      outAt(
        { what: 'It goes one way, and gets full air', at: 'low-air', stopped: 'full-air', means: /cocked seat/ },
        { 'both-ways': 'one way, and stops' },
      ),
      outAt(
        { what: 'It leaks, and goes back on its base', at: 'held', stopped: 'back-on', means: /it leaks/i },
        { 'tight At the end, absolute': 0.371 },
      ),
      stands(
        'The air set is turned round',
        'back-on',
        'set-order',
        'lubricator, regulator, filter',
        'base-pull',
        /blows its dirt/,
      ),
      slip('The adjuster is read in hundredths', 'found', ['adjuster asFound', 400, 4], /over the limit|span/),
    ]),
    ...on(LARGE, [
      stands(
        'It is hung on the main without a filter',
        'back-on',
        'line-order',
        'nothing, it comes off the main',
        'base-pull',
        /grit goes into clean bores/,
      ),
    ]),
  ],
}
