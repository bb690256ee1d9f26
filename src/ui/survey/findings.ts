import { deviceWidths } from '../editor'
import type { Measure } from './measure'

/** Windows that a site is looked at in, CSS pixels. */
export const surveyWidths = Object.values(deviceWidths)
export type SurveyWidth = (typeof surveyWidths)[number]

/** What became worse: gravest first. */
export const faultKinds = ['out', 'cut', 'torn', 'lines'] as const
export type FaultKind = (typeof faultKinds)[number]

/** What became of words at one width. */
export interface Fault {
  readonly kind: FaultKind
  readonly width: SurveyWidth
  readonly before: number
  readonly after: number
  /** The word that is torn. */
  readonly word?: string
}

/** Words of one element that stand worse than before, with all that is wrong with them. */
export interface Finding {
  readonly key: string
  readonly page: string
  readonly pageTitle: string
  readonly doc: string
  readonly section: string
  readonly element: string
  readonly words: string
  readonly faults: readonly Fault[]
}

/** What is worse about words than it was; nothing where it is as it was, or better. */
export function faultsOf(before: Measure | undefined, after: Measure, width: SurveyWidth): Fault[] {
  const was = before ?? { lines: after.lines, out: 0, cut: 0, torn: undefined }
  const more = (kind: 'out' | 'cut'): Fault[] =>
    after[kind] > was[kind] + 1 ? [{ kind, width, before: was[kind], after: after[kind] }] : []
  const torn: Fault[] =
    after.torn && !was.torn ? [{ kind: 'torn', width, before: 0, after: 1, word: after.torn }] : []
  const lines: Fault[] =
    after.lines > was.lines && torn.length === 0
      ? [{ kind: 'lines', width, before: was.lines, after: after.lines }]
      : []
  return [...more('out'), ...more('cut'), ...torn, ...lines]
}

const gravity = ({ faults }: Finding) =>
  Math.min(...faults.map(({ kind }) => faultKinds.indexOf(kind)))

/** Findings in the order in which one would look at them: the gravest first, then as the pages stand. */
export const inOrderOfGravity = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort((a, b) => gravity(a) - gravity(b))

/** Puts what was found at one width to what was found before, by the words that it is about. */
export function withFaults(
  findings: ReadonlyMap<string, Finding>,
  page: { readonly id: string; readonly title: string },
  measured: { readonly before: readonly Measure[]; readonly after: readonly Measure[] },
  width: SurveyWidth,
): Map<string, Finding> {
  const next = new Map(findings)
  const was = new Map(measured.before.map((each) => [each.key, each]))
  for (const { key, doc, section, element, words, ...after } of measured.after) {
    const faults = faultsOf(was.get(key), { key, doc, section, element, words, ...after }, width)
    if (faults.length === 0) continue
    const known = next.get(key)
    next.set(key, {
      ...(known ?? { key, page: page.id, pageTitle: page.title, doc, section, element, words }),
      faults: [...(known?.faults ?? []), ...faults],
    })
  }
  return next
}
