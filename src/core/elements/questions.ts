import * as z from 'zod'
import { asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const questions = defineKind({
  kind: 'questions',
  label: 'Questions that open',
  content: z.strictObject({
    items: z
      .array(z.strictObject({ question: z.string().max(300), answer: z.string().max(4000) }))
      .max(40),
  }),
  facets: [
    { key: 'question', label: 'Questions', paints: 'text', part: 'question', role: 'heading' },
    { key: 'answer', label: 'Answers', paints: 'text', part: 'answer', role: 'text' },
    { key: 'sign', label: 'Signs', paints: 'text', part: 'question-sign', role: 'accent' },
    { key: 'line', label: 'Rules', paints: 'line', part: 'question-box', role: 'line' },
  ],
  features: [
    ...features(asText({ weight: { usual: 650 } }), {
      part: 'question',
      as: 'question',
      label: 'Questions',
    }),
    ...features(
      { ...asText(), measure: { setting: 'measure' } },
      { part: 'answer', as: 'answer', label: 'Answers' },
    ),
    ...features(
      { lineWidth: { usual: { top: 0, right: 0, bottom: 1, left: 0 } }, lineStyle: solid },
      { part: 'question-box', as: 'box', label: 'Rules' },
    ),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Questions',
      entry: 'question',
      fields: [
        { at: 'question', as: 'line', label: 'Question', longest: 300 },
        { at: 'answer', as: 'line', label: 'Answer', longest: 4000 },
      ],
      fresh: { question: 'Another question?', answer: 'Its answer, in a sentence or two.' },
      least: 1,
      most: 40,
    },
  ],
  fresh: { items: [{ question: 'A question?', answer: 'Its answer, in a sentence or two.' }] },
  css: `
.questions { width: 100%; max-width: 46rem; }
.question { display: flex; justify-content: space-between; gap: 1rem; padding: 1rem 0; cursor: pointer; list-style: none; }
.question::-webkit-details-marker { display: none; }
.question-sign { flex: none; font-weight: 400; transition: rotate 0.15s; }
.question-box[open] .question-sign { rotate: 45deg; }
.answer { margin: 0; padding: 0 2.5rem 1.15rem 0; white-space: pre-line; }`,
  html: ({ items }, { root, words, isEdited }) =>
    tag(
      'div',
      root,
      items
        .map(({ question, answer }, i) =>
          tag(
            'details',
            { class: 'question-box', open: isEdited || i === 0 },
            tag(
              'summary',
              { class: 'question' },
              tag('span', words('items', i, 'question'), escapeHtml(question)) +
                tag('span', { class: 'question-sign', 'aria-hidden': 'true' }, '+'),
            ) + tag('p', { class: 'answer', ...words('items', i, 'answer') }, escapeHtml(answer)),
          ),
        )
        .join(''),
    ),
  samples: () => [
    {
      content: { items: [{ question: 'What do people ask?', answer: 'What they want to know.' }] },
    },
  ],
  title: ({ items }) => items[0]?.question ?? 'no question',
})
