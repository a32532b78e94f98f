import { Button } from '@/ui/Button';
import { WrongLine } from '@/ui/WrongLine';

interface SendButtonProps {
  title: string;
  sending: { busy: boolean; wrong: string | null };
  disabled?: boolean;
  onPress: () => void;
}

/** The action of a form that only the server can say yes to, and above it why it did not. */
export function SendButton({ title, sending: { busy, wrong }, disabled = false, onPress }: SendButtonProps) {
  return (
    <>
      <WrongLine wrong={wrong} />
      <Button title={title} look="primary" tall disabled={busy || disabled} onPress={onPress} />
    </>
  );
}
