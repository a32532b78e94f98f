import { StartPage } from '@/chunks';

export default function Start() {
  return <StartPage />;
}
