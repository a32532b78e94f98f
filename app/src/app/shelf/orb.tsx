import { OrbPage } from '@/chunks';

export default function Orb() {
  return <OrbPage />;
}
