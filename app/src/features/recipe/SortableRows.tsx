import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import GripVertical from 'lucide-react-native/icons/grip-vertical';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { usePalette } from '@/ui/theme';

interface SortableRowsProps {
  /** Keys of the rows, in their order. */
  order: readonly string[];
  /** What a row is called while it is dragged, and as one of a list. */
  nameOf: (key: string) => string;
  labelOf: (key: string) => string;
  row: (key: string) => ReactNode;
  onOrder: (order: string[]) => void;
}

/** A drag begins after so many px: a tap does not. */
const BEGINS_PX = 6;

/** What who cannot see the grips is told of them. */
const HOW = { draggable: 'Space takes it, arrows move it, space puts it down, escape leaves it where it was.' };

/** Rows that are dragged into another order by their grips, by hand or by keys (space, then arrows). */
export function SortableRows({ order, nameOf, labelOf, row, onOrder }: SortableRowsProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: BEGINS_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    const [from, to] = [order.indexOf(String(active.id)), order.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) onOrder(arrayMove([...order], from, to));
  };
  const named = (id: UniqueIdentifier) => nameOf(String(id));
  const left = (id: UniqueIdentifier) => `${named(id)} stays where it was.`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Took ${named(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${named(active.id)} is over ${named(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) =>
      over && over.id !== active.id ? `${named(active.id)} is put where ${named(over.id)} was.` : left(active.id),
    onDragCancel: ({ active }) => left(active.id),
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={{ announcements, screenReaderInstructions: HOW }}
    >
      <SortableContext items={[...order]} strategy={verticalListSortingStrategy}>
        <View role="list">
          {order.map((key) => (
            <SortableRow key={key} id={key} name={nameOf(key)} label={labelOf(key)}>
              {row(key)}
            </SortableRow>
          ))}
        </View>
      </SortableContext>
    </DndContext>
  );
}

interface SortableRowProps {
  id: string;
  name: string;
  label: string;
  children: ReactNode;
}

function SortableRow({ id, name, label, children }: SortableRowProps) {
  const palette = usePalette();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <div
      ref={setNodeRef}
      role="listitem"
      aria-label={label}
      style={{
        ...{ display: 'flex', alignItems: 'center', transition },
        transform: CSS.Translate.toString(transform),
        ...(isDragging ? { zIndex: 1, position: 'relative', background: palette.sunk } : {}),
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Drag ${name}`}
        style={{
          ...{ touchAction: 'none', cursor: 'grab', background: 'none', border: 0 },
          ...{ minWidth: 28, minHeight: 48, padding: 0, flexShrink: 0 },
        }}
      >
        <GripVertical size={20} color={palette.quiet} />
      </button>
      <div style={{ flex: 1, minWidth: 0 }}>{children}</div>
    </div>
  );
}
