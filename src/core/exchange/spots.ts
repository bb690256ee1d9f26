import { addOnKindOf, isColorSetting } from '../add-ons'
import { labelOf, plainText, type Run, type StyledKind } from '../elements'
import type { Body, DocId, Frame, Page, Picture, RecordRef, SiteElement, SiteRecord } from '../site'
import { faceSetting, settings } from '../traits'
import { labelOfElement, type PlaceId, type UsePath } from '../uses'
import { cssSpots } from './css-spots'
import { leavesOf, valuesAt } from './leaves'
import { snippetSpots } from './snippet-spots'
import { plainPiece, type Spot } from './spot'

type Of = Omit<Spot, 'sort' | 'property' | 'pieces'>

const whole = (
  of: Of,
  sort: Spot['sort'],
  property: string,
  path: UsePath,
  text: string,
): Spot => ({
  ...of,
  sort,
  property,
  pieces: [plainPiece(path, text)],
})

/** Running text is read as one, wherever its stretches end; each link in it leads somewhere by itself. */
function runSpots(of: Of, path: UsePath, runs: readonly Run[]): Spot[] {
  const words: Spot = {
    ...of,
    sort: 'words',
    property: 'text',
    pieces: runs.map(({ text }, i) => plainPiece([...path, i, 'text'], text)),
  }
  const links = runs.flatMap(({ href }, i) =>
    href === undefined ? [] : [whole(of, 'link', 'href', [...path, i, 'href'], href)],
  )
  return [...(plainText(runs) === '' ? [] : [words]), ...links]
}

function contentSpots(of: Of, element: SiteElement): Spot[] {
  const path = ['body', 'elements', element.id, 'content'] as const
  return leavesOf(element.kind).flatMap(({ at, as }) =>
    [...valuesAt(element.content, at)].flatMap(([within, value]) => {
      const there = [...path, ...within]
      if (as === 'runs') return runSpots(of, there, value as Run[])
      if (as === 'html') {
        return snippetSpots({ ...of, place: 'embeds', object: 'embed' }, there, value as string)
      }
      return value === '' ? [] : [whole(of, as, String(within.at(-1)), there, value as string)]
    }),
  )
}

/** Pictures that paint something, wherever in some looks they are. */
function paintedPictures(of: Of, looks: unknown, path: UsePath): Spot[] {
  if (typeof looks !== 'object' || looks === null) return []
  return Object.entries(looks).flatMap(([member, inside]) => {
    const there = [...path, Array.isArray(looks) ? Number(member) : member]
    return member === 'picture' && typeof inside === 'string'
      ? [whole(of, 'picture', 'fill', there, inside)]
      : paintedPictures(of, inside, there)
  })
}

function bodySpots(place: PlaceId, doc: DocId, title: string, body: Body): Spot[] {
  const sections = Object.values(body.sections).flatMap(({ id, name, looks }) => {
    const label = [title, name, 'section'].filter(Boolean).join(', ')
    const of: Of = { place, doc, object: 'section', label, owner: { section: id } }
    return paintedPictures(of, looks, ['body', 'sections', id, 'looks'])
  })
  const elements = Object.values(body.elements).flatMap((element) => {
    const label = labelOfElement(title, element)
    const of: Of = { place, doc, object: element.kind, label, owner: { element: element.id } }
    return [
      ...contentSpots(of, element),
      ...paintedPictures(of, element.looks, ['body', 'elements', element.id, 'looks']),
    ]
  })
  return [...sections, ...elements]
}

function pageSpots(page: Page): Spot[] {
  const { id, title, description, body } = page
  const of: Of = { place: 'content', doc: id, object: 'page', label: '', owner: {} }
  return [
    whole({ ...of, label: `${title}, its title` }, 'words', 'title', ['title'], title),
    ...(description === ''
      ? []
      : [
          whole(
            { ...of, label: `${title}, what search engines tell of it` },
            'words',
            'description',
            ['description'],
            description,
          ),
        ]),
    ...bodySpots('content', id, title, body),
  ]
}

const asDecided = (label: string): Of => ({
  place: 'styles',
  doc: 'frame',
  object: 'settings',
  label,
  owner: {},
})

function addOnSpots({ addOns }: Frame): Spot[] {
  return addOns.flatMap(({ id, kind, name, settings: own }, i) => {
    if (kind === 'other') return []
    const { texts } = addOnKindOf(kind)
    return Object.entries(own).flatMap(([key, value]) => {
      const text = texts[key]
      if (isColorSetting(key) || typeof value !== 'string' || !text || text.options) return []
      const label = `${name}, ${text.label.toLowerCase()}`
      const of: Of = {
        place: 'add-ons',
        doc: 'frame',
        object: 'add-on',
        label,
        owner: { addOn: id },
      }
      return [whole(of, 'words', key, ['addOns', i, 'settings', key], value)]
    })
  })
}

function frameSpots(frame: Frame): Spot[] {
  const { name, body, customCss, siteIcon, styles } = frame
  const ofSite: Of = { ...asDecided('the name of the site'), place: 'shared', object: 'site' }
  return [
    whole(ofSite, 'words', 'name', ['name'], name),
    ...(siteIcon
      ? [
          whole(
            { ...ofSite, label: 'the site’s icon' },
            'picture',
            'siteIcon',
            ['siteIcon', 'picture'],
            siteIcon.picture,
          ),
        ]
      : []),
    ...Object.values(faceSetting).map((id) =>
      whole(asDecided(settings[id].label), 'font', id, ['settings', id], frame.settings[id]),
    ),
    ...Object.values(styles).flatMap((style) =>
      paintedPictures(
        {
          ...asDecided(`${style.name}, ${labelOf(style.kind as StyledKind).toLowerCase()}`),
          object: style.kind,
          owner: { style: style.id },
        },
        style.looks,
        ['styles', style.id, 'looks'],
      ),
    ),
    ...bodySpots('shared', 'frame', '', body),
    ...cssSpots(['customCss'], customCss),
    ...addOnSpots(frame),
  ]
}

function pictureSpots({ id, alt, fileName }: Picture): Spot[] {
  if (alt === '') return []
  const of: Of = {
    place: 'pictures',
    doc: id,
    object: 'picture',
    label: `${fileName}, what it shows in words`,
    owner: { picture: id },
  }
  return [whole(of, 'words', 'alt', ['alt'], alt)]
}

/** Every text of a record that can be exchanged in some part, in the order of its places. */
export function spotsIn({ kind }: RecordRef, record: SiteRecord): Spot[] {
  if (kind === 'frame') return frameSpots(record as Frame)
  if (kind === 'page') return pageSpots(record as Page)
  return kind === 'picture' ? pictureSpots(record as Picture) : []
}
