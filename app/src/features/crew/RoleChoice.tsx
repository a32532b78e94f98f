import type { Role } from '@leggero/contract';
import { Pressable, View } from 'react-native';

import { chosenBox } from '@/ui/chosen';
import { Words } from '@/ui/Words';
import { ROLE_WORDS } from '@/wording/crew';

const ORDER = ['maker', 'planner', 'owner', 'helper'] as const satisfies readonly Role[];

/** What someone is to be, with what that lets them do. */
export function RoleChoice({ value, onChange }: { value: Role; onChange: (role: Role) => void }) {
  return (
    <View role="radiogroup" aria-label="What they are here" className="gap-2">
      {ORDER.map((role) => {
        const { title, note } = ROLE_WORDS[role];
        return (
          <Pressable
            key={role}
            role="radio"
            aria-checked={role === value}
            onPress={() => onChange(role)}
            className={`min-h-[56px] justify-center rounded-card border p-3 ${chosenBox(role === value)}`}
          >
            <Words look="strong">{title}</Words>
            <Words look="quiet">{note}</Words>
          </Pressable>
        );
      })}
    </View>
  );
}
