import { useLocalSearchParams } from 'expo-router';

import { StudyPage } from '@/chunks';

export default function Study() {
  const { studyId } = useLocalSearchParams<{ studyId: string }>();
  return <StudyPage key={studyId} studyId={studyId} />;
}
