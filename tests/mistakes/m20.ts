import { M20 } from '../walks/m20.ts'
import {
  against,
  AT_ONCE,
  early,
  inHand,
  on,
  goesBack,
  outAt,
  short,
  slip,
  smeared,
  stands,
  type Mistakes,
  hurried,
} from './bench.ts'

const HAZARDOUS = { faces: 'carbon', duty: 'hazardous' }
const LEARNT = { faces: 'carbon', duty: 'plain', purpose: 'analysis' }

export const M20_MISTAKES: Mistakes = {
  family: 'Dual cartridge seal',
  sheet: 'm20-dual-seal',
  figures: ({ purpose }) => ({ ...M20, ...(purpose === 'analysis' ? { 'faces face@in': 'coke 2 at 6:00' } : {}) }),
  mistakes: [
    ...on(HAZARDOUS, [
      early(
        'It is opened before anybody has written down what it pumped',
        'rinsed',
        'received',
        /stands behind its faces/,
      ),
      inHand(
        'A collar screw goes back into another hole',
        'collar-on',
        { 'lettered-screws@a': 'lettered-screws@b' },
        /tells which screw held/,
      ),
    ]),
    early('The clips come off before the setting is measured', 'found-setting', 'clips-off', /how it was set/, {
      lifts: ['clip-screws', 'clips'],
    }),
    early('The collar is lifted before it is indexed', 'index-turning', 'collar-off', /how they sat/, {
      lifts: ['collar'],
    }),
    early('The sprung face is pushed out before its dot is made', 'seat-marked-out', 'seat-off-out', /has no hour/, {
      lifts: ['seat@out', 'slide-ring@out'],
    }),
    early('Everything is wiped before it is read', 'read-faces', 'clean', /cannot be read any more/),
    {
      what: 'The ring is let go before it is read',
      at: 'face-off-out',
      does: bench => bench.tries('step.done', { step: 'face-off-out' }),
      says: /^Ring of the turning face, outboard, held at 12/,
      means: /By eye and hand/,
      stopped: 'face-off-out',
      noticed: 'before: inboard faces',
    },
    short(
      'A spring of the outboard set rolls away',
      'springs-off-out',
      { 'springs@out out': 7 },
      'springs-on-out',
      'inboard faces',
    ),
    short(
      'A pocket is left without its spring',
      'springs-on-in',
      { 'springs@in in': 7 },
      'seat-on-in',
      'inboard faces',
    ),
    inHand('The spring sets are exchanged', 'springs-on-out', { 'springs@out': 'springs@in' }, /wear the faces out/),
    inHand('The sprung faces are exchanged', 'seat-on-out', { 'seat@out': 'seat@in' }, /both leak/),
    inHand('The turning faces are exchanged', 'face-on-in', { 'face@in': 'face@out' }, /both leak/),
    stands('Both pins are on one slot', 'seat-on-out', 'pins-out', 'none, it is stiff', 'sleeve-in', /stands skew/),
    stands(
      'A sliding ring is rolled under the face',
      'seat-on-in',
      'square-in',
      'one side first',
      'sleeve-in',
      /holds one side back/,
    ),
    stands(
      'The inboard face is turned on its sleeve',
      'face-on-in',
      'face-index-in',
      40,
      'sleeve-in',
      /meets a new place/,
    ),
    stands('The collar is a hole further round', 'collar-on', 'collar-index', 120, 'collar-on', /misses its slot/),
    stands(
      'The retaining ring stands out of its groove',
      'collar-on',
      'retainer-home',
      'proud at its ends',
      'collar-on',
      /walks off the sleeve/,
    ),
    smeared('The sliding ring goes in dry', 'seat-on-out', 'sliding ring, outboard', 'dry', /hangs/),
    smeared(
      'The face is wiped with the film, too',
      'seat-on-in',
      'sprung face, inboard',
      'silicone film',
      /pressed into the carbon/,
    ),
    smeared(
      'The ring of the face is oiled with the film',
      'face-on-out',
      'ring of the outboard face',
      'silicone film',
      /swells it/,
    ),
    smeared('The gasket is wetted to hold it', 'gasket-on', 'gasket', 'water', /pressed out/),
    outAt(
      { what: 'It is set by eye, without the gauge', at: 'clips-on', stopped: 'gasket-on', means: /faces open/ },
      { 'set-gap clip 2': 2.4 },
    ),
    outAt(
      {
        what: 'Something lies under the outboard face',
        at: 'pressed-out',
        stopped: 'sleeve-in',
        means: /lies outside its pocket/,
      },
      { 'travel-out': 2.5 },
    ),
    outAt(
      {
        what: 'It scrapes as it is turned, and the clips go on',
        at: 'turned',
        stopped: 'clips-on',
        means: /Metal touches/,
      },
      { turned: 'it scrapes' },
    ),
    outAt(
      { what: 'A screw stands into the bore', at: 'turned', stopped: 'clips-on', means: /scores the shaft/ },
      { 'tips-clear': 'a tip' },
    ),
    outAt(
      {
        what: 'Air is lost on the inboard side, and it is labelled',
        at: 'air-in',
        stopped: 'labelled',
        means: /lets it through/,
      },
      { 'held-in': 0.02 },
    ),
    hurried('The air is let down after a minute', 'air-out', /outboard side under test air/),
    goesBack({ what: 'A face that cracked goes back', at: 'read-faces', stopped: 'face-on-out', means: /./ }, [
      'faces',
      'face@out',
      'crack 3',
    ]),
    against(
      'The set with a tired spring is put on reuse',
      { 'springs-out spring 3': 17.1 },
      ['springs@out', 'reuse'],
      /spring 3: 17\.1 mm/,
      'line-up',
    ),
    against(
      'A bent retaining ring is put on reuse',
      { 'retainer-seen': 'bent or twisted' },
      ['retainer', 'reuse'],
      /bent or twisted/,
      'line-up',
    ),
    ...on(LEARNT, [
      early('Parts are dealt with before it is said what it failed of', 'say-cause', 'decide', /nobody learns from it/),
    ]),
    {
      what: 'The cause is guessed from how old it is, whatever was found',
      at: 'say-cause',
      variants: LEARNT,
      does: bench => bench.tries('cause.said', { cause: 'aged' }),
      says: /More that was found speaks for “Solids or crystals/,
      means: /Say why it was the rings have set with age all the same/,
      stopped: 'say-cause',
      noticed: AT_ONCE,
    },
    slip(
      'The section of a ring is typed in inches',
      'face-off-out',
      ['section-out asFound', 0.21, 5.33],
      /In inches it would be 5\.3/,
    ),
  ],
}
