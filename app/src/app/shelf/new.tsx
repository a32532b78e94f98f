import { ModelForm } from '@/chunks';

export default function NewModel() {
  return <ModelForm />;
}
