import { listSites, localOwner } from '@/server'
import { Shelf } from '@/ui/shelf'

export const dynamic = 'force-dynamic'

export default async function ShelfPage() {
  return <Shelf sites={await listSites(localOwner)} />
}
