import { M13 } from '../walks/m13.ts'
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
  type Mistakes,
  exchanged,
  inTrial,
} from './bench.ts'

const SEAL = { seal: 'single', size: '50', depth: 'seal' }
const DOUBLE = { seal: 'double', size: '60', depth: 'seal' }
const FRAME = { seal: 'single', size: '60', depth: 'frame' }

export const M13_MISTAKES: Mistakes = {
  family: 'Agitator with a flushed seal',
  sheet: 'm13-agitator',
  figures: M13,
  mistakes: [
    ...on(SEAL, [
      startsLocked(),
      outAt(
        { what: 'A fitting is opened under pressure', at: 'flush-shut', stopped: 'guards-off', means: /let down/ },
        { 'let-down': 'gauge stands above nothing' },
      ),
      early('The drive is lifted before the halves are marked', 'dotted', 'drive-up', /which holes met/, {
        lifts: ['drive'],
      }),
      early('The quill is worked at with no fork under the shaft', 'fork-in', 'retaining-in', /drops into the vessel/),
      early('The bolt is eased with the quill not held', 'retaining-in', 'bolt-eased', /falls through/, {
        lifts: ['tab-plate'],
      }),
      early('The screw comes out before the height is read', 'height-found', 'screw-out', /where it stood/, {
        lifts: ['pointed'],
      }),
      leftIn('The fork is left in the vessel', 'shaft-out', { 'fork out': 0 }, /Fork under the shaft: 1 went in/),
      early('The impellers come off before they are measured', 'places-found', 'impellers-off', /where they sat/, {
        lifts: ['impeller@up'],
      }),
      goesBack({ what: 'Checked faces go back', at: 'look-seal', stopped: 'still-trial', means: /heck/ }, [
        'faces',
        'still@product',
        'checks 3 from 2:00 to 6:00',
      ]),
      smeared(
        'The counter ring goes in on grease',
        'counter-in',
        'seats of the counter ring',
        'grease',
        /tips the face/,
      ),
      inTrial(
        'trial-out',
        { what: 'It stands on dirt, and gets its ring', at: 'trial-read', stopped: 'turning-in', means: /tipped/ },
        { 'rock across': 0.4 },
      ),
      inTrial(
        'trial-out',
        { what: 'A pin stands too high', at: 'trial-read', stopped: 'turning-in', means: /rocks the face/ },
        { 'pin-high build pin b': 4.6 },
      ),
      smeared('Grease on the ring of the turning part', 'turning-in', 'ring of the turning part', 'grease', /hangs up/),
      stands(
        'A pin stands on the rim',
        'turning-in',
        'slots',
        'one in a slot, one on the rim',
        'shaft-up',
        /tipped by a pin/,
      ),
      outAt(
        { what: 'A spring ring lies double', at: 'springs-felt', stopped: 'shaft-up', means: /double/ },
        { force: 110 },
      ),
      smeared('The flange screws go in dry', 'flange-on', 'screws of the flange', 'dry', /seizes/),
      short('A flange screw is missing', 'flange-on', { 'flange-screws in': 5 }, 'flange-pull', 'seal'),
      inTrial(
        'still-trial-out',
        { what: 'A tab is beside its slot in the trial', at: 'still-trial', stopped: 'shaft-up', means: /it cracks/ },
        { 'still-proud over a tab': 3 },
      ),
      stands('The impellers stand in line', 'impellers-on', 'apart', 40, 'shaft-up', /swings/),
      stands('An impeller is upside down', 'impellers-on', 'rake-low', 'to the left', 'shaft-up', /stays unmixed/),
      exchanged(
        { what: 'The impellers are exchanged', at: 'impellers-on', stopped: 'shaft-up', means: /it swings/ },
        ['impeller@up', 'impeller@low'],
        'seal',
      ),
      outAt(
        { what: 'An impeller is clamped too low', at: 'impellers-on', stopped: 'shaft-up', means: /its own foam/ },
        { 'place-low build': 320 },
      ),
      smeared('Oil on the ring of the quill', 'shaft-up', 'ring of the quill', 'oil', /oil swells/),
      outAt(
        { what: 'The pin is beside the keyway', at: 'shaft-up', stopped: 'bolt-drawn', means: /draw it through/ },
        { rise: 2 },
      ),
      outAt(
        { what: 'The bolt is drawn with nobody at the seal', at: 'bolt-drawn', stopped: 'bolt-pull', means: /sheared/ },
        { slid: 'nobody stood there' },
      ),
      outAt(
        { what: 'The shaft runs out', at: 'bolt-done', stopped: 'still-in', means: /gape once a turn/ },
        { 'seal-run asLeft': 0.4 },
      ),
      stands(
        'The stationary part goes in on its face',
        'still-in',
        'lap',
        'a dull face, with slots',
        'housing-set',
        /grinds/,
      ),
      stands('A tab is beside its slot', 'still-in', 'tabs', 'one below, one on the rim', 'housing-set', /it cracks/),
      outAt(
        { what: 'The height is set by eye', at: 'housing-set', stopped: 'screw-in', means: /gape/ },
        { 'height build': 36 },
      ),
      outAt(
        { what: 'The housing stands aslant', at: 'housing-set', stopped: 'screw-in', means: /Aslant|apart/ },
        { 'height build at 4': 34.3, 'height build at 8': 33.7 },
      ),
      smeared('The pointed screw is oiled', 'screw-in', 'pointed screw', 'oil', /works loose/),
      outAt(
        { what: 'The point is beside its dimple', at: 'screw-in', stopped: 'screw-pull', means: /climbs/ },
        { tail: 1 },
      ),
      outAt(
        { what: 'The old dimple drags it off', at: 'screw-in', stopped: 'screw-pull', means: /fresh one/ },
        { 'height-again': 34.9 },
      ),
      exchanged(
        { what: 'The flush lines are crossed', at: 'flush-on', stopped: 'guards-on', means: /run in air/ },
        ['flush@in', 'flush@out'],
        'seal',
      ),
      outAt(
        { what: 'It leaks, and gets its guards', at: 'air', stopped: 'guards-on', means: /lets by/ },
        { 'tight At the end, absolute': 0.28 },
      ),
      short('Three guard screws stay on the bench', 'guards-on', { 'guard-screws in': 5 }, 'guards-on', 'seal'),
      leftIn(
        'The retaining bolt is left in the quill',
        'retaining-out',
        { 'retaining out': 0 },
        /Retaining bolt of the quill: 1 went in/,
      ),
      early('The fork comes out before the bolt holds', 'bolt-pull', 'retaining-out', /Nothing else carries/),
      stands(
        'The non-return valve stands the wrong way',
        'valve-on',
        'valve-way',
        'away from the seal',
        'run',
        /runs dry/,
      ),
      stands('The halves are turned to each other', 'drive-on', 'halves', [2, 1], 'drive-pull', /they knock/),
      outAt(
        {
          what: 'It is started though it does not turn',
          at: 'turned-by-hand',
          stopped: 'run',
          means: /retaining bolt/,
        },
        { turned: 'it does not go round' },
      ),
      outAt(
        { what: 'It is started with air in the flush', at: 'flushed', stopped: 'run', means: /run dry/ },
        { vented: 'bubbles with it' },
      ),
      slip('The height is read in centimetres', 'height-found', ['height asFound', 3.41, 34.1], /under the limit/),
    ]),
    ...on(DOUBLE, [
      exchanged(
        {
          what: 'The stationary parts of the two seats are exchanged',
          at: 'still-in',
          stopped: 'screw-in',
          means: /do not meet/,
        },
        ['still@product', 'still@air'],
        'seal',
      ),
      stands(
        'A pin stands on the rim at the air side',
        'turning-in-air',
        'slots-air',
        'both on the rim, it turns',
        'shaft-up',
        /tipped by a pin/,
      ),
      inTrial(
        'trial-out-air',
        { what: 'It rocks at the air side', at: 'trial-read-air', stopped: 'turning-in-air', means: /tipped/ },
        { 'rock-air over the pins': 0.5 },
      ),
    ]),
    ...on(FRAME, [
      leftIn(
        'The quill is pressed with its retaining bolt in',
        'quill-out',
        { 'retaining-strip out': 0 },
        /Retaining bolt of the quill: 1 went in/,
      ),
      inHand(
        'The sliding bearing goes into the pair',
        'bearings-on',
        { 'pair@lower': 'slider', 'slider': 'pair@lower' },
        /6212/,
      ),
      stands(
        'The V of the pair is broken',
        'bearings-on',
        'vee',
        'there is no V, two halves of a stroke',
        'nut-on',
        /sinks/,
      ),
      outAt(
        { what: 'A bearing goes on half warm', at: 'bearings-on', stopped: 'bearings-on', means: /before it is home/ },
        { 'heat 6212': 60 },
      ),
      hurried('The nut is drawn on warm bearings', 'bearings-cool', /bearings cooling/),
      stands(
        'The bottom lip keeps nothing out',
        'covers-on',
        'lip-bottom',
        'up, to the bearings',
        'covers-pull',
        /Flush gets/,
      ),
      outAt(
        { what: 'The pair has no float', at: 'covers-pull', stopped: 'frame-on', means: /pinched/ },
        { 'float build': 0 },
      ),
      inHand('Short screws go into the frame', 'frame-on', { 'frame-screws': 'drive-screws' }, /Screws of the drive/),
    ]),
  ],
}
