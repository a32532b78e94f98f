import { BACKUP_PATH, type Backups } from '@leggero/contract/backup';
import { View } from 'react-native';

import { roleHere } from '@/data/access';
import { useBackups } from '@/data/backups';
import { inStudio } from '@/data/place';
import { ActionRow } from '@/ui/ActionRow';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';
import { WrongLine } from '@/ui/WrongLine';
import { Words } from '@/ui/Words';
import { backupNote, keepingText } from '@/wording/backups';
import { momentText } from '@/wording/day';

/** Backups that are shown one by one. */
const MOST_SHOWN = 5;

/** How the studio's records are kept safe, and one to be kept elsewhere. */
export function BackupsPage() {
  const owns = roleHere() === 'owner';
  return (
    <Page title="Backups" back="/studio">
      {owns ? <Safe /> : <Empty sentence="An owner keeps the backups: they hold what is private to each." />}
    </Page>
  );
}

function Safe() {
  const backups = useBackups();
  return (
    <View className="w-full max-w-[640px] gap-4">
      <Card title="One to keep elsewhere">
        <View className="gap-3">
          <Words>
            Everything of the studio in one file: each record and photo, what is private to a person, who works here.
            Keep it where nobody else reads it, and not on this machine alone.
          </Words>
          <Button
            title="Save a backup"
            look="primary"
            tall
            onPress={() => window.location.assign(inStudio(BACKUP_PATH))}
          />
          <Words look="quiet">
            It comes back on the machine where Leggero runs: npm run restore -- and the file’s name, with --trial to see
            first that it does. Passwords are not in it.
          </Words>
        </View>
      </Card>
      {backups.data ? <ByItself backups={backups.data} /> : null}
      {backups.isPending ? <Loading what="the backups" /> : null}
      {backups.isError ? (
        <Failed sentence="This is not kept on devices: it needs the network." onRetry={() => void backups.refetch()} />
      ) : null}
    </View>
  );
}

function ByItself({ backups }: { backups: Backups }) {
  const { kept, problem } = backups;
  return (
    <Card title="Kept by the server itself">
      <View className="gap-3">
        <WrongLine wrong={problem && `The last one came to nothing. ${problem}`} />
        <Words>{keepingText(backups)}</Words>
        <View role="list" className="gap-3">
          {kept.slice(0, MOST_SHOWN).map((backup) => (
            <View key={backup.madeAt} role="listitem">
              <ActionRow title={momentText(backup.madeAt)} note={backupNote(backup)} action={null} />
            </View>
          ))}
        </View>
        {kept.length > MOST_SHOWN ? <Words look="quiet">{`and ${kept.length - MOST_SHOWN} older ones`}</Words> : null}
        {kept.length > 0 ? (
          <Words look="quiet">
            Those of the last seven days stay, of five weeks and of twelve months, on the machine where Leggero runs.
          </Words>
        ) : null}
      </View>
    </Card>
  );
}
