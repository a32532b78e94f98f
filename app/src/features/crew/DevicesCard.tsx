import { CREW_ROUTES, type SignedInDevice } from '@leggero/contract/crew';
import { View } from 'react-native';

import { useCrewRenewed, useDevices } from '@/data/crew';
import { useSending } from '@/data/useSending';
import { ActionRow } from '@/ui/ActionRow';
import { Card } from '@/ui/Card';
import { deviceText, usedText } from '@/wording/crew';

/** The devices on which one is signed in, each to be signed out from here. */
export function DevicesCard() {
  const devices = useDevices().data ?? [];
  if (devices.length === 0) return null;
  return (
    <Card title="Signed in on">
      <View role="list" className="gap-3">
        {devices.map((device) => (
          <View key={device.id} role="listitem">
            <DeviceRow device={device} />
          </View>
        ))}
      </View>
    </Card>
  );
}

function DeviceRow({ device }: { device: SignedInDevice }) {
  const { send, busy } = useSending(CREW_ROUTES.endDevice);
  const renew = useCrewRenewed();
  const end = () => void send({ id: device.id }).then(() => renew('devices'));
  return (
    <ActionRow
      title={deviceText(device.userAgent)}
      note={usedText(device)}
      action={device.here ? null : { title: 'Sign it out', busy, onPress: end }}
    />
  );
}
