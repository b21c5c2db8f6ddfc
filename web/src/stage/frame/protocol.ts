import type { Level, State } from '@hamaca/core';

/** Where a slot's elements are found on the stage. */
export interface SlotPlace {
  readonly owner: string;
  readonly slot: string;
  readonly className: string;
}

/** One element of a slot, with states that are frozen on it. */
export interface PinnedElement {
  readonly className: string;
  readonly level: Level | null;
  /** Which of the elements of that slot and level, 0 the first. */
  readonly index: number;
  readonly states: readonly State[];
}

/** What the stage is told. */
export type ToFrame =
  | {
      readonly type: 'render';
      readonly markup: string;
      readonly stylesheet: string;
      readonly script: string;
      readonly scene: string;
      readonly language: string;
      readonly direction: string;
      readonly slots: readonly SlotPlace[];
    }
  | {
      readonly type: 'pin';
      readonly pinned: PinnedElement | null;
      readonly selected: PinnedElement | null;
      readonly reveal: 'panel' | 'submenu' | null;
      readonly outlined: boolean;
    }
  /** Elements of these classes are lit up. */
  | { readonly type: 'light'; readonly classNames: readonly string[] };

/** What the stage tells. */
export type FromFrame =
  | { readonly type: 'ready' }
  | {
      readonly type: 'pick';
      readonly owner: string;
      readonly slot: string;
      readonly level: Level | null;
      readonly index: number;
    }
  | {
      readonly type: 'key';
      readonly key: string;
      readonly code: string;
      readonly meta: boolean;
      readonly shift: boolean;
      readonly alt: boolean;
    }
  /** A part is carried over the stage; `boxes` are those of all rows and parts, in px of the page. */
  | {
      readonly type: 'carry';
      readonly phase: 'move' | 'end' | 'cancel';
      readonly owner: string;
      readonly x: number;
      readonly y: number;
      readonly boxes: readonly {
        readonly owner: string;
        readonly left: number;
        readonly right: number;
        readonly top: number;
        readonly bottom: number;
      }[];
    }
  /** A dialog was opened to show what is selected; it took the focus along. */
  | { readonly type: 'revealed' }
  /** What was last told stands on the screen; `at` in ms since 1970, on the clock all frames share. */
  | { readonly type: 'painted'; readonly at: number };
