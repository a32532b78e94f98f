import CloudOff from 'lucide-react-native/icons/cloud-off';
import { View } from 'react-native';

import { useOutbox } from '@/api/outbox';
import { useStudio } from '@/api/queries';
import { Button } from '@/ui/Button';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

/** Says calmly when the records are out of reach, and what the server would not take. */
export function ConnectionNotice() {
  const palette = usePalette();
  const waiting = useOutbox((state) => state.waiting.length);
  const stuck = useOutbox((state) => state.stuck);
  const aside = useOutbox((state) => state.aside);
  const refused = useOutbox((state) => state.refused);
  const dismiss = useOutbox((state) => state.dismiss);
  const { struggling } = useStudio();
  if (refused) {
    return (
      <View role="alert" className="flex-row items-center gap-3 border-b border-line bg-out-wash px-4 py-2">
        <Words look="label" className="flex-1 text-out">
          {`The last entry was not taken: ${refused.title}`}
        </Words>
        <Button title="Dismiss" onPress={dismiss} />
      </View>
    );
  }
  if (!stuck && !struggling && aside === 0) return null;
  const kept = waiting > 0 ? ` ${counted(waiting, 'entry', 'entries')} wait here and will be saved by themselves.` : '';
  const says =
    aside > 0
      ? `The server cannot save ${counted(aside, 'entry', 'entries')} just now. Nothing is lost: it is tried again, and ` +
        'all else is saved.'
      : `The records are out of reach just now.${kept || ' Trying again.'}`;
  return (
    <View role="status" className="flex-row items-center gap-3 border-b border-line bg-edge-wash px-4 py-2">
      <CloudOff size={18} color={palette.edge} />
      <Words look="label" className="flex-1 text-edge">
        {says}
      </Words>
    </View>
  );
}
