import Maximize from 'lucide-react-native/icons/maximize-2';
import X from 'lucide-react-native/icons/x';
import { useState, type ReactNode } from 'react';
import { Modal, View } from 'react-native';

import { IconButton } from './Button';

interface FillScreenProps {
  /** What is shown, in words. */
  title: string;
  /** As high as its place on the page, px, where that is not drawn while the screen is filled. */
  height?: number | undefined;
  /** Draws it over the whole screen, so many px high; or, where null, on its page. */
  children: (whole: number | null) => ReactNode;
  /** Below it, on its page and over the screen alike. */
  tools?: ReactNode;
}

/** A drawing that can fill the screen: a client sees a picture, not a form. */
export function FillScreen({ title, height, children, tools }: FillScreenProps) {
  const [whole, setWhole] = useState(false);
  const [high, setHigh] = useState(0);
  return (
    <>
      <View>
        {whole && height !== undefined ? <View style={{ height }} /> : children(null)}
        <View className="absolute right-1 top-1 rounded-card bg-surface/70">
          <IconButton label="Fill the screen" icon={Maximize} onPress={() => setWhole(true)} />
        </View>
      </View>
      {tools}
      <Modal aria-label={title} visible={whole} animationType="none" onRequestClose={() => setWhole(false)}>
        <View className="flex-1 bg-ground">
          <View className="flex-row justify-end px-1 pt-1">
            <IconButton label="Back to the page" icon={X} onPress={() => setWhole(false)} />
          </View>
          <View className="flex-1 justify-center" onLayout={({ nativeEvent }) => setHigh(nativeEvent.layout.height)}>
            {whole && high > 0 ? children(high) : null}
          </View>
          {tools ? <View className="self-center w-full max-w-[640px] px-4 py-2">{tools}</View> : null}
        </View>
      </Modal>
    </>
  );
}
