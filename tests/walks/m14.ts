import type { Read } from '../sheets.ts'

/** An axially split pump in good order, read by somebody who has not seen its sheet. */
export const M14: Read = {
  'float': 0.14,
  'lift-*': 0.03,
  'hub-gap': 38,
  'seal-setting': 42.1,
  'sleeve-journal': 74.99,
  'bush-bore': 75.33,
  'journal-*': 60.011,
  'ring-bore': 184.15,
  'ring-bore-nde': 184.14,
  'impeller-eye': 183.69,
  'impeller-eye-nde': 183.68,
  'runout': 0.01,
  'spring-length': 25.1,
  'seal-faces': 'even dull ring all round',
  'test-pressure': 0.6,
  'warm-*': 46,
  'offset': 0.01,
  'angularity': 0.01,
}
