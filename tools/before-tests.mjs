import { bundleReader } from './machine.mjs'

/** Before all unit tests: the bundle that threads of the server run. */
export default bundleReader
