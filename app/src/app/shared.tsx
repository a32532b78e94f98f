import { SharedPage } from '@/chunks';

export default function Shared() {
  return <SharedPage />;
}
