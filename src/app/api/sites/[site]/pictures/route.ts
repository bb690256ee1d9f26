import { mostPictureBytes } from '@/core/payloads'
import {
  listPictures,
  localOwner,
  picturesByIds,
  picturesHolding,
  silentPictures,
  takePicture,
} from '@/server'
import { respond, respondToBytes } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const query = new URL(request.url).searchParams
  const ids = query.get('ids')
  if (ids !== null) return respond(() => picturesByIds(localOwner, site, ids.split(',')))
  const holding = query.get('holding')
  if (holding !== null) {
    const colors = holding.split(',').map((key) => `#${key}`)
    return respond(() => picturesHolding(localOwner, site, colors))
  }
  if (query.has('silent')) return respond(() => silentPictures(localOwner, site))
  return respond(() => listPictures(localOwner, site, query.get('after') ?? ''))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const name = new URL(request.url).searchParams.get('name') ?? ''
  return respondToBytes(request, mostPictureBytes, (bytes) =>
    takePicture(localOwner, site, name, bytes),
  )
}
