import { cleanSnippet } from '@/core/markup'
import { snippetFaults } from './snippet-faults'

const told = (html: string) => snippetFaults(html).map(({ from, to }) => html.slice(from, to))

test('what may not stand in a snippet is marked where it is typed', () => {
  expect(told('<p>a</p><script src="x.js">1</script>')).toEqual(['<script src="x.js">'])
  expect(told('<p onclick="run()">a</p>')).toEqual(['onclick="run()"'])
  expect(told('<p ONCLICK=run()>a</p>')).toEqual(['ONCLICK=run()'])
  expect(told('<a href="javascript:run()">a</a>')).toEqual(['href="javascript:run()"'])
  expect(told('<img src="//far.example/x.png">')).toEqual(['src="//far.example/x.png"'])
  expect(told('<p title=">" style="background:url(https://far.example)">')).toEqual([
    'style="background:url(https://far.example)"',
  ])
  expect(told('<style>a{}</style><iframe src="/x"></iframe>')).toEqual([
    '<style>',
    '<iframe src="/x">',
  ])
})

test('nothing is marked in what is kept as it is', () => {
  const clean = cleanSnippet(
    '<div class="box" style="color: #1c5a54"><a href="https://one.example">on a one = two</a><img src="data:image/png;base64,AA" alt="on"></div>',
  )
  expect(told(clean)).toEqual([])
})
