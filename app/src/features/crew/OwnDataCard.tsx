import { OWN_DATA_ROUTES } from '@leggero/contract/ownData';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { leave } from '@/data/access';
import { useSending } from '@/data/useSending';
import { keepFile } from '@/device/download';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { DeleteButton } from '@/ui/DeleteButton';
import { FormField } from '@/ui/FormField';
import { Words } from '@/ui/Words';
import { WrongLine } from '@/ui/WrongLine';
import { TYPING } from './typing';

const CONSEQUENCE =
  'It goes in every studio, with all that is private to you. What you did for a studio stays, and is nobody’s. ' +
  'Backups that were made before keep it until they are let go.';

/** What is kept of whoever is signed in: to take along, and to have taken away. */
export function OwnDataCard() {
  const reading = useSending(OWN_DATA_ROUTES.readOwnData);
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(OWN_DATA_ROUTES.forgetAccount.request),
    defaultValues: { password: '' },
  });
  const forgetting = useSending(OWN_DATA_ROUTES.forgetAccount, setError);
  const save = async () => {
    const read = await reading.send({});
    if (!read) return;
    keepFile(JSON.stringify(read.answer, null, 2), { name: 'leggero-my-data.json', type: 'application/json' });
  };
  const forget = handleSubmit((body) => leave(forgetting.send({ body })));
  return (
    <Card title="What is kept of you">
      <View className="gap-4">
        <Words look="quiet">
          Your account and its devices, what is private to you, and what you did here, as one JSON file.
        </Words>
        <Button title="Save my data" tall disabled={reading.busy} onPress={() => void save()} />
        <WrongLine wrong={reading.wrong} />
        <FormField
          control={control}
          name="password"
          label="Your password, to delete the account"
          typing={TYPING.password}
        />
        <DeleteButton what="my account" consequence={CONSEQUENCE} onDelete={() => void forget()} />
        <WrongLine wrong={forgetting.wrong} />
      </View>
    </Card>
  );
}
