import { M4 } from '../walks/m4.ts'
import {
  early,
  hurried,
  inHand,
  on,
  outAt,
  slip,
  smeared,
  stands,
  unready,
  type Mistakes,
  exchanged,
  leftSo,
} from './bench.ts'

const PLAIN = { chambers: 'four', diaphragm: 'rubber', fluid: 'plain', lead: 'fitted' }
const HAZARDOUS = { chambers: 'two', diaphragm: 'faced', fluid: 'hazardous', lead: 'none' }

export const M4_MISTAKES: Mistakes = {
  family: 'Dosing pump',
  sheet: 'm4-dosing-pump',
  figures: () => M4,
  mistakes: [
    ...on(PLAIN, [
      leftSo(
        'It is given back with a valve shut',
        { 'as-given': 'by its control, one side shut' },
        /against a shut valve/,
      ),
      outAt(
        { what: 'The start is tried, and it hums', at: 'try-start', stopped: 'try-start', means: /wrong breaker/ },
        { 'try-start': 'it hums' },
      ),
      outAt(
        { what: 'One side is left open', at: 'shut', stopped: 'hoses-off', means: /siphons/ },
        { shut: 'the main side alone, it drips' },
      ),
      early('It is apart before it is scribed', 'scribed', 'bolts-out', /how it stood/, { lifts: ['head-bolts'] }),
      early('The screw is turned before it is looked at', 'screw-seen', 'screw-slack', /where the screw stood/),
      early('It is drawn with its screw tight', 'screw-slack', 'pump-off', /scored/, { lifts: ['lower'] }),
      {
        ...outAt({ what: 'The cam of another size', at: 'cam-read', stopped: 'cam-on', means: /short dose/ }, {}),
        does: bench => bench.reads({ throw: 1.5 }).does('cam-read').does('cam-away'),
      },
      smeared('Locker on the set screw', 'cam-on', 'set screw', 'grease', /cracks the plastic/),
      stands('The tab is beside its notch', 'diaphragm-on', 'tab', 'opposite the notch', 'lower-on', /it tears/),
      outAt(
        { what: 'A plate screw is forced', at: 'diaphragm-on', stopped: 'lower-on', means: /crushed/ },
        { 'heads boss 2': 0.9 },
      ),
      stands(
        'The suction cones stand taper up',
        'cones-up',
        'cones-in',
        'its pointed end',
        'middle-on',
        /pumps nothing/,
      ),
      stands(
        'The delivery cones stand taper up',
        'cones-up',
        'cones-out',
        'its pointed end',
        'middle-on',
        /pumps nothing/,
      ),
      exchanged(
        { what: 'Two cones are exchanged', at: 'cones-up', stopped: 'middle-on', means: /leaks back/ },
        ['cone@s1', 'cone@d1'],
        'pump',
      ),
      smeared('Grease on the cones', 'cones-up', 'cones', 'grease', /holds one open/),
      outAt(
        { what: 'A cone is pressed home first', at: 'cones-up', stopped: 'middle-on', means: /misses its pocket/ },
        { 'proud-d1': 0.4 },
      ),
      stands(
        'The port is on the wrong side',
        'lower-on',
        'port-side',
        'the lug, the port is opposite',
        'stack-pull',
        /never reached/,
      ),
      stands(
        'The middle stands half a turn round',
        'stack-pull',
        'letters',
        { label: 'A B A' },
        'pump-on',
        /shuts into nothing/,
      ),
      outAt(
        { what: 'A cone stands across in the stack', at: 'stack-pull', stopped: 'pump-on', means: /stands across/ },
        { 'gap corner C': 0.4 },
      ),
      outAt(
        { what: 'The bulb draws at IN, and it goes on', at: 'bulb-tried', stopped: 'pump-on', means: /doses backward/ },
        { bulb: 'at IN it draws, at OUT it blows' },
      ),
      stands('The round stands under the screw', 'pump-on', 'flat', 'the round of it', 'screw-nip', /fades in days/),
      stands('The stack goes on a hole round', 'pump-on', 'line', 90, 'screw-nip', /do not meet/),
      outAt(
        { what: 'The screw is nipped on the round', at: 'screw-nip', stopped: 'bolts-set', means: /on the round/ },
        { under: 0.3 },
      ),
      inHand('Head bolts are stood up for the stack', 'cones-up', { 'stack-screws': 'head-bolts' }, /Head bolts/),
      slip(
        'Pounds and inches are read as newtons and metres',
        'bolts-set',
        ['driver build', 35, 4],
        /over the limit|lbf|span/,
      ),
      outAt(
        {
          what: 'The driver is set to another torque',
          at: 'bolts-set',
          stopped: 'bolts-pull',
          means: /threads of the motor/,
        },
        { driver: 9 },
      ),
      early('The set screw is finished first', 'bolts-pull', 'screw-done', /askew on its bolts/),
      outAt(
        { what: 'It turns heavily, and is shut', at: 'turned', stopped: 'plug-in', means: /askew/ },
        { turned: 'heavy, or it strikes' },
      ),
      exchanged(
        { what: 'The fittings are exchanged', at: 'fittings-on', stopped: 'bracket-on', means: /pumps nothing/ },
        ['fitting@in', 'fitting@out'],
        'hand-back',
      ),
      stands('A clip is half in', 'fittings-on', 'clip-out', 'one leg, the other bent', 'bracket-on', /shoots off/),
      exchanged(
        { what: 'The hoses are crossed', at: 'hoses-on', stopped: 'leads-on', means: /doses backward/ },
        ['hose@in', 'hose@out'],
        'hand-back',
      ),
      stands(
        'The injection valve stands the wrong way',
        'hoses-on',
        'arrow',
        'back to the pump',
        'leads-on',
        /diaphragm tears/,
      ),
      exchanged(
        { what: 'Two leads are crossed', at: 'leads-on', stopped: 'run', means: /casing is live/ },
        ['wire@l', 'wire@pe'],
        'hand-back',
      ),
      outAt(
        { what: 'It lets the air by, and is run', at: 'air', stopped: 'run', means: /delivery cone/ },
        { 'holds At the end, absolute': 0.26 },
      ),
    ]),
    ...on(HAZARDOUS, [
      unready('The bath is mixed too weak', 'soaked', { bath: 0.001 }, /kills nothing/),
      hurried('It is opened before the bath has stood', 'soaked', /disinfectant in the pump/),
      early('It is opened without a bath', 'soaked', 'hoses-off', /still alive/, { lifts: ['foot-valve'] }),
    ]),
  ],
}
