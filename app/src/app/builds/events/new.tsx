import { NewEventPage } from '@/chunks';

export default function NewEvent() {
  return <NewEventPage />;
}
