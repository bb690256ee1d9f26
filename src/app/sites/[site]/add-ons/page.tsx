import { AddOnsView } from '@/ui/add-ons'

export default function AddOnsPage() {
  return <AddOnsView />
}
