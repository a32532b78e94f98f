import { router } from 'expo-router';

import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Empty } from '@/ui/States';

export default function NotFound() {
  return (
    <Page title="Nothing here">
      <Empty
        sentence="There is no page at this address."
        action={<Button title="Go to the shelf" look="primary" onPress={() => router.replace('/shelf')} />}
      />
    </Page>
  );
}
