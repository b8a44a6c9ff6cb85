import { useHotkeys } from 'react-hotkeys-hook';

interface When {
  enabled?: boolean;
  /** With Alt held, and not without. */
  alt?: boolean;
  /** Where the key is on the keyboard, whatever it writes there: `1` for the first of the row of digits. */
  byPlace?: boolean;
  /** Keys pressed on a button press it: they are left to it. */
  notOnButtons?: boolean;
}

const isButton = ({ target }: Event) => (target as HTMLElement | null)?.getAttribute('role') === 'button';

/**
 * What keys do on a screen, while nothing is being written in a field. The screen that is seen is the one a key meets, also while
 * the device is busy: keys are bound before it is painted.
 */
export function useKeys(
  keys: readonly string[],
  act: (key: string) => void,
  { enabled = true, alt = false, byPlace = false, notOnButtons = false }: When = {},
): void {
  useHotkeys(
    keys,
    ({ key }, { keys: [place] = [] }) => act(byPlace ? place! : key),
    {
      enabled,
      useKey: !byPlace,
      delimiter: '|',
      preventDefault: true,
      // Some keyboards write digits with Shift.
      ignoreModifiers: true,
      ignoreEventWhen: (event) =>
        event.ctrlKey || event.metaKey || event.altKey !== alt || (notOnButtons && isButton(event)),
      // A choice has the focus after it was made.
      enableOnFormTags: ['radio'],
    },
    [act],
  );
}
