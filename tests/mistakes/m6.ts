import { M6 } from '../walks/m6.ts'
import {
  early,
  goesBack,
  hurried,
  inHand,
  leftIn,
  on,
  outAt,
  slip,
  smeared,
  stands,
  startsLocked,
  strange,
  type Mistakes,
  leftSo,
} from './bench.ts'

const PLAIN = { rings: 'one', nde: 'insulated', coupling: 'float', scope: 'bushes' }
const ROTOR = { ...PLAIN, scope: 'rotor' }

export const M6_MISTAKES: Mistakes = {
  family: 'Sleeve-bearing motor',
  sheet: 'm6-sleeve-bearing-motor',
  figures: () => M6,
  mistakes: [
    ...on(PLAIN, [
      leftSo('The coupling holds it against its stop', { 'hot-place': 'against one of its stops' }, /burns/),
      startsLocked(),
      outAt(
        {
          what: 'The wheel is held by its damper',
          at: 'try-start',
          stopped: 'hub-off',
          means: /shaft turns, with hands/,
        },
        { scotched: 'its damper, shut' },
      ),
      early('The hub is drawn before anything is read', 'coupling-found', 'hub-off', /how it stood/, {
        lifts: ['hub'],
      }),
      early('The fan comes off unmarked', 'fan-mark', 'fan-off', /how it sat/, { lifts: ['fan'] }),
      strange('Grey oil is passed over', 'oil-out', 'grey shimmer', 'bearing of the non-drive end'),
      early('A sensor is left in', 'sensors-out', 'screws-nde', /broken off/, { lifts: ['bell-screws@nde'] }),
      early('A bell is moved before the air gap is read', 'gap-found', 'bell-off-nde', /how the rotor hung/, {
        lifts: ['bell@nde'],
      }),
      early('The bell comes off with the shaft held by nothing', 'held-nde', 'bell-off-nde', /windings cut/, {
        lifts: ['bell@nde'],
      }),
      early('The bush is tapped against its lock screw', 'lock-off-nde', 'bush-out-nde', /first/i, {
        lifts: ['bush@nde'],
      }),
      early('The ring is left in its slot as the bush goes', 'ring-up-de', 'bush-out-de', /bent as the bush goes/, {
        lifts: ['bush@de'],
      }),
      outAt(
        {
          what: 'The drift is set with the ring in its slot',
          at: 'ring-up-de',
          stopped: 'bush-out-de',
          means: /bent as the bush/,
        },
        { 'ring-clear-de': 'in its slot, on the journal' },
      ),
      hurried('The bushes are measured warm', 'even', /coming to one temperature/),
      slip('The bore is read in inches', 'measured', ['bore-de inspect', 3.547, 90.101], /under|in|span/),
      outAt(
        { what: 'A bush gone wide goes back', at: 'measured', stopped: 'bush-in-nde', means: /whips/ },
        { 'bore-nde inspect': 80.19 },
      ),
      goesBack(
        { what: 'A frosted bush goes back', at: 'look-bushes', stopped: 'bush-in-de', means: /Current went through/ },
        ['lining', 'bush@de', 'frost 3 from 4:00 to 8:00'],
      ),
      goesBack(
        { what: 'A wiped bush goes back', at: 'look-bushes', stopped: 'bush-in-nde', means: /ring|oil|dry|film/i },
        ['lining', 'bush@nde', 'wiped 3 from 4:00 to 8:00'],
      ),
      inHand('The bushes are exchanged', 'bush-in-de', { 'bush@de': 'bush@nde' }, /seizes, or whips/),
      inHand('The rings are exchanged', 'ring-in-de', { 'ring@de': 'ring@nde' }, /stops, or splashes/),
      stands(
        'The bush of the other end is laid in',
        'bush-in-nde',
        'bush-number-nde',
        'D, drive end',
        'lock-in-nde',
        /ten millimetres/,
      ),
      stands('The bush goes in slot down', 'bush-in-de', 'slot-de', 'slot down', 'lock-in-de', /no way to its journal/),
      stands(
        'The bush goes in turned round',
        'bush-in-de',
        'outboard-de',
        'in, toward the winding side',
        'lock-in-de',
        /wrong side/,
      ),
      outAt(
        { what: 'The bush falls into its bell', at: 'bush-in-de', stopped: 'lock-in-de', means: /It will turn/ },
        { 'thumb-de': 'it falls in' },
      ),
      outAt(
        {
          what: 'The nose of the screw touches bottom',
          at: 'lock-in-de',
          stopped: 'lock-pull-de',
          means: /bites the bush/,
        },
        { 'nose-de': 0 },
      ),
      outAt(
        {
          what: 'The lock screw squeezes the bush',
          at: 'seal-in-de',
          stopped: 'bell-on-de',
          means: /wipes at the hole/,
        },
        { 'squeeze-de': 0.05 },
      ),
      stands(
        'The seal goes in with its drain up',
        'seal-in-nde',
        'drain-nde',
        'up, pin in its slot',
        'bell-on-nde',
        /drawn into the winding/,
      ),
      stands(
        'The ring lies beside its slot',
        'bell-on-de',
        'ring-slot-de',
        'beside its slot, on the bush',
        'screws-in-de',
        /dry in minutes/,
      ),
      stands('The bell is a hole round', 'bell-on-nde', 'bell-line-nde', 45, 'screws-in-nde', /runs into the winding/),
      smeared('The journal goes in dry', 'bell-on-de', 'journal, drive end', 'dry', /first turn is dry/),
      leftIn(
        'A guide stud is left in',
        'screws-in-de',
        { 'guides-build-de out': 1 },
        /Guide studs, drive end: 2 went in, 1 came out/,
      ),
      outAt(
        { what: 'The spigot gapes on one side', at: 'screws-in-de', stopped: 'bell-pull-de', means: /edge loads/ },
        { 'spigot-de at 12': 0.2 },
      ),
      outAt(
        {
          what: 'One screw is bare at the insulated bell',
          at: 'insulated',
          stopped: 'sheet-out',
          means: /lining frosts/,
        },
        { 'ohms-nde': 4_000 },
      ),
      leftIn('A sheet is left in the air gap', 'sheet-out', { 'sheet-de out': 0 }, /Fibre sheet in the air gap/),
      outAt(
        { what: 'It turns heavy, and oil goes in', at: 'turned', stopped: 'seals-on', means: /bushes exchanged/ },
        { turning: 'heavy, all round' },
      ),
      outAt(
        { what: 'The air gap is askew', at: 'turned', stopped: 'seals-on', means: /hums|pulls/i },
        { 'gap-de build at 12': 0.8 },
      ),
      hurried('The level is read at once', 'oil-level', /oil settling/),
      outAt(
        { what: 'The level stands low', at: 'oil-level', stopped: 'lid-on-nde', means: /dry in minutes/ },
        { 'level drive end': -9 },
      ),
      outAt(
        {
          what: 'A ring stands, and the lid goes on',
          at: 'rings-seen',
          stopped: 'lid-on-nde',
          means: /until it turns/,
        },
        { 'rings-turn drive end': 'it stands, or moves by jerks' },
      ),
      stands('The fan goes on turned', 'fan-on', 'fan-line', 90, 'cover-on', /it shakes/),
      outAt(
        { what: 'One foot is soft', at: 'feet-on', stopped: 'feet-pull', means: /air gap runs askew/ },
        { 'feet-soft drive end, left': 0.3 },
      ),
      outAt(
        { what: 'It is set at a stop', at: 'aligned', stopped: 'leads-on', means: /shoulder|stop|burns|margin/i },
        { 'set Where it was set': 1 },
      ),
    ]),
    ...on(ROTOR, [
      outAt(
        { what: 'A bent shaft goes back', at: 'look-rotor', stopped: 'rotor-in', means: /it shakes/ },
        { 'straight inspect core': 0.11 },
      ),
      inHand('The air baffles are exchanged', 'rotor-in', { 'baffle@nde': 'baffle@de' }, /overheats/),
    ]),
  ],
}
