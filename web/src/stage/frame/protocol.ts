import type {
  ElementEntry,
  ForeignState,
  Level,
  PageMarkup,
  Sight,
  StagedNames,
  StagedMark,
  StagedPage,
  State,
} from '@hamaca/core';

/** One element of the output, as the element map finds it. */
export interface StageElement {
  readonly selector: string;
  /** Which of the elements of that selector, 0 the first. */
  readonly index: number;
}

/** An element with states that are frozen on it. */
export interface PinnedElement extends StageElement {
  readonly states: readonly State[];
}

/** What is opened so that something can be seen. */
export interface Reveal {
  /** Selector of the panel that stands open; null for none but the one that is selected in. */
  readonly panel: string | null;
  readonly submenu: boolean;
}

/** A page on the stage: markup, stylesheet and script of the output over a scene. */
export interface ShownPage extends PageMarkup {
  /** Its font faces, and the statements of the stylesheet behind them. */
  readonly faces: string;
  readonly statements: readonly string[];
  readonly script: string;
  readonly scene: string;
  readonly language: string;
  readonly direction: string;
  readonly entries: readonly ElementEntry[];
  /** Whether the piece that is looked at stands at the page's end. */
  readonly atEnd: boolean;
  /** Whether little of the page’s own is shown, so that its end is in sight. */
  readonly isLow: boolean;
  /** Start of the output's names, and the class of every root. */
  readonly prefix: string;
  readonly root: string;
  /** Declarations of what holds a side column and the page's own, and of that one. */
  readonly columns: string;
  readonly column: string;
}

/** How a list of statements becomes another one: from a place on some go and others come. */
export interface StatementChange {
  readonly from: number;
  readonly gone: number;
  readonly come: readonly string[];
}

/** A page without its stylesheet, which is told by its changes. */
export type RenderedPage = Omit<ShownPage, 'statements'>;

/** What changes of the page; the first message holds all of it. Reading a message takes longer the more is in it. */
export interface RenderMessage {
  readonly type: 'render';
  readonly changed: Partial<RenderedPage>;
  /** How the stylesheet changes, the last place first, so that each one finds the places before it as they were. */
  readonly sheet: readonly StatementChange[];
}

export interface PinMessage {
  readonly type: 'pin';
  readonly pinned: PinnedElement | null;
  readonly selected: StageElement | null;
  readonly reveal: Reveal;
  /** Whether what is selected has a dashed line around it. */
  readonly outlined: boolean;
  /** Selector of the one piece that is in full ink; null where all are. */
  readonly inked: string | null;
}

/** Elements that are lit up. */
export interface LightMessage {
  readonly type: 'light';
  readonly selectors: readonly string[];
}

/** A page that exists already, with the files it shows. */
export interface ForeignContent {
  readonly page: StagedPage;
  readonly names: StagedNames;
  /** The script that was added to it; nothing where there is none. */
  readonly script: string;
  readonly files: readonly { readonly bytes: ArrayBuffer; readonly type: string }[];
}

/** How the text of an element is painted in a state, and what lies behind it. */
export interface TextPaint {
  readonly state: ForeignState;
  readonly ink: string;
  /** Colours behind it, the topmost first; the last covers what is beneath. */
  readonly behind: readonly string[];
  /** Whether a picture lies behind, whose colours are not known. */
  readonly overPicture: boolean;
  /** Px, and the weight as a number. */
  readonly size: number;
  readonly weight: number;
}

/** What browsers compute of an element, by longhand: at rest, and what is otherwise in the other states. */
export type ComputedStates = Readonly<Partial<Record<ForeignState, Readonly<Record<string, string>>>>>;

/** How the states of an element are shown that a page marks in its markup. */
export interface ElementMarks {
  readonly current: readonly StagedMark[];
  readonly open: readonly StagedMark[];
  /** Whether what is open is pointed at. */
  readonly opensByPointing: boolean;
  /** Whether a selector can tell that it is open. */
  readonly isOpenMarked: boolean;
}

/** A foreign page is to stand on the stage, instead of a scene; null takes it away. */
export interface ForeignMessage {
  readonly type: 'foreign';
  readonly content: ForeignContent | null;
}

/** What of a foreign page is chosen, in which state, and what is lit up; elements by their place among the page's. */
export interface ForeignPinMessage {
  readonly type: 'foreign-pin';
  readonly chosen: number | null;
  /** The pseudo-element of it that is meant; null for the element itself. */
  readonly pseudo: string | null;
  readonly state: ForeignState;
  /** How its states are shown that the page marks in its markup; null until that is known. */
  readonly marks: ElementMarks | null;
  readonly lit: readonly number[];
  /** Whether what is chosen is scrolled into sight. */
  readonly reveal: boolean;
}

/** The page is wanted as it stands, for a picture of it. */
export interface PictureMessage {
  readonly type: 'picture';
}

/** What stands open is to close and open again, so that its motion is seen. */
export interface PlayMessage {
  readonly type: 'play';
  readonly slowly: boolean;
}

/** Whether the places of all parts are to be told, now and whenever they change. */
export interface MeasureMessage {
  readonly type: 'measure';
  readonly on: boolean;
}

/** The page is to be gone through in every state that can be opened, once the frame has this width in px. */
export interface SurveyMessage {
  readonly type: 'survey';
  readonly width: number;
}

/** What the stage is told. */
export type ToFrame =
  | ForeignMessage
  | ForeignPinMessage
  | PlayMessage
  | RenderMessage
  | PinMessage
  | LightMessage
  | PictureMessage
  | MeasureMessage
  | SurveyMessage;

/** A box on the stage, in px of the page. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The box of everything that belongs to one owner. */
export interface StageBox extends Box {
  readonly owner: string;
}

/** What the stage tells. */
export type FromFrame =
  | { readonly type: 'ready' }
  | {
      readonly type: 'pick';
      readonly owner: string;
      readonly slot: string;
      readonly level: Level | null;
      readonly index: number;
      /** Id of the panel that the click opened; null where it opened none. */
      readonly opened: string | null;
    }
  | {
      readonly type: 'key';
      readonly key: string;
      readonly code: string;
      readonly meta: boolean;
      readonly shift: boolean;
      readonly alt: boolean;
    }
  /** A part is carried over the stage; `boxes` are those of everything that is seen. */
  | {
      readonly type: 'carry';
      readonly phase: 'move' | 'end' | 'cancel';
      readonly owner: string;
      readonly x: number;
      readonly y: number;
      readonly boxes: readonly StageBox[];
    }
  /** An edge of an open panel is dragged: how wide or high the panel is to be, in px. */
  | {
      readonly type: 'edge';
      readonly phase: 'move' | 'end' | 'cancel';
      readonly owner: string;
      readonly axis: 'inline' | 'block';
      readonly size: number;
    }
  /** A link of an open ring is dragged: how far the arc is turned, how wide and how far away it is to be; null is as it was. */
  | {
      readonly type: 'arc';
      readonly phase: 'move' | 'end' | 'cancel';
      readonly owner: string;
      /** Degrees onward. */
      readonly turned: number;
      /** Degrees. */
      readonly span: number | null;
      /** In px. */
      readonly distance: number | null;
    }
  /** Where everything stands: the boxes of what is seen of each owner. */
  | { readonly type: 'measures'; readonly boxes: readonly StageBox[] }
  /** The submenus that stand open, which may reach further down than the stage does. */
  | { readonly type: 'hanging'; readonly boxes: readonly Box[] }
  /** What may be wrong with the page at a width in px, and how many states of it were looked at. */
  | {
      readonly type: 'surveyed';
      readonly width: number;
      readonly sights: readonly Sight[];
      readonly states: number;
    }
  /** A panel was closed on the stage itself. */
  | { readonly type: 'closed' }
  /** The page as it stands: its body as XML, and all rules it is drawn by. */
  | { readonly type: 'picture'; readonly body: string; readonly css: string }
  /** An element of a foreign page was clicked. */
  | { readonly type: 'foreign-pick'; readonly at: number }
  /** How high what is chosen of it is, in px, and how its text is painted in each state that can be frozen. */
  | {
      readonly type: 'foreign-chosen';
      readonly at: number;
      readonly height: number;
      readonly paints: readonly TextPaint[];
      readonly computed: ComputedStates;
    }
  /** What was last told stands on the screen; `at` in ms since 1970, on the clock all frames share. */
  | { readonly type: 'painted'; readonly at: number };
