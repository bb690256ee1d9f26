import fc from 'fast-check'
import { cleanSvg, leftOutOfSvg } from '.'

const picture = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inside}</svg>`

const leftOut = (inside: string) => {
  const text = picture(inside)
  return leftOutOfSvg(text, cleanSvg(text)!)
}

test('what cleaning takes out of a picture is told by name: what moves, runs, or is fetched', () => {
  expect(leftOut('<rect fill="#123456"><animate attributeName="x" to="3"/></rect>')).toEqual([
    'animate',
  ])
  expect(leftOut('<script>alert(1)</script><rect onclick="alert(1)"/>')).toEqual([
    'script',
    'onclick',
  ])
  expect(leftOut('<image href="https://elsewhere.example/a.png"/>')).toEqual(['href'])
  expect(leftOut('<style>a{fill:url(https://elsewhere.example/a)}</style>')).toEqual(['url()'])
  expect(leftOut('<g style="fill:url(https://elsewhere.example/a)"><rect/></g>')).toEqual(['url()'])
  expect(leftOut('<foreignObject><p>Words</p></foreignObject>')).toEqual(['foreignObject', 'p'])
})

test('styles that go on for ever with nothing in them are gone through once', () => {
  const style = `<style>a{fill:url(${' '.repeat(400_000)}"#a")}${'url( '.repeat(50_000)}</style>`
  expect(leftOutOfSvg(picture(style), picture('<style/>'))).toEqual(['url()'])
})

test('nothing is told of what stays, nor of what nobody sees', () => {
  expect(
    leftOut(
      '<defs><linearGradient id="a"><stop offset="0" stop-color="#123456"/></linearGradient></defs>' +
        '<style>.b{fill:url(#a)}</style><rect class="b" fill="url(#a)" width="3" height="3"/>',
    ),
  ).toEqual([])
  expect(
    leftOut('<metadata><a:note xmlns:a="urn:a">x</a:note></metadata><g a:label="1" data-x="2"/>'),
  ).toEqual([])
})

test('a picture that is clean has nothing left out, however it was before', () => {
  const seed = Math.floor(Math.random() * 1e9)
  console.warn(`svg left out: seed ${seed}`)
  const part = fc.constantFrom(
    '<rect fill="red"/>',
    '<script/>',
    '<g onload="x()"><path d="M0 0"/></g>',
    '<set to="1"/>',
    '<style>@import "a";b{fill:red}</style>',
    'words &amp; more',
  )
  fc.assert(
    fc.property(fc.array(part, { maxLength: 6 }), (parts) => {
      const clean = cleanSvg(picture(parts.join('')))!
      expect(leftOutOfSvg(clean, cleanSvg(clean)!)).toEqual([])
    }),
    { seed },
  )
})
