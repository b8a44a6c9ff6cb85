import { type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { usePalette } from '../theme/theme.tsx';
import { Icon } from './icon.tsx';

export interface SortableProps {
  /** Ids in their order, and what each is called where it is moved. */
  items: readonly { id: string; name: string }[];
  /** Puts one at a place counted from 0. */
  onPlace: (id: string, to: number) => void;
  /** One of them, with the handle it is moved by; null where nothing can be moved yet. */
  children: (id: string, handle: ReactNode) => ReactNode;
}

/** How far a finger goes before it drags: less is a touch. */
const SLACK_PX = 6;

/** A list whose items are put in another order: pulled by their handles, or by keys: space, arrows, space. */
export function SortableList({ items, onPlace, children }: SortableProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: SLACK_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const placeOf = (id: UniqueIdentifier) => items.findIndex((one) => one.id === id);
  const nameOf = (id: UniqueIdentifier) => items[placeOf(id)]?.name ?? '';
  const told = (id: UniqueIdentifier) => `place ${placeOf(id) + 1} of ${items.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up at ${told(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)} is over ${told(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${nameOf(active.id)} is put down${over ? ` at ${told(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays at ${told(active.id)}.`,
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable: 'Space picks it up, the arrow keys move it, space puts it down, escape leaves it where it was.',
        },
      }}
      onDragEnd={({ active, over }) => {
        // It may have been taken away meanwhile, by an undo or on another device.
        if (over && over.id !== active.id && placeOf(active.id) >= 0 && placeOf(over.id) >= 0)
          onPlace(String(active.id), placeOf(over.id));
      }}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {items.map(({ id, name }) => (
          <SortableItem key={id} id={id} name={name}>
            {(handle) => children(id, handle)}
          </SortableItem>
        ))}
      </SortableContext>
    </DndContext>
  );
}

function SortableItem({
  id,
  name,
  children,
}: {
  id: string;
  name: string;
  children: (handle: ReactNode) => ReactNode;
}) {
  const palette = usePalette();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({ id });
  const asDom = (set: (node: HTMLElement | null) => void) => (node: View | null) =>
    set(node as (View & HTMLElement) | null);
  const handle = (
    <View
      ref={asDom(setActivatorNodeRef)}
      {...(attributes as object)}
      {...(listeners as object)}
      aria-label={`Move ${name}`}
      style={[styles.handle, GRABS]}
    >
      <Icon name="move" color={palette.quiet} size={26} />
    </View>
  );
  return (
    <View
      ref={asDom(setNodeRef)}
      style={[
        isDragging ? [styles.lifted, { backgroundColor: palette.bench }] : null,
        transform ? { transform: [{ translateX: transform.x }, { translateY: transform.y }] } : null,
      ]}
    >
      {children(handle)}
    </View>
  );
}

/** A finger on the handle moves the item and not the page. */
const GRABS = { touchAction: 'none', cursor: 'grab' } as object;

const styles = StyleSheet.create({
  handle: { width: 48, minHeight: 48, alignItems: 'center', justifyContent: 'center' },
  lifted: { zIndex: 2, opacity: 0.95 },
});
