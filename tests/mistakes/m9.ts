import { M9 } from '../walks/m9.ts'
import {
  early,
  hurried,
  inHand,
  on,
  outAt,
  short,
  smeared,
  stands,
  startsLocked,
  unready,
  type Mistakes,
} from './bench.ts'

const BOTH = { hub: 'injected', air: 'blower', turning: 'both', tacho: 'belt', winding: 'keep' }
const ONE_WAY = { ...BOTH, turning: 'one' }
const FIELDS = { ...BOTH, winding: 'fields' }

export const M9_MISTAKES: Mistakes = {
  family: 'Direct-current motor',
  sheet: 'm9-dc-motor',
  figures: () => M9,
  mistakes: [
    ...on(BOTH, [
      startsLocked('at the motor'),
      early('It is opened before its insulation is read', 'first-tests', 'covers-off', /how damp it was/, {
        lifts: ['covers', 'cover-gaskets'],
      }),
      early('The brushes come out before the skin is read', 'skin-read', 'brushes-out', /cannot be read any more/, {
        lifts: ['brush@a1', 'brush@a2', 'brush@a3', 'brush@a4'],
      }),
      early('The nut comes off before the hub has let go', 'hub-eased', 'hub-off', /flies/, {
        lifts: ['hub-tab', 'hub-nut', 'hub'],
      }),
      hurried('The hub is pulled before the oil weeps', 'hub-eased', /oil weeping/),
      early('The rocker is taken out before it is scribed', 'mark-rocker', 'gear-out', /where it ran/, {
        lifts: ['shield-screws@ce', 'shield@ce', 'rocker-clamp', 'rocker'],
      }),
      short('A holder is left on its arm', 'holders-off', { 'holder@a2 out': 2 }, 'holders-on', 'frame'),
      unready('The oven is cold', 'oven', { 'oven-warm': 68 }, /Damp stays/),
      hurried('It comes out of the oven after a night', 'oven', /in the oven/),
      outAt(
        { what: 'Its insulation still rises and it comes out', at: 'oven-level', stopped: 'cool', means: /not dry/ },
        { level: 0.3 },
      ),
      hurried('It is tested while it is warm', 'cool', /cooling to the room/),
      outAt(
        { what: 'One bar reads another resistance', at: 'tests', stopped: 'arm-in', means: /open or shorted/ },
        { 'bars bar 17': 0.31 },
      ),
      outAt(
        { what: 'One field coil drops less than the others', at: 'tests', stopped: 'arm-in', means: /shorted/ },
        { 'fields pole 3': 88 },
      ),
      early('It is chamfered before it is undercut', 'undercut', 'chamfer', /lifts the brushes/),
      outAt(
        { what: 'Fins are left in the slots', at: 'chamfer', stopped: 'arm-in', means: /flashover/ },
        { edges: 'fins in the slots' },
      ),
      outAt(
        { what: 'It goes in out of balance', at: 'balance', stopped: 'bearings-on', means: /shakes at speed/ },
        { 'balance commutator end plane': 4200 },
      ),
      smeared('The bearings go on dry', 'bearings-on', 'bearings', 'dry', /gone in an hour/),
      stands(
        'A cap shuts its grease way',
        'caps-on',
        'grease-way-de',
        'it stops at the cap',
        'caps-on',
        /never reaches/,
      ),
      early('The card is left round the commutator', 'card-out', 'turn', /shorts the bars/),
      outAt(
        { what: 'It rubs at one place', at: 'turn', stopped: 'brushes-in-a1', means: /in the gap/ },
        { turned: 'it rubs at one place' },
      ),
      outAt(
        { what: 'One air gap is another', at: 'gaps', stopped: 'brushes-in-a1', means: /exchanged/ },
        { 'gap-main pole 2': 3.1 },
      ),
      stands(
        'A brush of another grade goes in',
        'brushes-in-a2',
        'grade-a2',
        'two of them, side by side',
        'bed',
        /carries for the others/,
      ),
      smeared('The brushes are oiled so that they slide', 'brushes-in-a1', 'brushes of arm 1', 'grease', /burns in/),
      outAt(
        {
          what: 'One spring is weaker than its neighbours',
          at: 'brushes-in-a3',
          stopped: 'springs-down',
          means: /floats and burns/,
        },
        { 'force-a3 middle': 9.2 },
      ),
      outAt(
        { what: 'The brushes bear on a stripe', at: 'bed', stopped: 'rocker-clamped', means: /burns the bars/ },
        { bedded: 'a stripe across, dull on both sides' },
      ),
      outAt(
        {
          what: 'It kicks, and is clamped all the same',
          at: 'neutral',
          stopped: 'rocker-clamped',
          means: /sparks one way/,
        },
        { kick: 0.8 },
      ),
      stands(
        'The rocker creeps off its mark as it is clamped',
        'rocker-clamped',
        'neutral',
        6,
        'springs-down',
        /burns the edges/,
      ),
      outAt(
        { what: 'Dust is left between the bars', at: 'springs-down', stopped: 'leads-on', means: /flashes over/ },
        { dust: 'carbon dust' },
      ),
      outAt(
        { what: 'It sparks over half an edge and goes back', at: 'run', stopped: 'hub-on', means: /burns the bars/ },
        { 'bearing-run *spark*': 3 },
      ),
      hurried('The nut goes on while the taper is oiled', 'hub-on', /bleeding out/),
      outAt(
        {
          what: 'The hub is not drawn home',
          at: 'hub-on',
          stopped: 'hub-nut-on',
          means: /creeps under the first load/,
        },
        { advance: 1.1 },
      ),
    ]),
    ...on(ONE_WAY, [
      stands(
        'Bevelled brushes go in with the turn',
        'brushes-in-a1',
        'bevel-a1',
        'the bevel with the turn',
        'bed',
        /chatters/,
      ),
    ]),
    ...on(FIELDS, [
      inHand(
        'An interpole is in the hand for its neighbour',
        'poles-in',
        { 'interpole@p1': 'interpole@p2' },
        /one arm sparks/,
      ),
    ]),
  ],
}
