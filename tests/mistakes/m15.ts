import { M15 } from '../walks/m15.ts'
import {
  early,
  goesBack,
  hurried,
  inHand,
  leftIn,
  on,
  outAt,
  short,
  slip,
  smeared,
  stands,
  startsLocked,
  type Mistake,
  type Mistakes,
  exchanged,
  inTrial,
  leftSo,
} from './bench.ts'

const SEAL = { size: 'small', faces: 'soft', quench: 'water', union: 'clamp', reach: 'sealing' }
const BLOCK = { size: 'large', faces: 'hard', quench: 'none', union: 'flange', reach: 'block' }

/** The gap of a trial is out, and the trial is taken off all the same. */
const trialled = (what: string, tried: number, means: RegExp): Mistake =>
  inTrial('trial-off', { what, at: 'trial-read', stopped: 'turning-ready', means }, { tried })

export const M15_MISTAKES: Mistakes = {
  family: 'Sanitary pump on its motor',
  sheet: 'm15-sanitary-pump',
  figures: M15,
  mistakes: [
    ...on(SEAL, [
      leftSo('Water of the test is left in it', { drained: 'water of the test' }, /next batch/),
      startsLocked(),
      outAt(
        { what: 'It is opened with caustic in it', at: 'drained', stopped: 'unions-off', means: /burns/ },
        { flushed: 'blue, caustic' },
      ),
      hurried('It is opened hot', 'cooled', /pump cooling/),
      early('The cover comes off before the gap is read', 'gap-found', 'slung', /how it ran/, {
        lifts: ['front-foot@left'],
      }),
      early('The nut is turned with nothing to hold it', 'pin-in', 'nut-off', /breaks/, { lifts: ['nut'] }),
      leftIn(
        'The pin is left in as the impeller is drawn',
        'pin-drawn',
        { 'pin out': 0 },
        /Locking pin in the impeller/,
      ),
      leftIn(
        'An adapter screw is left in the housing',
        'pushers-out',
        { 'pushers out': 1 },
        /Adapter screws as pushers in the housing: 2 went in, 1 came out/,
      ),
      early('The block is parted unscribed', 'lined', 'block-off', /where its outlet stood/, {
        lifts: ['block-screws'],
      }),
      goesBack({ what: 'A face with heat checks goes back', at: 'look-seal', stopped: 'trial-on', means: /heck/ }, [
        'faces',
        'turning-ring',
        'checks 3 from 2:00 to 4:00',
      ]),
      stands(
        'The adapter stays reversed',
        'adapter-on',
        'adapter-way',
        'threads, drip window at 6',
        'adapter-pull',
        /floods the bearing/,
      ),
      stands(
        'The thrower goes on turned',
        'adapter-on',
        'dish',
        'to the bearings',
        'adapter-pull',
        /into the bearings/,
      ),
      stands(
        'The slot stands beside its pin',
        'still-in',
        'slot-pin',
        'proud by a finger, its slot beside the pin',
        'casing-on',
        /spins, and drips/,
      ),
      smeared('The stationary ring is pushed on dry', 'still-in', 'ring of the stationary ring', 'dry', /is torn/),
      outAt(
        { what: 'The stationary ring is cocked', at: 'casing-on', stopped: 'casing-on', means: /drips|proud/ },
        { 'ring-square at 3': 3.86, 'ring-square at 9': 4.15 },
      ),
      trialled('A shim is left on the bench', 0.92, /left on the bench/),
      trialled('A shim too many', 0.22, /a shim too many/),
      outAt(
        {
          what: 'Another pack than the tried one goes in',
          at: 'impeller-on',
          stopped: 'impeller-on',
          means: /Another pack/,
        },
        { 'pack-in': 0.3 },
      ),
      outAt(
        { what: 'A finger was on a face', at: 'turning-on', stopped: 'turning-on', means: /bakes on/ },
        { cloth: 'grease of a finger' },
      ),
      stands(
        'The drive tab is beside its notch',
        'impeller-on',
        'tab-notch',
        'it stands still',
        'nut-on',
        /until it breaks/,
      ),
      smeared('The nut goes on dry', 'nut-on', 'thread of the impeller nut', 'dry', /it galls/),
      leftIn('The pin stays in', 'pin-out', { 'pin-build out': 0 }, /Locking pin in the impeller/),
      stands('No light in the hole', 'pin-out', 'hole-empty', 'no light', 'cover-on', /shears the nut/),
      outAt(
        { what: 'It does not turn, and is shut', at: 'cover-on', stopped: 'cover-on', means: /The pin is in/ },
        { turned: 'not at all' },
      ),
      inHand(
        'A front foot goes under the motor',
        'feet-on',
        { 'front-foot@left': 'rear-foot@left', 'rear-foot@left': 'front-foot@left' },
        /twisted|Rear foot/,
      ),
      outAt(
        { what: 'A foot is soft', at: 'feet-read', stopped: 'unions-on', means: /motor is twisted/ },
        { 'soft rear, left': 0.6 },
      ),
      short('A screw of the feet is missing', 'feet-on', { 'foot-screws in': 7 }, 'feet-pull', 'hand-back'),
      outAt(
        { what: 'The pipes are pulled over to meet', at: 'unions-on', stopped: 'unions-on', means: /at one hour/ },
        { unions: 'a finger off to one side' },
      ),
      exchanged(
        { what: 'The quench lines are crossed', at: 'unions-on', stopped: 'run', means: /does not run off/ },
        ['quench-line@in', 'quench-line@out'],
        'hand-back',
      ),
      outAt(
        { what: 'It turns the wrong way', at: 'jogged', stopped: 'run', means: /nut runs off/ },
        { sense: 'clockwise' },
      ),
      slip('The gap is read in hundredths', 'gap-found', ['gap asFound at 12', 53, 0.53], /over the limit|span/),
    ]),
    ...on(BLOCK, [
      outAt(
        { what: 'The bearings go on too hot', at: 'bearings-on', stopped: 'bearings-on', means: /rings soften/ },
        { 'heat motor side': 148 },
      ),
      inHand(
        'The bearings are exchanged',
        'bearings-on',
        { 'bearing@motor': 'bearing@pump', 'bearing@pump': 'bearing@motor' },
        /run into the cover/,
      ),
      hurried('The play is read while it is warm', 'bearings-cool', /bearings cooling/),
      stands(
        'The front lip looks to the bearing',
        'shaft-in',
        'front-lip',
        'to the bearing',
        'shaft-in',
        /lets water in/,
      ),
      outAt(
        { what: 'The cover presses on its bearing', at: 'turned-block', stopped: 'adapter-on', means: /presses/ },
        { 'turned-block': 'tight all round' },
      ),
    ]),
  ],
}
