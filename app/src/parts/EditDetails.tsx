import { router } from 'expo-router';
import Pencil from 'lucide-react-native/icons/pencil';

import { IconButton } from '@/ui/Button';

/** The way from a balloon's page to its details. */
export function EditDetails({ modelId }: { modelId: string }) {
  return <IconButton label="Change details" icon={Pencil} onPress={() => router.navigate(`/shelf/${modelId}/edit`)} />;
}
