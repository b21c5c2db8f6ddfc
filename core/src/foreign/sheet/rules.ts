import type { Place } from '../source.ts';

/** One declaration as it was written. */
export interface Declaration {
  /** Lower case, but for custom properties. */
  readonly property: string;
  /** Without `!important`, trimmed. */
  readonly value: string;
  readonly important: boolean;
  readonly place: Place;
}

/** What has to hold for a rule to apply, besides its selector. */
export type Condition =
  | { readonly kind: 'media' | 'supports' | 'container'; readonly text: string }
  | {
      readonly kind: 'scope';
      /** Selector lists; null where the sheet's own element is meant. */
      readonly from: string | null;
      readonly to: string | null;
      /** The rule that it stands in, as selectors relate to that. */
      readonly parent: StyleRule | null;
    };

/** One rule of a stylesheet, with everything around it. */
export interface StyleRule {
  /** As it was written; null for declarations that stand in a scope or nested condition alone. */
  readonly selector: string | null;
  /** The rule this one is nested in. */
  readonly parent: StyleRule | null;
  /** From the outside to the inside. */
  readonly conditions: readonly Condition[];
  /** The full name of its cascade layer; null where it stands in none. */
  readonly layer: string | null;
  readonly declarations: readonly Declaration[];
  readonly place: Place;
  /** Its place in the order of all rules of the page. */
  readonly order: number;
}

/** Something that could not be used or known, in words. */
export interface SheetNote {
  readonly place: Place | null;
  readonly text: string;
}

/** What the stylesheets of a page say. */
export interface Rules {
  readonly styles: readonly StyleRule[];
  /** Names of layers in the order in which they were first named. */
  readonly layers: readonly string[];
  /** Properties that each animation changes, by its name. */
  readonly animations: ReadonlyMap<string, ReadonlySet<string>>;
  readonly registered: ReadonlyMap<string, RegisteredProperty>;
  readonly notes: readonly SheetNote[];
}

/** A custom property that was registered with `@property`. */
export interface RegisteredProperty {
  readonly inherits: boolean;
  readonly initial: string | null;
}
