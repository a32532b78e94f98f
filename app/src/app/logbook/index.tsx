import { LogbookPage } from '@/chunks';

export default function Logbook() {
  return <LogbookPage />;
}
