import { CREW_ROUTES } from '@leggero/contract/crew';

import { learnAccess } from '@/data/access';
import { useSending } from '@/data/useSending';
import { DeleteButton } from '@/ui/DeleteButton';
import { WrongLine } from '@/ui/WrongLine';

/** Ends one's own part in the studio that is open here, after asking once. */
export function LeaveButton({ memberId, onLeft }: { memberId: string; onLeft?: () => void }) {
  const leaving = useSending(CREW_ROUTES.removeMember);
  const leave = async () => {
    if (!(await leaving.send({ id: memberId }))) return;
    onLeft?.();
    void learnAccess();
  };
  return (
    <>
      <WrongLine wrong={leaving.wrong} />
      <DeleteButton
        what="this studio"
        verb="Leave"
        consequence="You see nothing of this studio any more. What you did stays with it."
        onDelete={() => void leave()}
      />
    </>
  );
}
