import { M12 } from '../walks/m12.ts'
import {
  against,
  AT_ONCE,
  early,
  goesBack,
  hurried,
  inHand,
  on,
  outAt,
  short,
  slip,
  smeared,
  stands,
  startsLocked,
  unready,
  type Mistakes,
} from './bench.ts'

const SMALL = { bearings: 'semi', size: 'small', depth: 'overhaul' }
const LARGE = { bearings: 'semi', size: 'large', depth: 'overhaul' }
const FULL = { bearings: 'full', size: 'small', depth: 'overhaul' }
const CLOSED = { bearings: 'semi', size: 'small', depth: 'close' }

export const M12_MISTAKES: Mistakes = {
  family: 'Turbo-blower',
  sheet: 'm12-turbo-blower',
  figures: M12,
  mistakes: [
    ...on(SMALL, [
      {
        what: 'It is stopped before anybody has read it running',
        at: 'found-running',
        does: bench => void bench.does('isolate'),
        says: /Not read while it ran: Pressure it makes/,
        means: /the record says so/,
        stopped: null,
        noticed: AT_ONCE,
      },
      startsLocked('at the machine'),
      hurried('It is opened as soon as it stands', 'cooling', /blower cooling down/),
      outAt(
        {
          what: 'The covers come off while it is still hot',
          at: 'cooled',
          stopped: 'covers-off',
          means: /seizes or warps/,
        },
        { skin: 88 },
      ),
      early('The pipe is unbolted before the joint is measured', 'joint-found', 'flanges-off', /how the pipe stood/, {
        lifts: ['joint-bolts', 'inlet-ring', 'outlet-bolts', 'outlet-ring'],
      }),
      early('The cold casing is eased before it is marked', 'mark-cold', 'silencer-off', /angle is lost/, {
        lifts: ['silencer-bolts', 'silencer'],
      }),
      early('It is decided before thrust and lift are measured', 'found-play', 'decide-depth', /no play to read/),
      slip('A lift of 47 hundredths is typed as 47', 'found-play', ['lift asFound', 47, 0.47], /unit|47/),
      early('The nut is eased without a line', 'mark-nut', 'nut-off', /how far it was drawn up/, { lifts: ['nut'] }),
      early('The hot casing is eased before it is marked', 'mark-hot', 'hot-bolts-out', /angle is lost/, {
        lifts: ['hot-bolts', 'stop-plates'],
      }),
      short('A hot bolt is left in the foot', 'hot-bolts-out', { 'hot-bolts out': 7 }, 'hot-on', 'hot casing'),
      smeared('Bare journals go into the bath', 'grease-bare', 'journals and ring groove', 'dry', /rust in the bath/),
      unready('The bath is cold', 'bath', { 'bath-warm': 31 }, /hours do not count/),
      unready('One part of the bath is too strong', 'bath', { 'strength-b': 0.2 }, /eats the metal/),
      hurried('It is lifted out of the bath after an hour', 'bath', /in the bath/),
      outAt(
        { what: 'Carbon is left between some blades', at: 'rinse', stopped: 'rotor-in', means: /imbalance/ },
        { bare: 'a skin on some blades' },
      ),
      unready('Light alloy goes into the bath, too', 'bath', { basket: 'the impeller, too' }, /eats light alloy/),
      goesBack(
        { what: 'A wheel that was struck goes back', at: 'look-wheels', stopped: 'impeller-on', means: /blade cracks/ },
        ['wheels', 'impeller', 'struck 2 at 4:00'],
      ),
      against(
        'A rotor with a wide ring groove is put on reuse',
        { 'groove right': 2.71 },
        ['rotor', 'reuse'],
        /Groove of the hot seal ring/,
        'look-journals',
      ),
      inHand(
        'The bearing of the hot side is in the hand for the cold one',
        'float-in-cold',
        { 'float@cold': 'float@hot' },
        /own journal/,
      ),
      stands(
        'A snap ring goes in with its sharp edge to the bearing',
        'float-in-cold',
        'edge-cold',
        'the sharp one',
        'shield-on',
        /cuts the end/,
      ),
      stands(
        'The gap of the hot ring is given as seen from the cold side',
        'float-in-hot',
        'gap-hot',
        90,
        'shield-on',
        /over the pin/,
      ),
      stands(
        'A bearing stands on its pin',
        'float-in-hot',
        'notch-hot',
        'it covers part of the groove',
        'shield-on',
        /into its groove/,
      ),
      outAt(
        {
          what: 'A bearing is pressed by its snap ring',
          at: 'float-try-cold',
          stopped: 'shield-on',
          means: /presses on it/,
        },
        { 'free-cold': 'it turns a little, but does not move along' },
      ),
      stands(
        'The gap of the hot seal ring looks to a foot',
        'rotor-in',
        'ring-gap-hot',
        'a foot',
        'hot-on',
        /runs out through it/,
      ),
      inHand(
        'Cold casing bolts are in the hand for the hot ones',
        'hot-on',
        { 'hot-bolts': 'cold-bolts' },
        /soft in the heat/,
      ),
      stands('The hot casing is drawn up beside its mark', 'hot-tight', 'hot-angle', 30, 'inner-on', /meets the pipe/),
      inHand(
        'The outer collar is in the hand for the inner one',
        'inner-on',
        { 'collar@inner': 'collar@outer' },
        /stands off/,
      ),
      smeared('A collar goes on dry', 'inner-on', 'inner collar', 'dry', /wipes the thrust bearing/),
      stands(
        'The thrust bearing goes on a quarter round',
        'thrust-on',
        'thrust-top',
        90,
        'outer-on',
        /collars run dry/,
      ),
      stands(
        'The thrust bearing sits askew',
        'outer-on',
        'thrust-square',
        'on one side',
        'plate-on',
        /shuts the oilway/,
      ),
      stands(
        'The sealing plate goes on inside out',
        'plate-on',
        'arrow',
        'is not to be seen, it looks inward',
        'plate-on',
        /inside out/,
      ),
      stands('The nut comes to its torque far from its line', 'nut-pull', 'nut-line', 120, 'clamp-out', /not home/),
      outAt(
        {
          what: 'It is measured with the clamp still on',
          at: 'left-play',
          stopped: 'cold-casing-on',
          means: /clamp is still on/,
        },
        { 'thrust build': 0.01, 'lift build': 0.03 },
      ),
      outAt(
        {
          what: 'One of four clearances is under the least, their mean is not',
          at: 'left-gaps',
          stopped: 'cold-casing-on',
          means: /as soon as it is hot/,
        },
        { 'gaps build bottom': 0.38 },
      ),
      outAt(
        { what: 'It is hung up and has a hitch', at: 'spun', stopped: 'silencer-on', means: /blade touches/ },
        { spun: 'a hitch at one place' },
      ),
      smeared('The joint rings are laid in with grease', 'lower-on', 'joint rings', 'grease', /burns out/),
      outAt(
        {
          what: 'The pipe is drawn over to meet the blower',
          at: 'joint-left',
          stopped: 'run-up',
          means: /pulls it sideways/,
        },
        { 'joint-offset asLeft right': 6 },
      ),
      outAt(
        { what: 'It is run up though no oil comes', at: 'prime', stopped: 'run-up', means: /crossed, capped/ },
        { 'oil-comes': 'nothing' },
      ),
    ]),
    ...on(LARGE, [
      stands(
        'The plain ring goes onto the thrower of the largest size',
        'ring-on-cold',
        'ends-cold',
        'plain, end against end',
        'thrower-in',
        /into the oil/,
      ),
      stands(
        'The stepped ring goes onto the hot side',
        'ring-on-hot',
        'ends-hot',
        'stepped, one over the other',
        'rotor-in',
        /breaks off/,
      ),
      early('The set bolt is forgotten', 'set-on', 'flanges-on', /shakes it loose/, {
        fits: ['outlet-bolts', 'joint-bolts'],
      }),
    ]),
    ...on(FULL, [
      stands(
        'A full-floating bearing has the gap of its ring at the side',
        'float-in-cold',
        'gap-down-cold',
        90,
        'shield-on',
        /does not run off/,
      ),
    ]),
    ...on(CLOSED, [
      {
        what: 'A clearance is short and it is closed up all the same',
        at: 'found-gaps',
        does: bench => bench.reads({ 'gaps asFound left': 0.36 }).does('found-gaps'),
        says: /Clearance of the hot wheel: Failed/,
        means: /as soon as it is hot/,
        stopped: 'cold-casing-on',
        noticed: AT_ONCE,
      },
    ]),
  ],
}
