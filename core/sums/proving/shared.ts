export const AUTHORISED = 'Electrical tests are made by authorised people.'

/** What each zone of the vibration standards means for running on. */
export const ZONE_SAYS = {
  A: 'zone A: as a new machine',
  B: 'zone B: it may run on; watch whether it rises',
  C: 'zone C: not for long running; find the cause',
  D: 'zone D: it does harm; stop it',
} as const
