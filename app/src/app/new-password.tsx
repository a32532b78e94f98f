import { NewPasswordPage } from '@/chunks';

export default function NewPassword() {
  return <NewPasswordPage />;
}
