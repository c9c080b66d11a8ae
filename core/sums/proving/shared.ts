export const AUTHORISED = 'Electrical tests are made by authorised people.'
