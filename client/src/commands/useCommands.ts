import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { catalogue, type CommandId, type Section } from './catalogue';
import { singleKeysAreOn } from './singleKeys';

/** Something that can be done now: from the catalogue, or as the server offers it, with its own key and words. */
export type Command =
  | { id: CommandId; run: (event?: KeyboardEvent) => void }
  | { key: string; title: string; section: Section; run: (event?: KeyboardEvent) => void };

export interface BoundCommand {
  keys: readonly string[];
  title: string;
  section: Section;
  id: CommandId | null;
  run: (event?: KeyboardEvent) => void;
}

const bound = (command: Command): BoundCommand =>
  'id' in command
    ? { ...catalogue[command.id], id: command.id, run: command.run }
    : { keys: [command.key], title: command.title, section: command.section, id: null, run: command.run };

interface Layer {
  commands: () => readonly BoundCommand[];
  /** Where Enter and Space are the layer's own though something has the focus. */
  pressedOn: string | undefined;
}

// What is on the screen now, the innermost last: its keys come first.
const layers: Layer[] = [];
const listeners = new Set<() => void>();
let version = 0;

const changed = () => {
  version++;
  listeners.forEach((listener) => listener());
};

const chordMs = 1500;
let chord: { key: string; at: number } | null = null;

/** Keys that go on while they are held; any other held key is one press, so that nothing is logged twice. */
const walks = ['ArrowDown', 'ArrowUp', 'ArrowLeft', 'ArrowRight', 'j', 'k'];

/** Keys with which whatever has the focus is pressed; they are its own. */
const presses = ['Enter', ' '];

const nameOf = (event: KeyboardEvent) =>
  event.ctrlKey || event.metaKey ? `Control+${event.key.toLowerCase()}` : event.key;

/** Whether a key press belongs to something else: a field, an open dialog or menu, what has the focus, a browser shortcut. */
function isTaken(event: KeyboardEvent, pressedOn: string | undefined): boolean {
  if (event.defaultPrevented || event.altKey || (event.repeat && !walks.includes(event.key))) {
    return true;
  }
  const target = event.target instanceof Element ? event.target : null;
  if (event.ctrlKey || event.metaKey) {
    return target?.closest('[role=dialog][data-modal]') != null;
  }
  const idle = target === document.body || target?.id === 'main';
  const ours = pressedOn !== undefined && target?.matches(pressedOn) === true;
  if (presses.includes(event.key) && !idle && !ours) {
    return true;
  }
  return (
    target?.closest(
      'input, textarea, select, [contenteditable], [role=dialog][data-modal], [role=menu], [role=listbox]',
    ) !== null && target !== null
  );
}

function press(event: KeyboardEvent): void {
  const name = nameOf(event);
  const isSingle = !name.includes('+') && name !== 'Escape';
  if (isSingle && !singleKeysAreOn()) {
    return;
  }
  const begun = chord !== null && event.timeStamp - chord.at < chordMs ? `${chord.key} ${name}` : null;
  for (const layer of layers.toReversed()) {
    if (isTaken(event, layer.pressedOn)) {
      continue;
    }
    const commands = layer.commands();
    const hit =
      (begun === null ? undefined : commands.find((c) => c.keys.includes(begun))) ??
      (begun === null ? commands.find((c) => c.keys.includes(name)) : undefined);
    if (hit !== undefined) {
      event.preventDefault();
      chord = null;
      hit.run(event);
      return;
    }
    if (begun === null && commands.some((c) => c.keys.some((key) => key.startsWith(`${name} `)))) {
      chord = { key: name, at: event.timeStamp };
      return;
    }
  }
  chord = null;
}

/**
 * Commands while a part of the page stands: their keys work, the sheet and the palette list them.
 * @param pressedOn What may have the focus while Enter and Space are still the commands' own.
 */
export function useCommands(commands: readonly Command[], pressedOn?: string): void {
  // Those of the newest rendering: what is pressed acts on what is shown.
  const current = useRef(commands);
  useLayoutEffect(() => {
    current.current = commands;
  });
  // With the rendering itself: what is seen answers to its keys at once, on a slow device too.
  useLayoutEffect(() => {
    const layer: Layer = { commands: () => current.current.map(bound), pressedOn };
    if (layers.length === 0) {
      window.addEventListener('keydown', press);
    }
    layers.push(layer);
    changed();
    return () => {
      layers.splice(layers.indexOf(layer), 1);
      if (layers.length === 0) {
        window.removeEventListener('keydown', press);
      }
      changed();
    };
  }, [pressedOn]);
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** All that can be done now, the innermost first; read as the palette or the sheet opens. */
export const commandsNow = (): BoundCommand[] => layers.toReversed().flatMap((layer) => layer.commands());

/** The same, again whenever a part of the page comes or goes. */
export function useCommandsNow(): BoundCommand[] {
  useSyncExternalStore(subscribe, () => version);
  return commandsNow();
}
