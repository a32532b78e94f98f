import { ModelForm } from '@/features/shelf/ModelForm';

export default function NewModel() {
  return <ModelForm />;
}
