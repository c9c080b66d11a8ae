export { permissibleUnbalance, sharedUnbalance, type Balance } from './balance.ts'
