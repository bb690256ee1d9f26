import { benchDrag } from './drag'
import { benchExtraction } from './extract'
import { benchShades } from './shades'

/** Every measurement; ratios within one run, since machines differ. */
await benchDrag()
await benchShades()
benchExtraction()
