import type { Ground, DrawnAs } from './drawing.ts'

/** What may be found on a part by eye, by what sort of surface it is: codes, each in three grades. Figures of no maker; general experience. */

/** What a grade of a finding proposes for the part: `ask` leaves it to a lead. */
export const PROPOSED = ['reuse', 'rework', 'renew', 'ask'] as const
export type Proposed = (typeof PROPOSED)[number]

/** As it is said beside a finding. */
export const PROPOSED_WORDS: Readonly<Record<Proposed, string>> = {
  reuse: 'It may go back',
  rework: 'Rework is proposed',
  renew: 'A new one is proposed',
  ask: 'A lead says whether it goes back',
}

/** How bad it is, from 1. */
export const GRADES = [1, 2, 3] as const
export type GradeNumber = (typeof GRADES)[number]

/** One grade of a finding: how it is told from the others, and what it proposes. */
export interface FindingGrade {
  say: string
  proposes: Proposed
}

/** Something that may be found, as it is known among fitters. */
export interface FindingCode {
  id: string
  say: string
  /** What it tells of the machine. */
  tells: string
  /** From the mildest. */
  grades: [FindingGrade, FindingGrade, FindingGrade]
  /** How it is drawn; what a sheet adds may leave it out. */
  drawn?: DrawnAs
}

/** The codes of one sort of surface. */
export interface CodeSet {
  /** What it is drawn on. */
  ground: Ground
  codes: readonly FindingCode[]
}

type Pair = [say: string, proposes: Proposed]
const code = (id: string, say: string, drawn: DrawnAs, tells: string, ...grades: [Pair, Pair, Pair]): FindingCode => {
  const [mild, marked, bad] = grades.map(([words, proposes]): FindingGrade => ({ say: words, proposes })) as [
    FindingGrade,
    FindingGrade,
    FindingGrade,
  ]
  return { id, say, tells, grades: [mild, marked, bad], drawn }
}

const CRACK: [Pair, Pair, Pair] = [
  ['hairline, dye shows it', 'renew'],
  ['seen with a glass', 'renew'],
  ['seen from a metre', 'renew'],
]
const cracked = (tells: string) => code('crack', 'Cracked', 'cracks', tells, ...CRACK)
const rust = (tells: string) =>
  code(
    'rust',
    'Corroded',
    'rust',
    tells,
    ['a bloom that wipes off', 'reuse'],
    ['stains and shallow pits', 'rework'],
    ['eaten in', 'renew'],
  )

/** The sorts of surfaces that are looked at. */
export type CodeSetName =
  | 'gear tooth'
  | 'rolling track'
  | 'sleeve lining'
  | 'journal'
  | 'seal face'
  | 'soft ring'
  | 'lip seal'
  | 'housing fit'
  | 'bolt'
  | 'coupling element'
  | 'blade'
  | 'winding'
  | 'spring'
  | 'drive slot'
  | 'impeller'
  | 'valve'
  | 'piston'
  | 'joint face'
  | 'any part'

export const CODE_SETS: Record<CodeSetName, CodeSet> = {
  'gear tooth': {
    ground: 'flank',
    codes: [
      code(
        'pits',
        'Pitted',
        'pits',
        'The flank tires under its load; fresh ones spread',
        ['few, old and rounded', 'reuse'],
        ['a band at the pitch line', 'ask'],
        ['craters with sharp edges', 'renew'],
      ),
      code(
        'scuff',
        'Scuffed',
        'scores',
        'It ran short of oil, or the oil was too thin',
        ['a dull streak at the tip', 'reuse'],
        ['torn lines up the flank', 'ask'],
        ['torn over half the flank', 'renew'],
      ),
      code(
        'end',
        'Polished at one end',
        'band',
        'The axes are not parallel, or the seats have moved',
        ['a third brighter', 'reuse'],
        ['half bright, half dull', 'ask'],
        ['bearing at one end only', 'ask'],
      ),
      code(
        'step',
        'Worn to a step',
        'step',
        'Dirt in the oil has ground it down',
        ['felt with a nail', 'reuse'],
        ['seen across the flank', 'ask'],
        ['the tip is sharp', 'renew'],
      ),
      code(
        'chip',
        'Chipped',
        'chips',
        'Something hard went through, or it was struck',
        ['the very edge, rounded', 'rework'],
        ['a corner gone', 'ask'],
        ['a piece of the flank gone', 'renew'],
      ),
      code(
        'dent',
        'Dented',
        'dents',
        'Something went through the mesh',
        ['one, no burr', 'reuse'],
        ['some with burrs', 'rework'],
        ['all round', 'renew'],
      ),
      cracked('It breaks off at the root, and the next one carries its load'),
      rust('Water in the oil, or it stood open'),
    ],
  },
  'rolling track': {
    ground: 'track',
    codes: [
      code(
        'flakes',
        'Flaked',
        'spalls',
        'The track is tired; the flakes go through all the others',
        ['a speck', 'renew'],
        ['a patch', 'renew'],
        ['half round', 'renew'],
      ),
      code(
        'flutes',
        'Fluted',
        'flutes',
        'Current runs through the bearing: ask who sees to the earthing',
        ['grey, dull track', 'ask'],
        ['fine washboard', 'renew'],
        ['washboard to be felt', 'renew'],
      ),
      code(
        'dents',
        'Dents a ball apart',
        'dents',
        'It was struck home, or it shook while it stood',
        ['shadows, not felt', 'renew'],
        ['felt with a nail', 'renew'],
        ['deep', 'renew'],
      ),
      code(
        'smear',
        'Smeared',
        'smear',
        'It slid instead of rolling: too little load, or too little oil',
        ['dull streaks', 'ask'],
        ['metal dragged along', 'renew'],
        ['all round', 'renew'],
      ),
      code('heat', 'Blued or brown', 'bloom', 'It ran hot', ['straw', 'ask'], ['brown', 'renew'], ['blue', 'renew']),
      code(
        'creep',
        'Turned in its seat',
        'scores',
        'The fit is too loose; measure seat and ring',
        ['a polish on the outside', 'ask'],
        ['lines round the outside', 'ask'],
        ['worn to a step', 'renew'],
      ),
      code(
        'dirt',
        'Dirt rolled in',
        'pits',
        'The seal or the oil let dirt in',
        ['a few dull spots', 'ask'],
        ['spotted all round', 'renew'],
        ['rough to turn', 'renew'],
      ),
      rust('Water, or it stood without oil'),
    ],
  },
  'sleeve lining': {
    ground: 'liner',
    codes: [
      code(
        'wiped',
        'Wiped',
        'smear',
        'It ran dry or hot; the metal moved',
        ['a shine at one edge', 'ask'],
        ['a patch, oil pockets open', 'renew'],
        ['dragged over the oil groove', 'renew'],
      ),
      code(
        'scores',
        'Scored',
        'scores',
        'Dirt went through; it carries on the ridges between',
        ['the nail does not catch', 'reuse'],
        ['the nail catches', 'rework'],
        ['grooves side by side', 'renew'],
      ),
      code(
        'fatigue',
        'Cracked like dry mud',
        'mud',
        'The metal is tired, or its bond is going',
        ['a few lines', 'renew'],
        ['islands', 'renew'],
        ['islands are out', 'renew'],
      ),
      code(
        'dirt',
        'Dirt bedded in',
        'pits',
        'The oil was not clean; it cuts the journal',
        ['a few specks', 'reuse'],
        ['specks all over', 'rework'],
        ['hard and bright', 'renew'],
      ),
      code(
        'edge',
        'Loaded at one end',
        'band',
        'Shaft and bearing stand askew',
        ['brighter at the end', 'reuse'],
        ['bears on half its length', 'ask'],
        ['worn through at the end', 'renew'],
      ),
      code(
        'bond',
        'Loose from its shell',
        'blisters',
        'Rung, it is dull: a flake shuts the oilway',
        ['at an edge', 'renew'],
        ['a patch', 'renew'],
        ['a piece is out', 'renew'],
      ),
      rust('Water or acid in the oil'),
    ],
  },
  'journal': {
    ground: 'shaft',
    codes: [
      code(
        'scores',
        'Scored',
        'scores',
        'Dirt went through the bearing, or the lip dug in',
        ['the nail does not catch', 'reuse'],
        ['the nail catches', 'rework'],
        ['deep, side by side', 'rework'],
      ),
      code(
        'fretted',
        'Fretted',
        'fretting',
        'What sits there has moved',
        ['a brown shine', 'reuse'],
        ['red dust and pits', 'rework'],
        ['eaten in, a step to be felt', 'rework'],
      ),
      code('heat', 'Blued', 'bloom', 'It ran hot', ['straw', 'reuse'], ['brown', 'ask'], ['blue', 'ask']),
      code(
        'nick',
        'Nicked',
        'dents',
        'It was struck or set down hard',
        ['one, no burr', 'reuse'],
        ['a burr to stone off', 'rework'],
        ['several across the track', 'rework'],
      ),
      code(
        'groove',
        'A groove run in',
        'band',
        'A lip or a ring has run there',
        ['seen, not felt', 'reuse'],
        ['felt with a nail', 'rework'],
        ['deep', 'rework'],
      ),
      cracked('It goes on from there until the shaft parts'),
      rust('It stood wet, or the liquid got past'),
    ],
  },
  'seal face': {
    ground: 'ring face',
    codes: [
      code(
        'wide',
        'Track too wide',
        'wide',
        'The faces ran out of line: shaft run-out, or a cover that stands askew',
        ['a hair wider', 'reuse'],
        ['a third wider', 'ask'],
        ['over the whole face', 'renew'],
      ),
      code(
        'part',
        'Track not all round',
        'part',
        'The seat stands askew or is bent by its bolts',
        ['dull for an hour', 'reuse'],
        ['missing for three hours', 'ask'],
        ['on one side only', 'renew'],
      ),
      code(
        'checks',
        'Heat checks',
        'rays',
        'It ran dry',
        ['a few, from the bore', 'renew'],
        ['side by side', 'renew'],
        ['through to the edge', 'renew'],
      ),
      code(
        'chip',
        'Chipped edge',
        'chips',
        'At the outside: it opened and shut, or it was knocked; at the bore: something hard was in it',
        ['outside its track', 'reuse'],
        ['into its track', 'renew'],
        ['through its track', 'renew'],
      ),
      code(
        'groove',
        'Grooved',
        'rings',
        'Something hard ran between the faces',
        ['lines, not felt', 'reuse'],
        ['a groove felt with a nail', 'renew'],
        ['grooves side by side', 'renew'],
      ),
      code(
        'blisters',
        'Blistered',
        'blisters',
        'The liquid got into the carbon and boiled there: stops and starts, or too thick',
        ['one', 'renew'],
        ['several', 'renew'],
        ['pieces are out', 'renew'],
      ),
      code(
        'coke',
        'Coked or crusted',
        'deposit',
        'Product dried or burned on the side of the air',
        ['a rim that wipes off', 'reuse'],
        ['a hard rim behind it', 'ask'],
        ['the ring hung on it', 'renew'],
      ),
      cracked('It was bent, struck or cooled of a sudden'),
    ],
  },
  'soft ring': {
    ground: 'cord',
    codes: [
      code(
        'swollen',
        'Swollen',
        'swell',
        'The rubber does not bear what it stood in; ask what it was washed with',
        ['a little soft', 'renew'],
        ['stands out of its groove', 'renew'],
        ['half as thick again', 'renew'],
      ),
      code(
        'flat',
        'Flattened',
        'flat',
        'Age or heat: it has set',
        ['to be felt', 'renew'],
        ['seen from the side', 'renew'],
        ['flat as a strip', 'renew'],
      ),
      code(
        'blisters',
        'Blistered',
        'blisters',
        'Gas went into it and came out too fast',
        ['one', 'renew'],
        ['several', 'renew'],
        ['torn open', 'renew'],
      ),
      code(
        'nibbled',
        'Nibbled',
        'nibbled',
        'It was pressed into a gap: pressure, or a worn groove',
        ['at one hour', 'renew'],
        ['along a quarter', 'renew'],
        ['all round', 'renew'],
      ),
      code(
        'hard',
        'Hard and cracked',
        'cracks',
        'It ran hot; look at the faces for a dry run',
        ['stiff', 'renew'],
        ['fine cracks when bent', 'renew'],
        ['breaks', 'renew'],
      ),
      code(
        'cut',
        'Cut',
        'cut',
        'It was drawn over an edge as it went on',
        ['a nick', 'renew'],
        ['half through', 'renew'],
        ['parted', 'renew'],
      ),
      code(
        'worn',
        'Worn by movement',
        'band',
        'What it sits on moved to and fro under it',
        ['a shine', 'renew'],
        ['a flat track', 'renew'],
        ['fretted through', 'renew'],
      ),
    ],
  },
  'lip seal': {
    ground: 'lip',
    codes: [
      code(
        'worn',
        'Lip worn wide',
        'band',
        'Its time is up, or the shaft is rough',
        ['a hair', 'renew'],
        ['a broad band', 'renew'],
        ['flat', 'renew'],
      ),
      code(
        'hard',
        'Lip hard',
        'cracks',
        'It ran hot or dry',
        ['stiff', 'renew'],
        ['cracked', 'renew'],
        ['burnt', 'renew'],
      ),
      code(
        'cut',
        'Lip cut',
        'cut',
        'It was pushed over an edge as it went on',
        ['a nick', 'renew'],
        ['through', 'renew'],
        ['turned over', 'renew'],
      ),
    ],
  },
  'housing fit': {
    ground: 'bore',
    codes: [
      code(
        'fretted',
        'Fretted',
        'fretting',
        'What sits there has moved',
        ['a brown shine', 'reuse'],
        ['red dust and pits', 'rework'],
        ['a step to be felt', 'rework'],
      ),
      code(
        'creep',
        'Ring turned in it',
        'scores',
        'The fit is too loose: measure bore and ring',
        ['polished', 'ask'],
        ['lines round it', 'rework'],
        ['worn to a step', 'rework'],
      ),
      code(
        'nick',
        'Nick or burr',
        'dents',
        'It tips what sits there',
        ['stoned off', 'reuse'],
        ['several', 'rework'],
        ['across the seat', 'rework'],
      ),
      cracked('It was let fall, or driven'),
      rust('It stood wet'),
    ],
  },
  'bolt': {
    ground: 'screw',
    codes: [
      code(
        'neck',
        'Stretched',
        'neck',
        'It was drawn past its limit',
        ['a nut binds at one place', 'renew'],
        ['a waist to be seen', 'renew'],
        ['about to part', 'renew'],
      ),
      code(
        'thread',
        'Thread picked up',
        'chips',
        'It went in askew or dry',
        ['one turn, runs by hand', 'reuse'],
        ['a die clears it', 'rework'],
        ['torn', 'renew'],
      ),
      code(
        'head',
        'Head rounded',
        'rounded',
        'The wrong key, or it was seized',
        ['the key still holds', 'reuse'],
        ['the key slips', 'renew'],
        ['round', 'renew'],
      ),
      code(
        'tip',
        'Tip mashed',
        'mashed',
        'It was drawn up on something hard, or it alone held',
        ['a ring on it', 'reuse'],
        ['flat', 'renew'],
        ['mushroomed', 'renew'],
      ),
      code(
        'bent',
        'Bent',
        'bend',
        'What it holds has moved',
        ['seen when rolled', 'renew'],
        ['seen at once', 'renew'],
        ['bent and necked', 'renew'],
      ),
      rust('Water gets in under its head'),
    ],
  },
  'coupling element': {
    ground: 'block',
    codes: [
      code(
        'crack',
        'Cracked',
        'cracks',
        'It is tired, or the shafts stand out of line',
        ['at an edge', 'renew'],
        ['across', 'renew'],
        ['in pieces', 'renew'],
      ),
      code(
        'worn',
        'Worn by its pins',
        'band',
        'It works to and fro: look at the alignment',
        ['a shine', 'reuse'],
        ['a tooth of it', 'renew'],
        ['metal touches metal', 'renew'],
      ),
      code(
        'soft',
        'Perished',
        'bloom',
        'Oil or heat got at it',
        ['sticky', 'renew'],
        ['soft and swollen', 'renew'],
        ['crumbles', 'renew'],
      ),
      code(
        'bent',
        'Bent',
        'bend',
        'It was overloaded, or pulled off askew',
        ['seen on a flat', 'renew'],
        ['seen at once', 'renew'],
        ['creased', 'renew'],
      ),
    ],
  },
  'blade': {
    ground: 'blade',
    codes: [
      code(
        'feather',
        'Feathered edge',
        'nibbled',
        'It ends up in the product: take it off by hand',
        ['a thread', 'reuse'],
        ['along half', 'rework'],
        ['all along', 'rework'],
      ),
      code(
        'chip',
        'Chipped edge',
        'chips',
        'Something hard went through',
        ['one nick', 'rework'],
        ['several', 'renew'],
        ['a piece is out', 'renew'],
      ),
      code('crack', 'Cracked', 'cracks', 'It breaks off and is in the product', ...CRACK),
      code(
        'warp',
        'Warped',
        'bend',
        'Too hot, or a cleaner it does not bear',
        ['a sheet of paper goes under', 'ask'],
        ['light under it', 'renew'],
        ['touches at its ends only', 'renew'],
      ),
      code(
        'slot',
        'Slots worn oval',
        'oval',
        'The product presses it too hard',
        ['to be felt', 'reuse'],
        ['to be seen', 'ask'],
        ['it hangs on an edge', 'renew'],
      ),
    ],
  },
  'winding': {
    ground: 'coil',
    codes: [
      code(
        'dark',
        'Insulation dark',
        'bloom',
        'It ran hot',
        ['brown', 'ask'],
        ['dark brown', 'ask'],
        ['black, it flakes', 'renew'],
      ),
      code(
        'loose',
        'Loose',
        'bend',
        'It moves and rubs through',
        ['a wedge is loose', 'rework'],
        ['a coil moves by hand', 'rework'],
        ['rubbed to the copper', 'renew'],
      ),
      code(
        'dirt',
        'Dirty',
        'deposit',
        'It cannot shed its heat',
        ['dust that blows off', 'reuse'],
        ['caked', 'rework'],
        ['oil and dust in the slots', 'rework'],
      ),
      code(
        'rubbed',
        'Rubbed',
        'scores',
        'Rotor or a loose part touched it',
        ['the varnish only', 'rework'],
        ['into the tape', 'ask'],
        ['to the copper', 'renew'],
      ),
    ],
  },
  'spring': {
    ground: 'spring',
    codes: [
      code(
        'broken',
        'Broken',
        'cut',
        'It was tired, or what it stood in got at it',
        ['one coil', 'renew'],
        ['in two', 'renew'],
        ['in pieces', 'renew'],
      ),
      code(
        'clogged',
        'Clogged',
        'deposit',
        'Product sets between the coils, and the face hangs',
        ['washes out', 'reuse'],
        ['scraped out', 'ask'],
        ['solid', 'renew'],
      ),
      code(
        'set',
        'Shorter than the others',
        'flat',
        'It has set',
        ['a hair', 'reuse'],
        ['to be seen beside them', 'renew'],
        ['coils touch', 'renew'],
      ),
      rust('What it stood in gets at the wire'),
    ],
  },
  'drive slot': {
    ground: 'slot',
    codes: [
      code(
        'one-side',
        'Worn on one side',
        'one wall',
        'The side it is driven from: it tells the way it turned',
        ['a shine', 'reuse'],
        ['a step', 'ask'],
        ['hammered out', 'renew'],
      ),
      code(
        'both-sides',
        'Worn on both sides',
        'both walls',
        'It stuttered: the faces stuck and let go',
        ['a shine', 'reuse'],
        ['oval', 'ask'],
        ['hammered out', 'renew'],
      ),
      cracked('It runs on from the corner of the slot'),
    ],
  },
  'impeller': {
    ground: 'vane',
    codes: [
      code(
        'worn',
        'Worn thin',
        'step',
        'Solids in what is pumped',
        ['edges rounded', 'reuse'],
        ['a third gone', 'ask'],
        ['holes', 'renew'],
      ),
      code(
        'cavities',
        'Eaten like a sponge',
        'pits',
        'The liquid boiled at its inlet: look at suction and level',
        ['dull spots', 'reuse'],
        ['rough, not deep', 'ask'],
        ['deep holes', 'renew'],
      ),
      code(
        'rub',
        'Rubbed',
        'scores',
        'It touched: play, a bent shaft, or out of the middle',
        ['a bright line', 'reuse'],
        ['a burr all round', 'rework'],
        ['blued and worn', 'renew'],
      ),
      code(
        'clog',
        'Blocked',
        'deposit',
        'Something is stuck in it',
        ['a thread', 'reuse'],
        ['one channel', 'rework'],
        ['most of them', 'rework'],
      ),
      cracked('A vane breaks off'),
      rust('The metal does not bear what is pumped'),
    ],
  },
  'valve': {
    ground: 'ring face',
    codes: [
      code(
        'beaten',
        'Seat beaten wide',
        'wide',
        'It shuts late and hard',
        ['an even wide ring', 'reuse'],
        ['twice as wide', 'rework'],
        ['hammered out', 'renew'],
      ),
      code(
        'cut',
        'Cut across by flow',
        'rays',
        'It leaked, and what leaked cut it',
        ['one line', 'rework'],
        ['several', 'renew'],
        ['through', 'renew'],
      ),
      cracked('A piece goes into the cylinder'),
      code(
        'coke',
        'Coked',
        'deposit',
        'Oil burns on it',
        ['wipes off', 'reuse'],
        ['scraped off', 'rework'],
        ['it does not shut on it', 'renew'],
      ),
    ],
  },
  'piston': {
    ground: 'shaft',
    codes: [
      code(
        'scuff',
        'Scuffed',
        'scores',
        'It ran dry, hot or tight',
        ['dull streaks', 'ask'],
        ['torn on one side', 'renew'],
        ['seized', 'renew'],
      ),
      code(
        'groove',
        'Ring groove worn',
        'step',
        'The ring rocks and lets pass',
        ['to be felt', 'ask'],
        ['to be seen', 'renew'],
        ['broken land', 'renew'],
      ),
      cracked('It parts at the pin or the land'),
    ],
  },
  'joint face': {
    ground: 'plate',
    codes: [
      code(
        'scratch',
        'Scratched across',
        'scores',
        'It leaks along the scratch',
        ['not felt', 'reuse'],
        ['felt with a nail', 'rework'],
        ['deep, from side to side', 'rework'],
      ),
      code(
        'wash',
        'Washed out',
        'step',
        'It leaked, and what leaked cut it',
        ['a shadow', 'reuse'],
        ['a channel', 'rework'],
        ['eaten through', 'rework'],
      ),
      code(
        'rest',
        'Old gasket on it',
        'deposit',
        'The new one does not lie flat',
        ['specks', 'rework'],
        ['patches', 'rework'],
        ['all round', 'rework'],
      ),
      cracked('It was levered or let fall'),
    ],
  },
  'any part': {
    ground: 'plate',
    codes: [
      code(
        'worn',
        'Worn',
        'step',
        'Something runs on it',
        ['to be felt', 'reuse'],
        ['to be seen', 'ask'],
        ['through', 'renew'],
      ),
      code(
        'nick',
        'Nicked or dented',
        'dents',
        'It was struck',
        ['one, no burr', 'reuse'],
        ['burrs', 'rework'],
        ['bent', 'renew'],
      ),
      cracked('It goes on from there'),
      code(
        'bent',
        'Bent',
        'bend',
        'It was forced or let fall',
        ['seen on a flat', 'ask'],
        ['seen at once', 'renew'],
        ['creased', 'renew'],
      ),
      code('heat', 'Heat-coloured', 'bloom', 'It ran hot', ['straw', 'reuse'], ['brown', 'ask'], ['blue', 'ask']),
      code(
        'dirt',
        'Crusted',
        'deposit',
        'What it stood in dries on it',
        ['wipes off', 'reuse'],
        ['scraped off', 'reuse'],
        ['it does not come off', 'ask'],
      ),
      rust('It stood wet'),
    ],
  },
}

export const CODE_SET_NAMES = Object.keys(CODE_SETS) as CodeSetName[]

/** What is found and has no code: said in words. Every set has it. */
export const OTHER: FindingCode = {
  id: 'other',
  say: 'Something else',
  tells: 'Say what it is',
  grades: [
    { say: 'of no matter', proposes: 'reuse' },
    { say: 'worn', proposes: 'ask' },
    { say: 'damaged', proposes: 'renew' },
  ],
}

/** The codes of a set, with those that a sheet adds and the one for what has none. */
export const codesOf = (set: CodeSetName, more: readonly FindingCode[] = []): readonly FindingCode[] => [
  ...more,
  ...CODE_SETS[set].codes,
  OTHER,
]

/** What each pattern is drawn on in a set. */
export const groundOf = (set: CodeSetName): Ground => CODE_SETS[set].ground
