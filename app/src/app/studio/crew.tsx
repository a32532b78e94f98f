import { CrewPage } from '@/chunks';

export default function Crew() {
  return <CrewPage />;
}
