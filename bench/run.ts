import { benchDrag } from './drag'

/** Every measurement; ratios within one run, since machines differ. */
await benchDrag()
