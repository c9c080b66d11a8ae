import { M16 } from '../walks/m16.ts'
import {
  early,
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

const IN_PLACE = { lip: 'pump', quench: 'water', faces: 'carbon', route: 'circlip' }
const CARRIER = { lip: 'bearings', quench: 'none', faces: 'hard', route: 'carrier' }

export const M16_MISTAKES: Mistakes = {
  family: 'Side-mounted pump with a cartridge',
  sheet: 'm16-cartridge-seal-pump',
  figures: () => M16,
  mistakes: [
    ...on(IN_PLACE, [
      startsLocked(),
      outAt(
        { what: 'It is opened behind the valve alone', at: 'drained', stopped: 'cover-off', means: /runs out over/ },
        { blanked: 'the valve alone, drain dry' },
      ),
      early('The cover comes off before the shaft is pushed', 'found', 'cover-off', /how it moved/, {
        lifts: ['cover'],
      }),
      early('The impeller is drawn before it is slid', 'impeller-felt', 'impeller-off', /whether it floated/, {
        lifts: ['impeller'],
      }),
      early('The cartridge is drawn with its screws in', 'screws-off', 'cartridge-off', /nose is bent/, {
        lifts: ['cartridge'],
      }),
      leftIn(
        'A guard screw stays in the turning part',
        'screws-off',
        { 'jacks out': 1 },
        /Guard screws in the turning part: 2 went in, 1 came out/,
      ),
      early('The lip is driven out before it is looked at', 'cartridge-open', 'lip-off', /how it looked/, {
        lifts: ['lip'],
      }),
      outAt(
        { what: 'The drift is too small', at: 'look-new', stopped: 'lip-in', means: /dishes the shell/ },
        { drift: 9 },
      ),
      stands('The lip goes in the other way', 'lip-in', 'lip-way', 'to the bearings', 'face-in', /Lime gets into/),
      smeared('Clay grease on the lip', 'lip-in', 'lip of the cartridge', 'grease', /wears it through/),
      outAt(
        { what: 'The lip stands askew', at: 'face-in', stopped: 'face-in', means: /on one side|proud/ },
        { 'lip-depth at 3': 0.58, 'lip-depth at 9': 0.42 },
      ),
      stands('The cartridge is a step round', 'cartridge-in', 'holes', 'at 12 and 6', 'screws-in', /never be drawn/),
      leftIn(
        'An extraction screw stays in',
        'extraction-out',
        { 'extraction out': 1 },
        /Screws in the extraction holes: 2 went in, 1 came out/,
      ),
      smeared('The cartridge screws go in dry', 'screws-in', 'screws of the cartridge', 'dry', /they walk/),
      short('A cartridge screw is missing', 'screws-in', { 'cartridge-screws in': 3 }, 'screws-pull', 'pump'),
      outAt(
        { what: 'The cartridge stands proud', at: 'cartridge-read', stopped: 'turning-in', means: /bottoms/ },
        { 'flush at 12': -0.4 },
      ),
      outAt(
        { what: 'A finger was on the face', at: 'turning-in', stopped: 'turning-in', means: /ground into them/ },
        { cloth: 'grey or greasy' },
      ),
      stands(
        'The pin goes in beside the key way',
        'turning-in',
        'pin-way',
        'dot beside the key way, the groove is covered',
        'circlip-in',
        /it is cocked/,
      ),
      stands(
        'The circlip is half in',
        'circlip-in',
        'circlip-way',
        'sharp edge out, one end on the edge',
        'impeller-on',
        /flies off/,
      ),
      outAt(
        {
          what: 'The circlip rides on its edge',
          at: 'circlip-seen',
          stopped: 'impeller-on',
          means: /edge of its groove/,
        },
        { 'gap-ends': 9.4 },
      ),
      outAt(
        { what: 'The impeller does not float', at: 'cover-on', stopped: 'cover-on', means: /does not float/ },
        { slides: 'it has to be pushed' },
      ),
      stands(
        'The cover goes on upside down',
        'cover-on',
        'cover-mark',
        'at 6, drain plug at the top',
        'cover-on',
        /lime stays/,
      ),
      outAt(
        { what: 'It rubs, and gets its guard', at: 'turned-shut', stopped: 'guard-on', means: /not free/ },
        { 'turned-shut': 'heavy, or it rubs' },
      ),
      short('Two guard screws stay on the bench', 'guard-on', { 'guard-screws in': 2 }, 'guard-pull', 'hand-back'),
      hurried('It is run before the locker has set', 'locker', /locker of the cartridge/),
      exchanged(
        { what: 'The quench lines are crossed', at: 'quench-on', stopped: 'run', means: /stands over the lip/ },
        ['quench-line@in', 'quench-line@out'],
        'hand-back',
      ),
      slip('The push is read in hundredths', 'found', ['push-found asFound', 44, 0.44], /over the limit|span/),
    ]),
    ...on(CARRIER, [
      leftSo('The valve of its tank is left shut', { 'as-given': 'blank out, valve still shut' }, /runs dry/),
      early('The carrier is drawn with the hub on', 'hub-off', 'carrier-off', /cannot pass the body/, {
        lifts: ['carrier'],
      }),
      leftIn(
        'A guide pin stays in the body',
        'guides-away',
        { 'guides out': 1 },
        /Guide pins in the body: 2 went in, 1 came out/,
      ),
      outAt(
        { what: 'The bearings go on half warm', at: 'bearings-on', stopped: 'bearings-on', means: /before it is home/ },
        { 'heat drive side': 70 },
      ),
      inHand(
        'The bearings are exchanged',
        'bearings-on',
        { 'brg-pump': 'brg-drive', 'brg-drive': 'brg-pump' },
        /Bearing 6306/,
      ),
      stands('A bearing without C3 goes on the drive side', 'bearings-on', 'c3', 'nothing', 'nut-on', /runs hot/),
      hurried('Its play is read while it is warm', 'bearings-cool', /bearings cooling/),
      outAt(
        { what: 'Its play is gone once it is on', at: 'nut-on', stopped: 'nut-on', means: /runs hot/ },
        { mounted: 0.002 },
      ),
      inHand(
        'Short screws go into the bearing cover',
        'shaft-in',
        { 'brg-screws': 'cartridge-screws' },
        /Screws of the cartridge/,
      ),
      inHand(
        'The key of the hub goes under the impeller',
        'impeller-on',
        { 'impeller-key': 'hub-key' },
        /Key of the hub/,
      ),
      stands(
        'The lip goes in the other way, where it keeps grease in',
        'lip-in',
        'lip-way',
        'to the static face, the pump',
        'face-in',
        /grease runs out/,
      ),
    ]),
  ],
}
