import X from 'lucide-react-native/icons/x';
import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';

import { IconButton } from './Button';
import { useWide } from './layout';
import { Words } from './Words';

interface SheetProps {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet that rises from below on a phone and stands in the middle when wide. Escape and a tap beside it close it. */
export function Sheet({ title, open, onClose, children }: SheetProps) {
  const wide = useWide();
  return (
    <Modal aria-label={title} visible={open} transparent animationType="none" onRequestClose={onClose}>
      <View className={`flex-1 ${wide ? 'items-center justify-center' : 'justify-end'}`}>
        <Pressable role="none" tabIndex={-1} onPress={onClose} className="absolute inset-0 bg-black/50" />
        <View
          className={
            'max-h-[85%] border border-line bg-ground ' +
            `${wide ? 'w-[520px] rounded-card' : 'w-full rounded-t-[20px]'}`
          }
        >
          <View className="flex-row items-center justify-between border-b border-line py-2 pl-5 pr-2">
            <Words look="heading" level={2} className="flex-1">
              {title}
            </Words>
            <IconButton label="Close" icon={X} onPress={onClose} />
          </View>
          <ScrollView contentContainerClassName="gap-4 p-5">{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}
