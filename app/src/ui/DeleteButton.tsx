import { useState } from 'react';
import { View } from 'react-native';

import { Button } from './Button';
import { Sheet } from './Sheet';
import { Words } from './Words';

interface DeleteButtonProps {
  /** What goes: "Plywood plate". */
  what: string;
  /** What goes with it, and that it cannot come back. */
  consequence: string;
  /** What is done to it, where that is not to delete it: "End". */
  verb?: string;
  onDelete: () => void;
}

/** Deletes what cannot be brought back, after asking once. */
export function DeleteButton({ what, consequence, verb = 'Delete', onDelete }: DeleteButtonProps) {
  const [asking, setAsking] = useState(false);
  const goOn = () => {
    setAsking(false);
    onDelete();
  };
  return (
    <>
      <Button title={verb} look="danger" tall onPress={() => setAsking(true)} />
      <Sheet title={`${verb} ${what}?`} open={asking} onClose={() => setAsking(false)}>
        <Words>{consequence}</Words>
        <View className="flex-row gap-3">
          <Button title="Keep it" tall className="flex-1" onPress={() => setAsking(false)} />
          <Button title={`${verb} for good`} look="danger" tall className="flex-1" onPress={goOn} />
        </View>
      </Sheet>
    </>
  );
}
