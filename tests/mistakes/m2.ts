import { M2 } from '../walks/m2.ts'
import {
  against,
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
  type Mistakes,
  AT_ONCE,
  exchanged,
} from './bench.ts'

const FULL = { size: 'two-half', guard: 'changeover', scope: 'full' }
const EXAM = { ...FULL, scope: 'exam' }
const LIMITED = { size: 'five', guard: 'limiter', scope: 'full' }

export const M2_MISTAKES: Mistakes = {
  family: 'Lever hoist',
  sheet: 'm2-lever-hoist',
  figures: M2,
  mistakes: [
    ...on(EXAM, [
      outAt(
        {
          what: 'The load sinks as the lever is let go of',
          at: 'tenth',
          stopped: 'stood',
          means: /brake does not hold/,
        },
        { 'held-tenth': 'it sinks, slowly or at once' },
      ),
      slip('The throat is read in inches', 'hooks-found', ['throat asFound top hook', 1.35, 34.3], /under|span|odd|in/),
      outAt(
        { what: 'A latch that hangs goes back', at: 'after-load', stopped: 'register', means: /sling falls out/ },
        { 'swivel asLeft bottom hook': 'the latch hangs, or stands beside the tip' },
      ),
      outAt(
        { what: 'It does not bite again, and a load is hung on it', at: 'empty', stopped: 'tenth', means: /not wound/ },
        { 'empty-tried': 'clicks and runs, but does not bite again' },
      ),
      hurried('The creep is read at once', 'stood', /a tenth of the load on the hoist/),
      outAt(
        { what: 'It creeps, and goes to the load test', at: 'stood', stopped: 'load-test', means: /does not hold/ },
        { creep: 14 },
      ),
      outAt(
        { what: 'It is tested with its rated load', at: 'load-test', stopped: 'after-load', means: /proves nothing/ },
        { loaded: 2500 },
      ),
      outAt(
        { what: 'It slips under the test load', at: 'load-test', stopped: 'after-load', means: /no work/ },
        { 'held-load': 'it slipped, or ran on' },
      ),
      outAt(
        { what: 'The test opens its hook', at: 'after-load', stopped: 'register', means: /opened it/ },
        { 'throat asLeft top hook': 34.9 },
      ),
      outAt(
        { what: 'A stretched chain goes back', at: 'after-load', stopped: 'register', means: /climbs the pockets/ },
        { 'pitch asLeft place 3': 137.8 },
      ),
      outAt(
        { what: 'A bent hook goes back', at: 'after-load', stopped: 'register', means: /goes back to no work/ },
        { 'throat asLeft top hook': 36.4 },
      ),
      smeared('The chain goes back greased', 'oiled', 'chain', 'grease', /wears through/),
      {
        what: 'It goes into the register by whoever worked on it',
        at: 'register',
        does: bench => {
          bench.tries('hold.signed', { step: 'register', basis: bench.by.basis({ kind: 'hold', step: 'register' }) })
        },
        says: /competent|lead/,
        means: /Ask one|lifting gear|done by/,
        stopped: 'register',
        noticed: AT_ONCE,
      },
    ]),
    ...on(FULL, [
      early('The discs are lifted before the cover is off', 'brake-cover-off', 'discs-off', /wiped off|first/i, {
        lifts: ['ratchet'],
      }),
      early('The chain is drawn before its strand is tagged', 'mark-strand', 'chain-off', /which strand carried/, {
        lifts: ['chain'],
      }),
      goesBack(
        { what: 'A disc that was greased goes back', at: 'look-brake', stopped: 'discs-on', means: /It was greased/ },
        ['discs', 'disc@outer', 'black 2'],
      ),
      goesBack(
        { what: 'A sheave with ridges goes back', at: 'look-gears', stopped: 'sheave-in', means: /stretched chain/ },
        ['sheave', 'sheave', 'ridge 2'],
      ),
      against(
        'A thin disc is left in',
        { 'disc-outer inspect at 3': 2.2 },
        ['disc@outer', 'reuse'],
        /is proposed/,
        'look-brake',
      ),
      outAt(
        {
          what: 'A new disc beside an old one',
          at: 'look-brake',
          stopped: 'gear-cover-on',
          means: /grips on one side/,
        },
        { 'disc-outer': 3, 'disc-inner': 2.7 },
      ),
      outAt(
        { what: 'A crack is not seen', at: 'look-gears', stopped: 'sheave-in', means: /A crack/ },
        { 'dye inspect sheave': 'a red line, however short' },
      ),
      stands(
        'The rollers go in with their cage outward',
        'cage-in-lever',
        'cage-lever',
        'outward, away from the sheave',
        'sheave-in',
        /walk out/,
      ),
      stands(
        'The stripper stands beside its hole',
        'guides-on',
        'stripper-way',
        'bottom right, its peg beside its hole',
        'chain-in',
        /folds in/,
      ),
      inHand('The guide rollers change sides', 'guides-on', { 'guide@left': 'guide@right' }, /runs askew/),
      stands('The welds look inward', 'chain-in', 'welds', 'inward, to the sheave', 'gear-plate-on', /rides up/),
      stands('The wrong strand carries', 'chain-in', 'strand', { label: 'left' }, 'gear-plate-on', /slack strand/),
      stands(
        'The groove of the load gear looks down',
        'load-gear-on',
        'groove',
        'down, on the plate',
        'pinion-in',
        /pinches/,
      ),
      stands(
        'The marks of the side gears are opposed',
        'side-gears-on',
        'marks-upper',
        180,
        'turned-once',
        /gears fight/,
      ),
      outAt(
        {
          what: 'It is tight once a turn, and covered',
          at: 'turned-once',
          stopped: 'top-on',
          means: /Marks opposed/,
        },
        { 'one-turn': 'tight in one place' },
      ),
      smeared('Grease on the thread of the shaft', 'pinion-in', 'thread of the pinion shaft', 'grease', /runs down/),
      outAt(
        { what: 'The brake side is not clean', at: 'brake-clean', stopped: 'discs-on', means: /runs down/ },
        { cloth: 'a grey or yellow smear' },
      ),
      hurried('The discs go on over wet spirit', 'spirit-off', /spirit going off/),
      smeared('Oil on the friction discs', 'discs-on', 'friction discs and their faces', 'oil', /runs down/),
      inHand('The pawls are exchanged', 'pawls-on', { 'pawl@upper': 'pawl@lower' }, /holds nothing/),
      inHand(
        'The spring of the selector goes on a pawl',
        'pawls-on',
        { 'pawl-spring@upper': 'selector-spring' },
        /in the hand|late click/,
      ),
      stands(
        'A ring sits beside its groove',
        'pawls-on',
        'ring-upper',
        'it sits beside its groove, and slides',
        'discs-on',
        /load falls/,
      ),
      outAt(
        { what: 'A pawl hangs on its pin', at: 'pawls-on', stopped: 'discs-on', means: /No brake/ },
        { 'pawl-free upper pawl': 'it hangs, rusty' },
      ),
      exchanged(
        { what: 'The discs are exchanged', at: 'discs-on', stopped: 'brake-cover-on', means: /grips late/ },
        ['disc@inner', 'disc@outer'],
        'brake',
      ),
      stands(
        'The ratchet disc lies the wrong way up',
        'discs-on',
        'teeth',
        'they hold it',
        'brake-cover-on',
        /nothing holds the load/i,
      ),
      outAt(
        {
          what: 'The brake has too much travel',
          at: 'brake-cover-pull',
          stopped: 'changeover-on',
          means: /bites late/,
        },
        { travel: 1.9 },
      ),
      stands('The lobes stand across', 'changeover-on', 'lobes', 'across the lever', 'selector-on', /no neutral/),
      stands(
        'The selector stands along the lever',
        'selector-on',
        'selector-way',
        'along it',
        'lever-closed',
        /neither way/,
      ),
      stands(
        'One leg of the split pin is left straight',
        'pinned',
        'legs',
        'one bent, one straight',
        'empty',
        /wheel unscrews/,
      ),
      stands('The chain has a half twist', 'bottom-on', 'twist-chain', 'a half twist', 'bottom-pull', /cracks/),
      short('A nut of the brake cover is left', 'brake-cover-on', { 'brake-nuts in': 3 }, 'brake-cover-on', 'brake'),
    ]),
    ...on(LIMITED, [
      outAt(
        { what: 'The limiter slips late', at: 'load-test', stopped: 'after-load', means: /something bends/ },
        { 'slips-at': 1.8 },
      ),
      stands('The block is turned over once', 'bottom-on', 'twist-chain', 'a half twist', 'bottom-pull', /turns over/),
    ]),
  ],
}
