import Maximize from 'lucide-react-native/icons/maximize-2';
import X from 'lucide-react-native/icons/x';
import { useRef, useState, type ReactNode } from 'react';
import { Modal, View } from 'react-native';

import { IconButton } from './Button';

interface FillScreenProps {
  /** What is shown, in words. */
  title: string;
  /** It is drawn in one place at a time: the one on its page stays empty meanwhile. */
  once?: boolean;
  /** Draws it over the whole screen, so many px high; or, where null, on its page. */
  children: (whole: number | null) => ReactNode;
  /** Below it, on its page and over the screen alike. */
  tools?: ReactNode;
}

/** A drawing that can fill the screen: a client sees a picture, not a form. */
export function FillScreen({ title, once = false, children, tools }: FillScreenProps) {
  /** While the screen is filled, how much room its place on the page keeps, px. */
  const [kept, setKept] = useState<number | null>(null);
  const [high, setHigh] = useState(0);
  const onPage = useRef(0);
  return (
    <>
      <View onLayout={({ nativeEvent }) => (onPage.current = nativeEvent.layout.height)}>
        {once && kept !== null ? <View style={{ height: kept }} /> : children(null)}
        <View className="absolute right-1 top-1 rounded-card bg-surface/70">
          <IconButton label="Fill the screen" icon={Maximize} onPress={() => setKept(onPage.current)} />
        </View>
      </View>
      {tools}
      <Modal aria-label={title} visible={kept !== null} animationType="none" onRequestClose={() => setKept(null)}>
        <View className="flex-1 bg-ground">
          <View className="flex-row justify-end px-2 pt-2">
            <IconButton label="Back to the page" icon={X} onPress={() => setKept(null)} />
          </View>
          <View className="flex-1 justify-center" onLayout={({ nativeEvent }) => setHigh(nativeEvent.layout.height)}>
            {kept !== null && high > 0 ? children(high) : null}
          </View>
          {tools ? <View className="self-center w-full max-w-[640px] px-4 py-2">{tools}</View> : null}
        </View>
      </Modal>
    </>
  );
}
