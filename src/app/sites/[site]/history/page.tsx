import { HistoryView } from '@/ui/history'

export default function HistoryViewPage() {
  return <HistoryView />
}
