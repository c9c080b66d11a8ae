/** What can be seen on each part of a seal. Every observation is one of these; a part not looked at says nothing. */
export const OBSERVATIONS = {
  faces: [
    'good, even track',
    'track wider than the face',
    'heat checks',
    'chipped edge',
    'worn deep',
    'track on one side',
    'deposit on the track',
    'blisters',
  ],
  rings: ['sound', 'hard or set', 'nicked', 'swollen', 'extruded', 'worn by movement'],
  springs: ['free and alike', 'one odd or short', 'clogged', 'broken or corroded'],
  sleeve: ['clean', 'fretted', 'grooved'],
  drive: ['clean', 'slot worn on one side', 'slot worn on both sides', 'pin too high', 'pin too low'],
} as const
/** Observations of a part that has nothing wrong: of themselves they are no sign of any cause. */
export const SOUND = ['good, even track', 'sound', 'free and alike', 'clean'] as const
export type SealPart = keyof typeof OBSERVATIONS
export type Observations = { [P in SealPart]?: (typeof OBSERVATIONS)[P][number] }

export interface CauseRule {
  cause: string
  advice: string
  evidence: Partial<Record<SealPart, Record<string, number>>>
}

/**
 * Likely causes of a seal failure; each observation weighs for (+) or against (−). General experience of seal fitters,
 * to advise: the technician decides.
 */
export const CAUSES: readonly CauseRule[] = [
  {
    cause: 'O-ring worn or set',
    advice: 'Renew the rings; keep the faces.',
    evidence: {
      faces: { 'good, even track': 2, 'worn deep': -1, 'heat checks': -1 },
      rings: { 'hard or set': 3, 'nicked': 2, 'worn by movement': 2, 'sound': -3 },
      sleeve: { fretted: 1 },
    },
  },
  {
    cause: 'Dry running',
    advice: 'Find why the faces had no liquid; renew both faces.',
    evidence: {
      faces: { 'heat checks': 3, 'blisters': 2, 'worn deep': 1, 'good, even track': -3 },
      rings: { 'hard or set': 1 },
    },
  },
  {
    cause: 'Shaft moving',
    advice: 'Measure run-out, float and lift before a new seal goes in.',
    evidence: {
      faces: { 'track wider than the face': 3, 'good, even track': -2 },
      rings: { 'worn by movement': 1 },
      sleeve: { fretted: 2, clean: -1 },
      drive: { 'slot worn on both sides': 1 },
    },
  },
  {
    cause: 'Seat cocked in its bore',
    advice: 'Check the seat’s bore for burrs and its ring for an even seat.',
    evidence: { faces: { 'track on one side': 3, 'good, even track': -2 }, rings: { nicked: 1 } },
  },
  {
    cause: 'Wrong ring material for the liquid',
    advice: 'Ask which liquid and cleaner it met; change the material.',
    evidence: { rings: { swollen: 3, sound: -2, extruded: 1 }, faces: { 'good, even track': 1 } },
  },
  {
    cause: 'Too much pressure, or too wide a gap',
    advice: 'Check chamber pressure and the gap behind the ring.',
    evidence: { rings: { extruded: 3, sound: -1 }, faces: { 'worn deep': 1, 'chipped edge': 1 } },
  },
  {
    cause: 'Solids or crystals between the faces',
    advice: 'Look at flush and at what the liquid leaves behind.',
    evidence: {
      faces: { 'deposit on the track': 3, 'worn deep': 2, 'chipped edge': 1, 'good, even track': -2 },
      springs: { clogged: 2 },
      sleeve: { grooved: 1 },
    },
  },
  {
    cause: 'Springs not pressing alike',
    advice: 'Renew the springs as a set; clean their holes.',
    evidence: {
      springs: { 'one odd or short': 3, 'clogged': 2, 'broken or corroded': 3, 'free and alike': -3 },
      faces: { 'track on one side': 1 },
    },
  },
  {
    cause: 'Drive pin set wrong',
    advice: 'Set the pin’s height to the sheet: too high jams the ring, too low lets it spin.',
    evidence: {
      drive: { 'pin too high': 3, 'pin too low': 3, 'slot worn on both sides': 1, 'clean': -2 },
      faces: { 'chipped edge': 1 },
    },
  },
  {
    cause: 'Face hung up on its sleeve',
    advice: 'Dress or renew the sleeve where the ring slides.',
    evidence: {
      sleeve: { fretted: 2, grooved: 2, clean: -2 },
      springs: { 'free and alike': 1 },
      faces: { 'worn deep': 1 },
    },
  },
]
