import { M19 } from '../walks/m19.ts'
import {
  against,
  AT_ONCE,
  early,
  goesBack,
  inHand,
  on,
  outAt,
  short,
  slip,
  smeared,
  stands,
  startsLocked,
  strange,
  type Mistakes,
  exchanged,
  leftSo,
} from './bench.ts'

const COUPLED = { drive: 'coupling', sense: 'right', relief: 'built', vanes: 'plastic' }
const GEARED = { drive: 'gear', sense: 'left', relief: 'outside', vanes: 'metal' }

export const M19_MISTAKES: Mistakes = {
  family: 'Vane pump for liquefied gas',
  sheet: 'm19-rotary-vane-pump',
  figures: () => M19,
  mistakes: [
    ...on(COUPLED, [
      leftSo('The strap is left off', { 'as-given': 'bypass shut, strap off or loose' }, /a spark is enough/),
      startsLocked(),
      outAt(
        { what: 'Liquid is left between its valves', at: 'let-down', stopped: 'let-down', means: /boils out/ },
        { 'pressure discharge side': 0.31 },
      ),
      outAt(
        { what: 'It is opened with gas in it', at: 'purged', stopped: 'purged', means: /burns at a spark/ },
        { gas: 0.34 },
      ),
      {
        what: 'It is let down by whoever holds no paper for gas',
        at: 'let-down',
        does: bench => {
          bench.by.prepare(bench.step('let-down'))
          bench.tries('step.done', { step: 'let-down' })
        },
        says: /fuel gas/,
        means: /done by/,
        stopped: 'let-down',
        noticed: AT_ONCE,
      },
      early('A nut is eased before the float is read', 'found', 'lines-off', /how it floated/, { lifts: ['line@in'] }),
      early('A tab is bent up before it is looked at', 'tabs-found', 'nut-off-out', /whether it held/, {
        lifts: ['nut@out'],
      }),
      outAt(
        { what: 'The head comes over a nick', at: 'dressed', stopped: 'head-off', means: /cuts the ring/ },
        { nick: 'a nick, or dried grease' },
      ),
      early('The head comes off unscribed', 'scribed', 'head-off', /which way it stood/, { lifts: ['head'] }),
      strange('There is metal in the strainer, and nobody asks of what', 'lines-off', 'fine metal', 'cylinder'),
      against(
        'A seat that was levered goes back',
        { 'chip-in inspect': 'a chip at the notch' },
        ['seat@in', 'reuse'],
        /Edges of the seat.*renew is proposed/,
        'measured',
      ),
      against(
        'A bent shaft goes back',
        { 'runout inspect': 0.09 },
        ['rotor', 'reuse'],
        /renew is proposed/,
        'measured',
      ),
      inHand('Two jackets are exchanged', 'jacket-in-in', { 'jacket@in': 'jacket@out' }, /holes of its own end/),
      stands('A carbon rides on a tang', 'carbon-on-in', 'notch-in', 'at one tang', 'seat-in-in', /weeps, and cracks/),
      smeared(
        'Any grease on the ring of a carbon',
        'carbon-on-out',
        'ring of the carbon, outboard',
        'grease',
        /washes out/,
      ),
      outAt(
        {
          what: 'The ring is greased after the face was wiped',
          at: 'seat-in-in',
          stopped: 'seat-in-in',
          means: /bakes on/,
        },
        { 'cloth-in': 'a shiny smear' },
      ),
      inHand('Two carbons are exchanged', 'carbon-on-in', { 'carbon@in': 'carbon@out' }, /its own seat/),
      outAt(
        {
          what: 'A seat stands beside its pin',
          at: 'brg-in-out',
          stopped: 'brg-in-out',
          means: /beside the pin/,
        },
        { 'seat-depth-out': -2 },
      ),
      outAt(
        { what: 'A seat is cocked', at: 'brg-in-in', stopped: 'brg-in-in', means: /cocked|other/ },
        { 'seat-depth-in at 3': 1.29, 'seat-depth-in at 9': 1.12 },
      ),
      outAt(
        { what: 'A bearing is smeared and not packed', at: 'brg-in-in', stopped: 'brg-in-in', means: /dry in days/ },
        { 'packed-in': 'on the outside of the balls alone' },
      ),
      stands(
        'A bearing goes in balls inward',
        'brg-in-in',
        'balls-in',
        'the closed back of its cage',
        'rotor-in',
        /pulls on its cage/,
      ),
      outAt(
        { what: 'A tang stands astride its hole', at: 'nut-in', stopped: 'nut-in', means: /not driven/ },
        { 'tang-in': 0 },
      ),
      inHand('The locknuts are exchanged', 'nut-in', { 'nut@in': 'nut@out' }, /its own bearing/),
      outAt(
        {
          what: 'The inboard nut does not seat its seal',
          at: 'vanes-in',
          stopped: 'vanes-in',
          means: /setting is lost/,
        },
        { 'seated-in': 'it still turns' },
      ),
      stands('The vanes go in turned round', 'vanes-in', 'slots', 'no slot, plain backs', 'head-on', /it hammers/),
      smeared('Grease on the vanes', 'vanes-in', 'vanes and slots', 'grease', /stick when it is cold/),
      outAt(
        { what: 'A vane sticks', at: 'vanes-dropped', stopped: 'head-on', means: /it sticks/i },
        { falls: 'one stays where it is' },
      ),
      outAt(
        {
          what: 'Vanes of another set are taken',
          at: 'look-new',
          stopped: 'jacket-in-in',
          means: /jams between the walls/,
        },
        { 'vane-long': 60.05 },
      ),
      stands('The tell-tale stands at the top', 'head-on', 'tell-hole', 'at the top', 'head-on', /hides which seal/),
      stands('The head is a hole round', 'head-on', 'head-line', 90, 'head-on', /stands off the bottom/),
      outAt(
        { what: 'The head is drawn down over its tangs', at: 'bolts-in', stopped: 'bolts-in', means: /would break it/ },
        { 'head-gap at 3': 3.1 },
      ),
      inHand(
        'A bolt of the cover goes into the head',
        'bolts-in',
        { 'head-bolts': 'cover-bolts' },
        /Bolts of the cover/,
      ),
      short('A bolt of the head is forgotten', 'bolts-in', { 'head-bolts in': 3 }, 'bolts-pull', 'bearings'),
      outAt(
        { what: 'The nuts are not eased', at: 'eased', stopped: 'wall', means: /bearings go blue/ },
        { eased: 'stiffly, all round' },
      ),
      outAt(
        { what: 'The rotor does not lie on its wall', at: 'wall', stopped: 'contact', means: /count from there/ },
        { 'at-wall': 'freely, it has play' },
      ),
      outAt(
        { what: 'Stops are counted before the nut meets', at: 'contact', stopped: 'stops', means: /from nowhere/ },
        { follows: 'it stood, the nut turned by itself' },
      ),
      outAt(
        { what: 'One stop more', at: 'stops', stopped: 'turned', means: /when cold liquid comes|too many/ },
        { 'counted Stops that were given': 4, 'drawn': 0.115 },
      ),
      outAt(
        { what: 'A stop is miscounted, and the dial tells', at: 'stops', stopped: 'turned', means: /miscounted/ },
        { drawn: 0.058 },
      ),
      stands('A tab stays flat', 'tabs-bent', 'tab-bent-out', 'all flat', 'covers-on', /nut walks/),
      outAt(
        { what: 'The relief valve lifts late', at: 'relief-tested', stopped: 'relief-on', means: /before it lifts/ },
        { lifts: 0.71 },
      ),
      exchanged(
        { what: 'The lines are exchanged', at: 'lines-on', stopped: 'guard-on', means: /pumps back into the tank/ },
        ['line@in', 'line@out'],
        'hand-back',
      ),
      outAt(
        { what: 'It leaks, and gets its liquid', at: 'nitrogen', stopped: 'liquid-in', means: /it leaks/i },
        { 'tight At the end, absolute': 0.871 },
      ),
      outAt(
        { what: 'The tell-tale bubbles as it runs', at: 'run', stopped: 'handed-over', means: /A seal leaks/ },
        { 'tell-left': 'bubbles at the tell-tale' },
      ),
      slip('The float is read in hundredths', 'found', ['float-found asFound', 3, 0.03], /over the limit|span/),
    ]),
    ...on(GEARED, [
      goesBack({ what: 'A blistered carbon goes back', at: 'look-seals', stopped: 'carbon-on-out', means: /lister/ }, [
        'carbons',
        'carbon@out',
        'blisters 3 from 2:00 to 4:00',
      ]),
      stands(
        'The vanes go in turned round, turning left',
        'vanes-in',
        'slots',
        'no slot, plain backs',
        'head-on',
        /hammers/,
      ),
      outAt(
        { what: 'It turns tight at one place', at: 'turned', stopped: 'tabs-bent', means: /vane stands proud/ },
        { 'turned-free': 'tight at one place' },
      ),
    ]),
  ],
}
