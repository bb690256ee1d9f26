import { benchContent } from './content'
import { benchDrag } from './drag'
import { benchExtraction } from './extract'
import { benchGeneration } from './generate'
import { benchGround } from './ground'
import { benchMainThread } from './main-thread'
import { benchReading } from './reading'
import { benchSaving } from './saving'
import { benchShades } from './shades'
import { benchSelecting } from './selecting'
import { benchSheet } from './sheet'
import { benchStart } from './start'
import { benchStyle } from './style'
import { benchSurvey } from './survey'

/** Every measurement; ratios within one run, since machines differ. Names narrow them. */
const measurements: Readonly<Record<string, () => void | Promise<void>>> = {
  drag: benchDrag,
  shades: benchShades,
  generation: benchGeneration,
  sheet: benchSheet,
  reading: benchReading,
  saving: benchSaving,
  start: benchStart,
  content: benchContent,
  selecting: benchSelecting,
  style: benchStyle,
  survey: benchSurvey,
  ground: benchGround,
  extraction: benchExtraction,
  'main-thread': benchMainThread,
}

const wanted = process.argv.slice(2)
const unknown = wanted.find((name) => !(name in measurements))
if (unknown) {
  console.error(`no measurement “${unknown}”; there are ${Object.keys(measurements).join(', ')}`)
  process.exitCode = 1
} else {
  for (const [name, measure] of Object.entries(measurements)) {
    if (wanted.length === 0 || wanted.includes(name)) await measure()
  }
}
