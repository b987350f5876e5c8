import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { GripVertical } from 'lucide-react'
import type { ReactNode } from 'react'
import { say } from '#core/words/say'

type Props<T> = {
  items: readonly T[]
  keyOf: (item: T) => string
  nameOf: (item: T) => string
  onOrder: (items: T[]) => void
  children: (item: T, grip: ReactNode, index: number) => ReactNode
  className?: string
}

/** A list put in order by dragging, or from the keyboard: space picks an item up, arrows move it, space puts it down. */
export function SortableList<T>({ items, keyOf, nameOf, onOrder, children, className }: Props<T>) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const keys = items.map(keyOf)
  const nameAt = (key: unknown) => nameOf(items[keys.indexOf(String(key))]!)
  const end = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    onOrder(arrayMove([...items], keys.indexOf(String(active.id)), keys.indexOf(String(over.id))))
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => say('ui.pickedUp', { id: nameAt(active.id) }),
          onDragOver: ({ over }) =>
            over ? say('ui.nowAtPlaceOf', { id: keys.indexOf(String(over.id)) + 1, count: keys.length }) : '',
          onDragEnd: ({ active, over }) =>
            over ? say('ui.isAtPlace', { id: nameAt(active.id), id2: keys.indexOf(String(over.id)) + 1 }) : '',
          onDragCancel: ({ active }) => say('ui.isBackWhereItWas', { id: nameAt(active.id) }),
        },
        screenReaderInstructions: {
          draggable: say('ui.spacePicksUpArrowKeys'),
        },
      }}
    >
      <SortableContext items={keys} strategy={verticalListSortingStrategy}>
        <ul className={className}>
          {items.map((item, index) => (
            <Item key={keyOf(item)} id={keyOf(item)} name={nameOf(item)}>
              {(grip) => children(item, grip, index)}
            </Item>
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  )
}

function Item({ id, name, children }: { id: string; name: string; children: (grip: ReactNode) => ReactNode }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
  })
  const grip = (
    <button
      type="button"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={say('ui.moveName', { name })}
      className="grid size-6 shrink-0 cursor-grab touch-none place-items-center rounded-sheet text-ink-3 hover:text-ink"
    >
      <GripVertical size={15} aria-hidden />
    </button>
  )
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={isDragging ? 'relative z-10 opacity-80' : ''}
    >
      {children(grip)}
    </li>
  )
}
