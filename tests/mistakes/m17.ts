import { M17 } from '../walks/m17.ts'
import {
  against,
  AT_ONCE,
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
  strange,
  type Mistakes,
  leftSo,
} from './bench.ts'

const BOWL = { casing: 'pressure', overload: 'cell', depth: 'bowl' }
const FEED = { ...BOWL, depth: 'feed' }
const PIN = { ...BOWL, overload: 'pin', depth: 'bearings' }

export const M17_MISTAKES: Mistakes = {
  family: 'Decanter',
  sheet: 'm17-decanter',
  figures: M17,
  mistakes: [
    ...on(FEED, [
      leftSo(
        'Liquid comes at the end of the solids',
        { 'on-feed': 'liquid at the end of the solids' },
        /Pond too deep/,
      ),
      startsLocked('back drive'),
      hurried('A guard is opened as soon as it is stopped', 'run-down', /bowl running down/),
      outAt(
        {
          what: 'The pulley still turns behind its guard',
          at: 'stands',
          stopped: 'stands',
          means: /sees it through a guard/,
        },
        { still: 'the pulley, slowly' },
      ),
      outAt(
        { what: 'There is too little air in the casing', at: 'gas-free', stopped: 'gas-free', means: /not pulled out/ },
        { oxygen: 0.178 },
      ),
      outAt(
        { what: 'There is gas in the casing', at: 'gas-free', stopped: 'gas-free', means: /burns or poisons/ },
        { gas: 0.12 },
      ),
      {
        what: 'The casing is called free of gas by whoever holds no paper for it',
        at: 'gas-free',
        does: bench => {
          bench.by.prepare(bench.step('gas-free'))
          bench.tries('step.done', { step: 'gas-free' })
        },
        says: /competent in confined spaces|competent for confined spaces|confined spaces/,
        means: /done by/,
        stopped: 'gas-free',
        noticed: AT_ONCE,
      },
      early('The overload device comes off before it is tried', 'trip-found', 'device-off', /would have held/, {
        lifts: ['device'],
      }),
      early('The feed pipe is drawn before it is scribed', 'pipe-mark', 'pipe-out', /how far in it stood/, {
        lifts: ['feed-pipe'],
      }),
      early(
        'The set screws are slackened before the assembly screws are in',
        'assembly-in',
        'set-slack',
        /comes apart in the hand/,
      ),
      outAt(
        { what: 'A set screw is not slackened', at: 'pins-out', stopped: 'seal-pushed', means: /scores the shaft/ },
        { 'set-slack': 'nine; one has not been turned' },
      ),
      outAt(
        {
          what: 'A drive pin is screwed back half way',
          at: 'pins-out',
          stopped: 'seal-pushed',
          means: /holds the two halves/,
        },
        { 'pins-back pin 2': 11 },
      ),
      outAt(
        {
          what: 'The set screws stay slack, and the seal is lifted',
          at: 'jacks-out',
          stopped: 'seal-off',
          means: /slides off its shaft/,
        },
        { 'set-held': '7 mm, as they were slackened' },
      ),
      leftIn(
        'A jack screw stays in the bracket',
        'jacks-out',
        { 'jacks out': 1 },
        /Jack screws in the bracket: 2 went in, 1 came out/,
      ),
      smeared(
        'Oil on the soft rings of the feed seal',
        'seal-shut',
        'soft rings of the feed seal',
        'oil',
        /swells them/,
      ),
      outAt(
        { what: 'A drive pin is not home', at: 'pins-in', stopped: 'assembly-out', means: /turns on its shaft/ },
        { 'pins-home pin 3': 1.5 },
      ),
      early('The assembly screws come out before the pins are home', 'pins-in', 'assembly-out', /nothing to hold them/),
      leftIn(
        'An assembly screw is left in the seal',
        'assembly-out',
        { 'assembly out': 3 },
        /Assembly screws in the feed seal: 4 went in, 3 came out/,
      ),
      outAt(
        {
          what: 'The feed pipe hangs low in its bore',
          at: 'bracket-pull',
          stopped: 'bracket-pull',
          means: /cuts through/,
        },
        { 'pipe-round bottom': 1.8 },
      ),
      stands(
        'The feed pipe goes in too far',
        'pipe-in',
        'pipe-depth',
        { mm: 71, text: '71' },
        'pipe-in',
        /touches the scroll/,
      ),
      outAt(
        {
          what: 'It trips late',
          at: 'trip-proved',
          stopped: 'guards-on',
          means: /gear unit breaks first/,
        },
        { 'trip asLeft': 290 },
      ),
      slip(
        'The trip force is read in kilograms',
        'trip-found',
        ['trip asFound', 24.5, 240],
        /lies 204 N under the limit/,
      ),
    ]),
    ...on(PIN, [
      outAt(
        { what: 'Another pin goes in', at: 'trip-proved', stopped: 'belts-on', means: /holds too much/ },
        { 'pin-neck': 8 },
      ),
      outAt(
        {
          what: 'The gear unit is moved along while it sits in its spigot',
          at: 'gear-eased',
          stopped: 'gear-off',
          means: /bends the splines/,
        },
        { 'gear-out at 6': 3 },
      ),
      outAt(
        {
          what: 'The gear unit lies on its splines as it is drawn',
          at: 'gear-eased',
          stopped: 'gear-off',
          means: /lies on the splines/,
        },
        { 'gear-hung': 120 },
      ),
      outAt(
        {
          what: 'The gear unit hangs down at the bowl',
          at: 'gear-slung',
          stopped: 'gear-eased',
          means: /spigot binds/,
        },
        { 'gear-level along': -4 },
      ),
      outAt(
        {
          what: 'There is no room for the gear unit',
          at: 'laid-out',
          stopped: 'gear-off',
          means: /hangs askew on them/,
        },
        { 'room-gear': 2600 },
      ),
      outAt(
        { what: 'There is no room for the bowl', at: 'laid-out', stopped: 'gear-off', means: /half out/ },
        { 'room-beyond': 2900 },
      ),
      outAt(
        {
          what: 'The floor is measured across and not along',
          at: 'laid-out',
          stopped: 'gear-off',
          means: /hangs while somebody/,
        },
        { 'room-length': 3100 },
      ),
      early('The caps come off before their numbers are read', 'caps-mark', 'caps-off', /look alike/, {
        lifts: ['cap@gear'],
      }),
      outAt(
        {
          what: 'Slings so flat that a leg is overloaded',
          at: 'casing-slung',
          stopped: 'casing-up',
          means: /leg|sling/,
        },
        { 'legs-casing Leg from the vertical': 64 },
      ),
      outAt(
        {
          what: 'The casing is about to come down on the floor',
          at: 'casing-down',
          stopped: 'seal-off',
          means: /never seals again/,
        },
        { planks: 'the floor, at two corners' },
      ),
      strange(
        'There is metal in the grease, and nobody asks of what',
        'brg-off-gear',
        'black with metal in it',
        'bearings',
      ),
      against(
        'A bearing whose track lies aslant goes back',
        ['tracks', 'bearing@gear', 'track-aslant 2'],
        ['bearing@gear', 'reuse'],
        /renew is proposed|The track runs aslant/,
        'look-bearings',
      ),
      outAt(
        {
          what: 'A seat is worn and the bearing goes on all the same',
          at: 'look-bearings',
          stopped: 'brg-on-gear',
          means: /ring creeps/,
        },
        { 'seat-gear': 119.985 },
      ),
      leftIn(
        'An eye bolt is left in a casing seal',
        'eyes-out',
        { 'eyes out': 3 },
        /Eye bolts in the casing seals: 4 went in, 3 came out/,
      ),
      outAt(
        {
          what: 'A bearing goes on half warm',
          at: 'brg-warm-gear',
          stopped: 'brg-on-gear',
          means: /grips half way/,
        },
        { 'heat-gear': 68 },
      ),
      outAt(
        { what: 'A bearing is overheated', at: 'brg-warm-liquor', stopped: 'brg-on-liquor', means: /goes soft/ },
        { 'heat-liquor': 141 },
      ),
      outAt(
        { what: 'A bearing is warmed with a torch', at: 'brg-warm-gear', stopped: 'brg-on-gear', means: /goes soft/ },
        { 'warmed-by-gear': 'with a torch, round and round' },
      ),
      inHand(
        'The two bearings are exchanged',
        'brg-on-gear',
        { 'bearing@gear': 'bearing@liquor' },
        /crushed as it warms/,
      ),
      stands(
        'A bearing without its C3 goes on',
        'brg-on-liquor',
        'number-liquor',
        'NU 224, no more',
        'brg-cool',
        /no play left/,
      ),
      stands(
        'A lip seal goes on turned round',
        'brg-on-gear',
        'lip-way-gear',
        'the bearing',
        'brg-cool',
        /into the grease/,
      ),
      stands(
        'The grease hole meets metal',
        'brg-on-liquor',
        'distributor-hole',
        'it meets metal',
        'brg-cool',
        /reaches the rollers/,
      ),
      hurried('The bearing is measured while it is warm', 'brg-cool', /bearings cooling/),
      outAt(
        {
          what: 'The free bearing has no clearance left',
          at: 'brg-cool',
          stopped: 'slinger-on',
          means: /it seizes/,
        },
        { 'play-mounted': 0.03 },
      ),
      smeared('Oil on the faces of the drive flange', 'flange-on', 'faces of the drive flange', 'oil', /creeps/),
      inHand('Two dowels are exchanged', 'feet-on', { 'dowel@f1': 'dowel@f3', 'dowel@f3': 'dowel@f1' }, /stands askew/),
      outAt(
        { what: 'A dowel stands proud', at: 'feet-pull', stopped: 'feet-pull', means: /stands proud/ },
        { 'dowels-home foot 2': -3 },
      ),
      inHand('The caps are exchanged', 'caps-on', { 'cap@gear': 'cap@liquor', 'cap@liquor': 'cap@gear' }, /pinches/),
      stands('A cap goes on with another number', 'caps-on', 'cap-line-gear', { label: 'L1 G1' }, 'caps-on', /pinches/),
      outAt(
        { what: 'A cap does not close', at: 'caps-pull', stopped: 'rings-on-gear', means: /pinches the bearing/ },
        { 'cap-joint gear end': 'at one side' },
      ),
      outAt(
        {
          what: 'It turns heavy, and the seal is drawn to its bracket',
          at: 'hand-turned',
          stopped: 'set-eased',
          means: /bar is in/,
        },
        { turned: 'heavy all round' },
      ),
      stands('The gear unit goes on a hole off', 'gear-on', 'gear-line', 30, 'gear-pull', /shakes itself apart/),
      stands(
        'The gear unit is drawn up askew',
        'gear-pull',
        'adapter-home',
        'at one or two of them',
        'device-on',
        /ridges into the splines/,
      ),
      stands(
        'The torque arm stands on the wrong side',
        'device-on',
        'arm',
        'at 9, to the belts',
        'trip-proved',
        /pulls the other way/,
      ),
      smeared('Paste on the belts', 'belts-on', 'belts and grooves', 'paste', /slip and tear/),
      outAt(
        { what: 'The belts are slack', at: 'belts-on', stopped: 'motor-pull', means: /slip/ },
        { 'belt belt 3': 26 },
      ),
    ]),
    ...on(BOWL, [
      outAt(
        {
          what: 'A dished end hangs on its last screws',
          at: 'ends-slung-liquor',
          stopped: 'ends-off-liquor',
          means: /drops as they come out/,
        },
        { 'end-hung-liquor': 35 },
      ),
      outAt(
        {
          what: 'The beam hangs by its middle as its plates come off',
          at: 'trestle',
          stopped: 'beam-off',
          means: /tips/,
        },
        { 'hangs-on': 'the beam, by a sling round its middle' },
      ),
      leftIn(
        'The bar is left in the bowl',
        'beam-away',
        { 'bar-build out': 0 },
        /Anti-rotation bar: 1 went in, 0 came out/,
      ),
      outAt(
        {
          what: 'Opposite nozzles have worn unlike',
          at: 'look-scroll',
          stopped: 'nozzles-in',
          means: /out of balance/,
        },
        { 'nozzles-p2 inspect nozzle 2': 13.4 },
      ),
      stands('The scroll goes in turned', 'scroll-in', 'scroll-line', 15, 'hub-on', /shakes itself apart/),
      stands('The hub goes on a hole off', 'hub-on', 'hub-line', 22.5, 'hub-on', /shakes itself apart/),
      stands(
        'A weir plate goes on turned over',
        'weirs-on',
        'weir-way',
        'one in, three out',
        'beam-again',
        /another depth/,
      ),
      outAt(
        {
          what: 'A weir plate stands deeper than its fellows',
          at: 'weirs-on',
          stopped: 'beam-again',
          means: /it shakes/,
        },
        { 'weirs weir 3': 91.4 },
      ),
      outAt(
        { what: 'It comes back from the shop out of balance', at: 'shop', stopped: 'beam-again', means: /shakes/ },
        { 'balance plane at the gear end': 21_000 },
      ),
      inHand(
        'The dished ends are exchanged',
        'ends-on',
        { 'dished@gear': 'dished@liquor', 'dished@liquor': 'dished@gear' },
        /drain stands at the top/,
      ),
      short(
        'Two screws of the gear unit are missing',
        'gear-eased',
        { 'gear-screws out': 10 },
        'gear-off',
        'hand-back',
      ),
      outAt(
        { what: 'The scroll floats too far', at: 'float-built', stopped: 'device-on', means: /rubs the end/ },
        { 'float build': 0.42 },
      ),
    ]),
  ],
}
