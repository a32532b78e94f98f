export { PumpPage } from '@/features/gauge/PumpPage';
export { ModelForm } from '@/features/shelf/ModelForm';
