import { Schema, type Mark, type Node } from 'prosemirror-model'
import { isMarker, wordClass, type Run, type Runs, type WordColor } from '@/core/elements'

/** Running text as it is edited: one line of words that can be broken, with the marks that stretches have. */
export const wordSchema = new Schema({
  nodes: {
    doc: { content: 'inline*' },
    text: { group: 'inline' },
    br: { group: 'inline', inline: true, selectable: false, toDOM: () => ['br'] },
  },
  marks: {
    link: {
      attrs: { href: {} },
      inclusive: false,
      // No address: nothing on the stage leads anywhere.
      toDOM: () => ['a', { class: 'link', href: '#' }, 0],
    },
    words: {
      attrs: { color: {} },
      inclusive: false,
      toDOM: ({ attrs }) => {
        const color = attrs.color as WordColor
        return [isMarker(color) ? 'mark' : 'span', { class: wordClass[color] }, 0]
      },
    },
    strong: { toDOM: () => ['strong', 0] },
    em: { toDOM: () => ['em', 0] },
  },
})

const { link, words, strong, em } = wordSchema.marks

function marksOf(run: Omit<Run, 'text'>): Mark[] {
  return [
    ...(run.href ? [link!.create({ href: run.href })] : []),
    ...(run.words ? [words!.create({ color: run.words })] : []),
    ...(run.strong ? [strong!.create()] : []),
    ...(run.em ? [em!.create()] : []),
  ]
}

function runOf(node: Node): Run {
  const has = (name: string) => node.marks.find(({ type }) => type.name === name)
  const href = has('link')?.attrs.href as string | undefined
  const color = has('words')?.attrs.color as WordColor | undefined
  return {
    text: node.isText ? node.text! : '\n',
    ...(href ? { href } : {}),
    ...(has('strong') ? { strong: true } : {}),
    ...(has('em') ? { em: true } : {}),
    ...(color ? { words: color } : {}),
  }
}

/** The nodes of some stretches. */
export function nodesOfRuns(runs: Runs): Node[] {
  return runs.flatMap(({ text, ...marks }) =>
    text
      .split(/(\n)/)
      .filter(Boolean)
      .map((piece) =>
        piece === '\n'
          ? wordSchema.nodes.br!.create(null, null, marksOf(marks))
          : wordSchema.text(piece, marksOf(marks)),
      ),
  )
}

export const docOfRuns = (runs: Runs): Node => wordSchema.nodes.doc!.create(null, nodesOfRuns(runs))

/** The stretches of a document; neighbours that are marked alike are one. */
export function runsOfDoc(doc: Node): Run[] {
  const runs: Run[] = []
  doc.forEach((node) => {
    const run = runOf(node)
    const last = runs.at(-1)
    const { text: _text, ...marks } = run
    const { text: before, ...same } = last ?? { text: '' }
    if (last && JSON.stringify(marks) === JSON.stringify(same)) {
      runs[runs.length - 1] = { ...run, text: before + run.text }
    } else runs.push(run)
  })
  return runs
}
