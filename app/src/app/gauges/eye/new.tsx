import { EyeStartPage } from '@/chunks';

export default function EyeStart() {
  return <EyeStartPage />;
}
