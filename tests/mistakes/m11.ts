import { M11 } from '../walks/m11.ts'
import {
  against,
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
  leftSo,
} from './bench.ts'

const SEAL = { size: 's12', seal: 'lip', mount: 'feet', idler: 'steel', school: 'wrench', scope: 'sealing' }
const PUMP = { ...SEAL, scope: 'pump' }
const GEAR = { ...SEAL, size: 's16', seal: 'ring', school: 'feel', scope: 'gear' }

export const M11_MISTAKES: Mistakes = {
  family: 'Gear pump for vacuum',
  sheet: 'm11-vacuum-gear-pump',
  figures: M11,
  mistakes: [
    ...on(SEAL, [
      leftSo('The blank is still in its suction', { 'suction-open': 'blank still in its flange' }, /runs dry/),
      startsLocked(),
      outAt(
        { what: 'A flange is opened under vacuum', at: 'drained', stopped: 'lines-off', means: /draws the glove in/ },
        { broken: 'still some vacuum' },
      ),
      hurried('It is opened hot', 'cooled', /pump cooling/),
      early('The lines come off before the float is read', 'found', 'lines-off', /how far it moved/, {
        lifts: ['line@in'],
      }),
      early('The head is moved before its setting is read', 'set-read', 'screws-out', /how it was set/, {
        lifts: ['set-screws'],
      }),
      outAt(
        { what: 'The head is drawn over a burr', at: 'shaft-felt', stopped: 'head-off', means: /slits the lip/ },
        { burr: 'it snags' },
      ),
      outAt(
        { what: 'A set screw is only turned back', at: 'screws-out', stopped: 'head-off', means: /ploughs the shaft/ },
        { 'screws-back': 'a turn, its point just free' },
      ),
      outAt(
        { what: 'The head goes on over a burr', at: 'felt-again', stopped: 'head-on', means: /slits the lip/ },
        { 'burr-again': 'it snags' },
      ),
      smeared('Oil on the lip', 'head-on', 'lip of the head', 'oil', /swells it/),
      outAt(
        { what: 'A gasket too many in the pack', at: 'look-new', stopped: 'head-on', means: /the seal burns/ },
        { pack: 1.8 },
      ),
      outAt(
        { what: 'The screws bite the old prints', at: 'screws-in', stopped: 'screws-in', means: /old place/ },
        { bite: 'the old prints' },
      ),
      leftIn(
        'A gasket of the pack stays in',
        'pack-out',
        { 'pack out': 1 },
        /Gaskets of the pack under the head: 2 went in, 1 came out/,
      ),
      outAt(
        { what: 'The seal is pressed too little', at: 'pack-out', stopped: 'seat-in', means: /air comes in/ },
        { set: 1.4 },
      ),
      stands(
        'The head goes on back to front',
        'seat-in',
        'carbon-out',
        'its collar with the screws',
        'seat-in',
        /no face/,
      ),
      stands('The seat goes in turned round', 'seat-in', 'seat-way', 'the dull one', 'seat-in', /tears the carbon/),
      stands(
        'Both gaskets lie behind the seat',
        'seat-in',
        'gaskets-each',
        'both behind it',
        'seat-in',
        /stands off by a gasket/,
      ),
      smeared('Grease on the faces', 'seat-in', 'seat and carbon', 'grease', /pressed into the carbon/),
      outAt(
        { what: 'It turns heavy after the gland', at: 'turned-gland', stopped: 'plugs-in', means: /faces burn/ },
        { 'turned-gland': 'heavy all round' },
      ),
      outAt(
        { what: 'A plug goes in without tape', at: 'plugs-in', stopped: 'plugs-pull', means: /never comes/ },
        { tape: 'nothing' },
      ),
      outAt(
        { what: 'The motor stands out of line', at: 'aligned', stopped: 'guard-on', means: /at one hour/ },
        { 'align asLeft rim': 0.3 },
      ),
      exchanged(
        { what: 'The lines are exchanged', at: 'lines-on', stopped: 'run', means: /blows into/ },
        ['line@in', 'line@out'],
        'hand-back',
      ),
      outAt(
        { what: 'Air comes in as it stands shut', at: 'blanked', stopped: 'run', means: /seal, plugs or rings/ },
        { 'rise asLeft At the end, absolute': 6.2 },
      ),
      goesBack(
        { what: 'A carbon with a blister goes back', at: 'look-seal', stopped: 'head-on', means: /renew|Blister/ },
        ['faces', 'seal-head', 'blisters 3 from 2:00 to 4:00'],
      ),
      slip('The float is read in hundredths', 'found', ['float asFound', 9, 0.09], /over the limit|span/),
    ]),
    ...on(PUMP, [
      outAt(
        { what: 'The shaft is bent at the seal', at: 'felt-again', stopped: 'head-on', means: /carbon follows/ },
        { 'runout build': 0.07 },
      ),
      early('It is opened unscribed', 'scribed', 'bolts-off', /which way it stood/, { lifts: ['housing-bolts'] }),
      early('The gears come out over untagged plates', 'plates-front-out', 'gears-out', /look alike/, {
        lifts: ['drive-shaft'],
      }),
      outAt(
        {
          what: 'A soft pin stands proud',
          at: 'bearings-rear-in',
          stopped: 'bearings-rear-in',
          means: /lifts the bearing/,
        },
        { 'pin-rear drive bore': 3.4 },
      ),
      outAt(
        { what: 'A soft pin is sunk', at: 'bearings-front-in', stopped: 'bearings-front-in', means: /bearing spin/ },
        { 'pin-front idler bore': 0.3 },
      ),
      inHand(
        'The long bearing goes in at the idler',
        'bearings-front-in',
        { 'long': 'short@fi', 'short@fi': 'long' },
        /run in with its own journal|Long bearing/,
      ),
      outAt(
        {
          what: 'A short bearing stands at the drive',
          at: 'dowels-in',
          stopped: 'dowels-in',
          means: /hangs on nothing/,
        },
        { 'long-out': 0 },
      ),
      stands(
        'Soft pins go in for the dowels',
        'dowels-in',
        'magnet-front',
        'the two beside the bearings',
        'centre-on',
        /housings wander/,
      ),
      smeared('Grease on the rings of the centre', 'centre-on', 'rings of the centre', 'grease', /gasses under vacuum/),
      inHand(
        'Two rear plates are exchanged',
        'plates-rear-in',
        { 'plate@rd': 'plate@ri', 'plate@ri': 'plate@rd' },
        /tipped/,
      ),
      stands(
        'A rear plate lies groove down',
        'plates-rear-in',
        'grooves-rear',
        'plain backs, no groove',
        'gears-in',
        /no way out/,
      ),
      stands(
        'The drive gear goes in at the top',
        'gears-in',
        'drive-low',
        'over the short one, away from the feet',
        'front-on',
        /wrong height/,
      ),
      stands(
        'The mesh is a tooth round',
        'gears-in',
        'mesh',
        'in a gap beside the dotted one',
        'front-on',
        /it whines/,
      ),
      outAt(
        { what: 'A gear rubs the centre', at: 'gaps', stopped: 'plates-front-in', means: /rubs the centre/ },
        { 'tip idler, at 9': 0.01 },
      ),
      stands(
        'A front plate lies groove out',
        'plates-front-in',
        'grooves-front',
        'grooves on both',
        'front-on',
        /no way out/,
      ),
      outAt(
        { what: 'A gear is pinched', at: 'front-on', stopped: 'front-on', means: /pinched/ },
        { 'end-drive top': 0.01 },
      ),
      outAt(
        { what: 'The front goes on upside down', at: 'bolts-in', stopped: 'bolts-in', means: /upside down/ },
        { 'low-side': 48 },
      ),
      outAt(
        {
          what: 'It grinds, and is drawn up all the same',
          at: 'bolts-in',
          stopped: 'bolts-in',
          means: /off it comes/,
        },
        { 'turned-open': 'it grinds, or stops at one place' },
      ),
      outAt(
        {
          what: 'One bolt was hard home first',
          at: 'turned-shut',
          stopped: 'head-on',
          means: /home before the others/,
        },
        { 'joints-shut rear joint': 'at one corner' },
      ),
      short('A nut of the housing is missing', 'bolts-in', { 'housing-nuts in': 3 }, 'bolts-pull', 'seal chamber'),
      against(
        'A plate worn past its least goes back',
        { 'plates-drive rear': 4.91 },
        ['plate@rd', 'reuse'],
        /renew is proposed|Wear plates/,
        'measured',
      ),
    ]),
    ...on(GEAR, [
      outAt(
        { what: 'A retaining ring is not home', at: 'gears-in', stopped: 'gears-in', means: /jumps out/ },
        { 'rings-seated': 'one of them stands in its groove at one side alone' },
      ),
      smeared('Oil in the bore of the gear', 'gear-on', 'bore of the drive gear', 'oil', /creeps/),
      smeared('Oil on the ring of the head', 'head-on', 'ring of the head', 'oil', /swells it/),
    ]),
  ],
}
