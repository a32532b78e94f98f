import { useLocalSearchParams } from 'expo-router';

import { StudyPage } from '@/features/study/StudyPage';

export default function Study() {
  const { studyId } = useLocalSearchParams<{ studyId: string }>();
  return <StudyPage key={studyId} studyId={studyId} />;
}
