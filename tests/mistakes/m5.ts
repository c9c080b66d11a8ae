import { M5 } from '../walks/m5.ts'
import {
  against,
  early,
  hurried,
  inHand,
  leftIn,
  on,
  outAt,
  smeared,
  stands,
  startsLocked,
  type Mistakes,
  leftSo,
} from './bench.ts'

const RUNNING = { 'oiling': 'slinger', 'right-head': 'unloader', 'oil': 'mineral', 'start': 'part', 'depth': 'running' }
const VALVES = { ...RUNNING, oil: 'ester', start: 'star', depth: 'valves' }
const MOTOR = { ...RUNNING, depth: 'motor' }
const PUMP = { ...RUNNING, oiling: 'pump' }

export const M5_MISTAKES: Mistakes = {
  family: 'Reciprocating compressor',
  sheet: 'm5-reciprocating-compressor',
  figures: () => M5,
  mistakes: [
    ...on(VALVES, [
      leftSo('A joint bubbles as it is given back', { soaped: 'it bubbles at one' }, /loses its charge/),
      startsLocked('at the compressor'),
      outAt(
        { what: 'It is opened with pressure in it', at: 'recovered', stopped: 'oil-out', means: /flies/ },
        { 'gone discharge side': 0.09 },
      ),
      early('A head is eased before its plate is marked', 'mark-heads', 'heads-ease-left', /turns end for end/, {
        lifts: ['head-screws@left'],
      }),
      early('It is opened before the winding is read', 'box-read', 'mark-heads', /how damp it was/),
      stands('A plate goes back with the dots of the other', 'heads-on', 'plate-left', [1, 2], 'heads-on', /half shut/),
      inHand(
        'The plates are exchanged',
        'heads-on',
        { 'plate@left': 'plate@right', 'plate@right': 'plate@left' },
        /half over the bores/,
      ),
      inHand(
        'Discharge reeds are in the hand for suction reeds',
        'reeds-on-left',
        { 'suction-reeds@left': 'discharge-reeds@left' },
        /breaks where the thick one/,
      ),
      stands(
        'The thin reeds lie under the guards',
        'reeds-on-left',
        'reed-side-left',
        'toward the head, under the guards',
        'round-on',
        /blows back/,
      ),
      smeared('The reeds are oiled so that they stay', 'reeds-on-left', 'reeds, left head', 'oil', /glues them/),
      stands(
        'The rib of the head stands over a port',
        'heads-on',
        'rib-right',
        'across a discharge port',
        'heads-on',
        /straight back into the suction/,
      ),
      outAt(
        {
          what: 'The gasket of the trial was too thin',
          at: 'round-read',
          stopped: 'heads-on',
          means: /strikes the plate/,
        },
        { 'top-c3 first lead': 0.22, 'top-c3 second lead': 0.23 },
      ),
      outAt(
        {
          what: 'Another gasket goes in than the one of the trial',
          at: 'heads-on',
          stopped: 'heads-on',
          means: /another than the one of the trial/,
        },
        { 'went-in-left': 0.7 },
      ),
      leftIn(
        'A lead is left on a crown',
        'round-off',
        { 'leads out': 7 },
        /Leads on the crowns: 8 went in, 7 came out/,
      ),
      hurried('The heads are torqued again at once', 'settle', /settling/),
      outAt(
        { what: 'A reed that drips goes back', at: 'look-valves', stopped: 'heads-on', means: /runs hot/ },
        { 'reeds-tight right head': 'it drips' },
      ),
      outAt(
        { what: 'The ester can stood open over lunch', at: 'oil-in', stopped: 'oil-in', means: /drunk water/ },
        { 'can-open': 2700 },
      ),
      outAt(
        { what: 'Oil is filled to the top of the glass', at: 'oil-in', stopped: 'oil-in', means: /into the pipes/ },
        { filled: 3.6 },
      ),
      hurried('The nitrogen is read after an hour', 'nitrogen-read', /nitrogen/),
      outAt(
        { what: 'It loses nitrogen and is drawn down', at: 'nitrogen-read', stopped: 'vacuum', means: /leaks/ },
        { 'tight At the end, absolute': 1.24 },
      ),
      outAt(
        {
          what: 'The vacuum rises and it is charged',
          at: 'vacuum-read',
          stopped: 'charged',
          means: /wet, or it leaks/,
        },
        { holds: 0.00018 },
      ),
      stands(
        'The links lie as for another start',
        'lid-on',
        'links',
        'along, each 1 to its 2',
        'run',
        /hums and burns/,
      ),
      hurried('It is started an hour after the heater', 'warm', /warming the oil/),
      outAt(
        { what: 'The heater is dead and it is started', at: 'warmed', stopped: 'run', means: /full of liquid/ },
        { 'warm-case': 2 },
      ),
      outAt(
        {
          what: 'One head runs hotter and it is left so',
          at: 'run',
          stopped: 'handed-over',
          means: /reed leaks there/,
        },
        { 'run *left head*': 97 },
      ),
    ]),
    ...on(RUNNING, [
      early('The cover is slid off without its pins', 'pins-in', 'cover-off', /down on the winding/, {
        lifts: ['cover-screws', 'cover', 'cover-gasket'],
      }),
      early('The rotor comes off before gap and play are read', 'gap-found', 'rotor-off', /how it sat/, {
        lifts: ['lock-washer', 'rotor-screw', 'weight', 'rotor'],
      }),
      inHand(
        'Two pistons are exchanged',
        'pistons-in',
        { 'piston@c1': 'piston@c3', 'piston@c3': 'piston@c1' },
        /seizes or lets gas past/,
      ),
      inHand('A rod is in the hand for its neighbour', 'rods-on', { 'rod@c2': 'rod@c4', 'rod@c4': 'rod@c2' }, /knocks/),
      stands('A rod is upside down', 'rods-on', 'oil-hole-c2', 'down', 'rings-on', /runs dry/),
      stands(
        'A clip does not turn in its groove',
        'rods-on',
        'clip-c4',
        'it springs out at one end',
        'rings-on',
        /scores the bore/,
      ),
      stands('A ring goes on upside down', 'rings-on', 'ring-up-c1', 'one up, one down', 'pistons-in', /pumps oil/),
      stands(
        'The gaps of two rings lie over each other',
        'rings-on',
        'ring-apart-c3',
        'one over the other',
        'pistons-in',
        /straight through/,
      ),
      stands(
        'A piston points to the discharge',
        'pistons-in',
        'arrow-c2',
        'the discharge side',
        'shaft-in',
        /strikes the crown/,
      ),
      against(
        'A piston that slaps goes back',
        { 'skirt-c1': 64.852 },
        ['piston@c1', 'reuse'],
        /Piston in its bore/,
        'look-running',
      ),
      against(
        'Rings that let gas past go back',
        { 'ring-gap-c2 upper': 0.95 },
        ['rings@c2', 'reuse'],
        /0\.95 mm/,
        'look-running',
      ),
      smeared('The thrust ring goes in dry', 'bearing-cover-on', 'thrust ring', 'dry', /wipes/),
      stands(
        'The thrust ring is the wrong way round',
        'bearing-cover-on',
        'thrust-face',
        'the cover',
        'bearing-cover-on',
        /turns heavy/,
      ),
      outAt(
        { what: 'It has no end play', at: 'play-built', stopped: 'round-turn', means: /binds as it warms/ },
        { 'end-play build': 0.08 },
      ),
      outAt(
        { what: 'It turns heavy at one place', at: 'play-built', stopped: 'round-on', means: /rod the wrong way/ },
        { turned: 'heavy at one place' },
      ),
      leftIn('A rag is left in a bore', 'rags-out', { 'rags out': 3 }, /Rags in the bores: 4 went in, 3 came out/),
      stands(
        'The weight sits over the throw',
        'rotor-on',
        'weight-flat',
        'away from the key, over the throw',
        'rotor-pull',
        /doubles/,
      ),
      outAt(
        { what: 'The rotor rubs at the bottom', at: 'gap-built', stopped: 'cover-on', means: /rubs/ },
        { 'air-gap build bottom': 0.31 },
      ),
      early('The cover is torqued on its guide pins', 'pins-out', 'cover-pull', /leaks/),
      stands('The lug of the cover is at the top', 'cover-on', 'lug', 'at the top', 'cover-on', /stands in oil/),
    ]),
    ...on(MOTOR, [
      early('The plate is pulled out by its leads', 'plate-eased', 'stator-out', /breaks their eyes/, {
        lifts: ['stator'],
      }),
      {
        what: 'A sensor lead goes on a phase',
        at: 'plate-in',
        says: /Not met|crossed/,
        means: /protection module/,
        stopped: 'plate-in',
        noticed: 'at once',
        does: bench => bench.does('plate-in', { mates: { 'sensor-s1-end-1': { label: 'U1' } } }),
      },
    ]),
    ...on(PUMP, [
      outAt(
        { what: 'The oil pump makes no pressure', at: 'run', stopped: 'handed-over', means: /sucking gas/ },
        { 'pump-over': 0.06 },
      ),
    ]),
  ],
}
