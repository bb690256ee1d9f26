import { LooksView } from '@/ui/looks'

export default function LooksPage() {
  return <LooksView />
}
