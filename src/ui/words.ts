import type { ColorProblem } from '@/core/color'
import type { EditProblem } from '@/core/edit'
import type { ReadProblem } from '@/core/formats'
import type { PaletteFault } from '@/core/palette'
import type { ArchiveFault, FontFault, PictureFault, Problem } from '@/core/payloads'

/** The words of the interface for what can go wrong; each says what to do. */
export const colorProblemWords: Readonly<Record<ColorProblem, string>> = {
  empty: 'Type a colour, for example #1d5955 or teal.',
  'too-long': 'That is too long for one colour. Type one colour only.',
  'hex-length': 'A hex code has 3, 4, 6 or 8 digits after the #. Check for a missing or extra one.',
  'hex-digit': 'A hex code holds only 0–9 and A–F after the #.',
  'not-a-color': 'That is no colour. Try hex, rgb(), hsl(), hwb(), oklch() or a CSS colour name.',
}

export const editProblemWords: Readonly<Record<EditProblem, string>> = {
  'slot-gone': 'the slot is no longer in the palette',
  'slot-taken': 'a slot with that id is there already',
  'slots-full': 'the palette holds 64 slots, the most it can',
  'steps-full': 'a slot has at most 24 steps with a colour of their own',
  'step-unknown': 'the slot itself is no step of it: set the slot’s own colour instead',
  'studies-full': 'there are 24 studies already; drop one first',
  'study-gone': 'the study is no longer there',
  'theme-gone': 'the theme is no longer there',
  'theme-taken': 'a theme with that id is there already',
  'theme-named': 'another theme has that name already',
  'themes-full': 'there are 64 themes, the most there can be',
  'last-theme': 'a site needs at least one theme',
  'page-gone': 'the page is no longer there',
  'page-taken': 'a page with that id is there already',
  'path-taken': 'another page has that file name already',
  'home-address': 'the home page stands at the address of the site itself',
  'home-page': 'the home page stays, for every site has one',
  'picture-gone': 'the picture is no longer there',
  'picture-taken': 'a picture with that id is there already',
  'font-gone': 'the font is no longer there',
  'font-taken': 'a font with that id is there already',
  'file-taken': 'another file has that name already',
  'checkpoint-gone': 'the checkpoint is no longer there',
  'section-gone': 'the section is no longer there',
  'section-taken': 'a section with that id is there already',
  'part-gone': 'the part is no longer there',
  'part-here': 'it stands on this page already',
  'part-in-part': 'a part cannot stand in itself or in another part; put it on a page',
  'parts-full': 'a site holds at most 100 parts; remove one that stands nowhere',
  'not-a-part': 'that is no part that pages can place',
  'sections-full': 'a page holds at most 100 sections; begin another page for more',
  'element-gone': 'the element is no longer there',
  'element-taken': 'an element with that id is there already',
  'elements-full': 'at most 200 elements stand in one place; begin another section for more',
  'holds-nothing': 'nothing can stand in that kind of element',
  'into-itself': 'an element cannot be put into itself',
  'content-unfit': 'it does not fit there; perhaps it is too long or has too many entries',
  'style-gone': 'the element style is no longer there',
  'style-taken': 'there is an element style of that kind already',
  'style-named': 'another element style has that name',
  'styles-full': 'a site holds 300 element styles at most',
  'style-other-kind': 'that element style is for another kind of element',
  'style-circle': 'a style cannot inherit from itself, nor from one that inherits from it',
  'property-unknown': 'that cannot be set on this kind of element',
  'value-unfit': 'what was given cannot stand there',
  'shadows-full': 'a thing has 12 shadows at most',
  'stops-disordered': 'the stops of a gradient go from its beginning to its end',
  'text-changed': 'the text was changed in the meantime',
  'file-gone':
    'the file of a picture or font is missing; upload it again, or leave that picture out (in Sweep: untick it)',
  'file-other-kind':
    'the file is of another kind than its name or its record says; upload it again',
  'nothing-sought': 'nothing is looked for yet',
  'same-thing': 'what is looked for and what comes in its place are the same',
  'no-target': 'what should come in its place is no address of that form; type it in full',
  'target-gone': 'what should come in its place is no longer on the site',
  'pairs-at-odds': 'two pairs look for the same colour; take one of them away',
  'add-on-gone': 'that add-on is no longer on the site',
  'add-on-there': 'the site has such an add-on already',
  'add-ons-full': 'a site has 40 add-ons at most',
  'setting-unknown': 'this add-on has no such setting, or it cannot hold that',
  'css-too-deep':
    'its blocks or brackets stand in one another more than 100 deep; is one not closed?',
  malformed: 'it holds text or a value that cannot be kept; look for odd or invisible characters',
  'too-much': 'it is more than can be stored at once; do it in smaller parts',
  'not-whole':
    'it would leave the site in a form that cannot be read again; undo what led here, or go back to a checkpoint',
  'text-too-long':
    'custom CSS, a snippet or another text would become longer than it may be; leave some of it as it is, or make it shorter first',
  'unclean-snippet':
    'a snippet holds what may not stand in a page; leave out scripts, frames, and all that is loaded from elsewhere',
  'css-reaches-out':
    'it loads something from elsewhere; leave out @import, and use files of the site (assets/…) or data: pictures alone',
}

/** Why a file is no archive of a site that can be taken. */
const archiveWords: Readonly<Record<ArchiveFault, string>> = {
  'not-an-archive':
    'This file is no archive of a site, or it is cut short. Fetch it once more; nothing was stored.',
  incomplete:
    'Something that this archive lists is not in it. Take one that was made anew; nothing was stored.',
  tampered:
    'What this archive holds is not what was put into it. Take one that nobody has changed; nothing was stored.',
  newer:
    'This archive was made by a newer version. Bring this one up to date, then try again; nothing was stored.',
  foreign:
    'This archive holds files that no archive of a site has. Take one as it was made; nothing was stored.',
  'too-large':
    'This archive holds more than can be taken: 200 MB packed, 600 MB in all, 30 MB a file. Nothing was stored.',
  'file-gone':
    'The file of a picture of this site is gone from the file store. Take that picture away or bring it anew, then try again.',
  font: 'A font in this archive can’t be read, or its rights forbid embedding. Export the site again without it; nothing was stored.',
  'too-long':
    'Reading this archive took longer than four minutes, so it was stopped. Export the site again, without its history; nothing was stored.',
  busy: 'The server is reading as many files as it can. Try again in a minute; nothing was stored.',
  picture:
    'A picture in this archive cannot be read. Take one that was made anew; nothing was stored.',
}

/** Why a file is no picture that can be taken. */
const pictureWords: Readonly<Record<PictureFault, string>> = {
  'not-a-picture':
    'This is no picture that can be read here, whatever its name says. Take a JPEG, PNG, WebP, AVIF, GIF or SVG.',
  'cut-short': 'This picture is cut short or broken. Save or fetch it once more, then try again.',
  'too-many-pixels':
    'This picture has more than 64 million pixels. Make it smaller; 2,560 across is plenty for a page.',
  vector: 'that picture is drawn; its colours are swept where they are written',
  'no-such-hue': 'nothing in that picture is of the hue that is looked for; let more of it count',
  'unclean-vector':
    'This SVG is too large, nested too deep, draws its parts too often, or isn’t well formed. Save it as a plain SVG, then try again.',
}

const fontWords: Readonly<Record<FontFault, string>> = {
  'not-a-font':
    'This is no font that can be read here, whatever its name says. Take a WOFF2, WOFF, TTF or OTF file.',
  collection:
    'This file holds several fonts in one (a collection). Take the files of the single fonts.',
  broken: 'This font is cut short or broken. Fetch or export it once more, then try again.',
  'no-letters':
    'This font has no letters from a to z, so pages could not be read in it. Take one for text.',
  'too-large-inside': 'Unpacked, this font has more than 30 MB. Take one with fewer characters.',
  'too-complex':
    'This font is too complex to read: a letter has more than 32,767 points, or it took too long. Use a simpler font.',
  busy: 'The server is reading as many files as it can. Try again in a minute.',
  forbidden:
    'The rights written in this font forbid embedding it, so it cannot stand on a website. Ask its maker for a web licence, or take another.',
  'print-only':
    'The rights written in this font let it be embedded in documents for viewing and printing only, not on a website. Ask its maker for a web licence, or take another.',
}

/** What could not be read of a palette file. */
export function readProblemWords({ code, where }: ReadProblem): string {
  switch (code) {
    case 'bad-json':
      return 'This begins like JSON and is none. Check for a missing brace or comma, or paste the colours alone.'
    case 'too-deep':
      return 'Its objects stand in one another too deep to be read (more than 200). Paste the colours alone.'
    case 'broken-line':
      return `Line ${where} is no entry: it wants three numbers from 0 to 255 and a name.`
    case 'not-a-color':
      return `${where} has a value that is no colour.`
    case 'wrong-type':
      return `${where} says it is a colour, but holds something else.`
    case 'cyclic-alias':
      return `${where} refers to itself in a circle; give it a colour of its own.`
    case 'missing-alias':
      return `${where} refers to something that is not in the file.`
    case 'no-themes':
      return 'This file holds no themes. Take one that was exported as design tokens here or on another site.'
    case 'unknown-role':
      return `${where} is a role that is not known here; it was left out.`
    case 'too-many':
      return `The file holds ${Number(where).toLocaleString('en-GB')} colours; the first 256 are offered.`
    case 'no-color':
      return 'No colour was found in this text. A colour is #334d33, 334d33, rgb(51 77 51) or the like.'
  }
}

export function problemWords(problem: Problem): string {
  switch (problem.code) {
    case 'stale':
      return 'The site was changed in another window. The newest state is loaded; look, then try again.'
    case 'edit-refused':
      return `Not stored: ${editProblemWords[problem.problem]}.`
    case 'invalid':
      return `Not stored: ${problem.where || 'the request'} was not understood (${problem.what}).`
    case 'database-away':
      return 'The server does not answer just now. Your changes stay here and are sent again.'
    case 'forbidden':
      return 'You may look at this site, but not change it.'
    case 'not-found':
      return 'That is not there, or not yours to see.'
    case 'step-unfit':
      return `“${problem.told}” can no longer be ${problem.kind === 'undo' ? 'taken back' : 'brought again'}: what it changed has another form now. Go back to a checkpoint instead.`
    case 'nothing-to-undo':
      return 'There is nothing to undo.'
    case 'nothing-to-redo':
      return 'There is nothing to redo.'
    case 'nothing-to-sweep':
      return 'There is nothing to change: no use is ticked, or all is so already.'
    case 'not-kept':
      return `“${problem.told}” cannot be taken back by itself: it was undone, or what stood before it was not kept. Go back to a checkpoint instead.`
    case 'touched':
      return `${problem.count.toLocaleString('en-GB')} of its uses were changed since: ${problem.labels.join('; ')}${problem.count > problem.labels.length ? ' …' : ''}. The other ${problem.of.toLocaleString('en-GB')} can be taken back.`
    case 'moved-on': {
      const what = problem.since.map((told) => `“${told}”`).join(', ')
      return `Nothing was replaced: the site was changed since the dry run${what ? ` (${what})` : ''}, and ${problem.expected.toLocaleString('en-GB')} uses are ${problem.now.toLocaleString('en-GB')} by now. It was run again; look, then sweep.`
    }
    case 'history-closed':
      return 'What came before this was changed in an earlier form of the site and cannot be taken back one by one. Go back to a checkpoint instead.'
    case 'cancelled':
      return 'Broken off; nothing was changed.'
    case 'plan-gone':
      return 'This dry run is no longer kept. Change a pair, or choose it again, to run it anew.'
    case 'too-much-to-check':
      return 'The pages couldn’t all be checked: that took too long, or the server is busy. Try again in a minute.'
    case 'nothing-to-copy':
      return 'Every slot of this palette is empty, so there is nothing to carry over.'
    case 'own-site':
      return 'A palette is carried to another site; this is its own.'
    case 'other-name':
      return 'Not removed: that is not its name. Type the name of the site as it stands on the shelf.'
    case 'recipe-named':
      return 'Another recipe is kept under that name. Give this one another, or remove that one first.'
    case 'recipes-full':
      return 'A hundred recipes are kept, the most there can be. Remove one that nobody needs.'
    case 'livery-named':
      return 'Another livery is kept under that name. Give this one another, or remove that one first.'
    case 'liveries-full':
      return 'A hundred liveries are kept, the most there can be. Remove one that nobody needs.'
    case 'publication-gone':
      return 'What was published is no longer in its folder. Publish again.'
    case 'storage':
      return storageWords[problem.why]
    case 'unreadable':
      return 'This was stored in a form that this version does not know. Nothing is lost: start the version that it was last changed with, or a newer one.'
    case 'too-deep':
      return 'Not stored: it holds lists or objects in one another too deep to be read.'
    case 'too-slow':
      return 'It took too long to arrive, so nothing was stored. Try again.'
    case 'not-published':
      return 'This site has not been published yet.'
    case 'too-large':
      return 'That is too much at once. Do it in smaller parts.'
    case 'font':
      return fontWords[problem.why]
    case 'picture':
      return pictureWords[problem.why]
    case 'archive':
      return archiveWords[problem.why]
    case 'not-json':
    case 'foreign-origin':
    case 'unexpected':
      return 'Something went wrong on the server; nothing was stored. Try again.'
  }
}

/** Why a change could not be kept, behind the words of the change. */
export const lostWords = (problem: Problem): string =>
  problem.code === 'edit-refused' ? editProblemWords[problem.problem] : problemWords(problem)

const storageWords = {
  full: 'The server’s disk is full, so nothing was stored. Make room on it, then try again; what was stored before is safe.',
  'read-only':
    'The server’s folder for files can’t be written to. Let the application write there, then try again; what was stored before is safe.',
  other:
    'The server couldn’t write the files. Check its disk, then try again; what was stored before is safe.',
} as const

export const counted = (count: number, one: string, many = `${one}s`) =>
  `${count.toLocaleString('en-GB')} ${count === 1 ? one : many}`

/** `A`, `A and B`, `A, B and 3 more`. */
export function listed(names: readonly string[], most = 4): string {
  const shown = names.length > most ? names.slice(0, most - 1) : names
  const rest = names.length - shown.length
  const all = rest ? [...shown, `${rest} more`] : shown
  const last = all.at(-1) ?? ''
  return all.length > 1 ? `${all.slice(0, -1).join(', ')} and ${last}` : last
}

const isToday = (date: Date) => date.toDateString() === new Date().toDateString()
const timeOf = (date: Date) => date.toLocaleTimeString(undefined, { timeStyle: 'short' })

/** The day of a moment, in the visitor's own form; with its time only if it is today. */
export function day(at: string): string {
  const date = new Date(at)
  return isToday(date)
    ? `today, ${timeOf(date)}`
    : date.toLocaleDateString(undefined, { dateStyle: 'medium' })
}

/** The day and time of a moment. */
export const when = (at: string): string =>
  isToday(new Date(at)) ? day(at) : `${day(at)}, ${timeOf(new Date(at))}`

/** What a palette lacks, for a line of hints. */
export const paletteFaultWords: Readonly<Record<PaletteFault, string>> = {
  'no-light': 'no near-white',
  'no-dark': 'no near-black',
  'no-accent': 'no accent',
  'text-unread': 'the darkest does not read well on the lightest',
  'accent-unread': 'the accent can hardly be seen',
  'not-in-order': 'not in order from light to dark',
  alike: 'two colours are nearly alike',
}
