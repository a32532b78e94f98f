export { PumpPage } from '@/features/gauge/PumpPage';
export { ModellingPage } from '@/features/modelling/ModellingPage';
export { ModelForm } from '@/features/shelf/ModelForm';
