import { BESIDE_COLUMN, SIDE_BY_SIDE, type Level, type Scene, type Site } from '@hamaca/core';
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useCommands } from '../app/commands/use-commands.tsx';
import { clipOf, overhangOf } from './hanging.ts';
import type {
  Box,
  ForeignContent,
  ForeignPinMessage,
  FromFrame,
  LightMessage,
  PinMessage,
  PinnedElement,
  RenderMessage,
  Reveal,
  ShownPage,
  StageBox,
  StageElement,
  ToFrame,
} from './frame/protocol.ts';
import type { DrawnPage } from '../media/page-picture.ts';
import { queriable, type StagePage } from './output.ts';
import { sceneMarkup } from './scenes.ts';
import { statementChanges } from './statement-changes.ts';

/** A part that is carried over the stage. */
export type Carried = Extract<FromFrame, { type: 'carry' }>;
/** A ring whose link is dragged. */
export type DraggedArc = Extract<FromFrame, { type: 'arc' }>;
/** What was measured of an element of a foreign page. */
export type MeasuredElement = Extract<FromFrame, { type: 'foreign-chosen' }>;
/** What may be wrong with a page at a width. */
export type SurveyedPage = Extract<FromFrame, { type: 'surveyed' }>;
/** An edge of a panel that is dragged. */
export type DraggedEdge = Extract<FromFrame, { type: 'edge' }>;

export interface Picked {
  readonly owner: string;
  readonly slot: string;
  readonly level: Level | null;
  readonly index: number;
  /** Id of the panel that the click opened; null where it opened none. */
  readonly opened: string | null;
}

interface Props {
  readonly site: Site;
  /** Null while it is being made: the frame is on its way meanwhile. */
  readonly page: StagePage | null;
  readonly scene: Scene;
  /** Width of the page in px, and what is shown of its height. */
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly label: string;
  /** Whether an open submenu that reaches further down than the stage is shown over what stands beneath it. */
  readonly overhangs?: boolean;
  readonly pinned?: PinnedElement | null;
  readonly selected?: StageElement | null;
  readonly reveal?: Reveal;
  /** Whether what is selected has a dashed line around it. */
  readonly outlined?: boolean;
  /** Selector of the one piece that is in full ink; null where all are. */
  readonly inked?: string | null;
  readonly onPick?: (picked: Picked) => void;
  /** Selectors of elements that are lit up. */
  readonly lit?: readonly string[];
  readonly onCarry?: (carried: Carried) => void;
  readonly onEdge?: (dragged: DraggedEdge) => void;
  readonly onArc?: (dragged: DraggedArc) => void;
  /** A key was pressed on the stage that is no shortcut. */
  readonly onTyped?: (key: string) => void;
  /** Told where everything stands, whenever that may have changed; nothing is measured without. */
  readonly onMeasures?: ((boxes: readonly StageBox[]) => void) | undefined;
  /** A panel was closed on the stage. */
  readonly onClosed?: () => void;
  /** What was told stands on the screen. */
  readonly onPainted?: () => void;
  /** Asked for once the page is painted: the page as it stands, for a picture of it. */
  readonly onDrawn?: (page: DrawnPage) => void;
  /** Told what may be wrong with the page, once for each page and width; nothing is looked for without. */
  readonly onSurveyed?: (page: SurveyedPage) => void;
  /** How often a motion was asked to be played: once more plays it. */
  readonly plays?: number;
  /** Whether it is played four times as slow. */
  readonly slowly?: boolean;
  /**
   * Where pages come from besides `page`: told of each new one at once, outside of rendering, so that the stage goes
   * first. Answers how to end it.
   */
  readonly follow?: (show: (page: ShownPage) => void) => () => void;
  /** A page that exists already, which stands there instead of the scene. */
  readonly foreign?: ForeignContent | null;
  readonly foreignPin?: ForeignPinMessage | null;
  /** An element of it was clicked: its place among the page's. */
  readonly onForeignPick?: (at: number) => void;
  /** What was measured of what is chosen of it. */
  readonly onForeignChosen?: (measured: MeasuredElement) => void;
  /** Drawn over the page, in its px. */
  readonly children?: ReactNode;
}

/** Mark of the moment at which a stage was last told of a page, to be measured by. */
const STAGE_TOLD = 'stage told';

const NONE: readonly string[] = [];
const NO_BOXES: readonly Box[] = [];
const NOTHING_REVEALED: Reveal = { panel: null, submenu: false };

const isFace = (statement: string) => statement.startsWith('@font-face');

/** Faces stand first in a stylesheet; they are kept apart, as the browser loads them again where they are set again. */
function stylesheetOf(statements: readonly string[]): Pick<ShownPage, 'faces' | 'statements'> {
  const faces = statements.findIndex((statement) => !isFace(statement));
  const end = faces === -1 ? statements.length : faces;
  return { faces: statements.slice(0, end).join(''), statements: statements.slice(end) };
}

/** What a stage shows of a page over a scene. */
export function shownPage(
  site: Site,
  { compiled, markup, atEnd, isLow = atEnd }: StagePage,
  scene: Scene,
): ShownPage {
  return {
    ...markup,
    atEnd,
    isLow,
    root: compiled.root,
    columns: SIDE_BY_SIDE,
    column: BESIDE_COLUMN,
    ...stylesheetOf(compiled.statements),
    script: compiled.script,
    scene: sceneMarkup(scene),
    language: site.language,
    direction: site.direction,
    entries: queriable(compiled.elements.entries),
    prefix: compiled.prefix,
  };
}

/** What of a page is not on the stage yet; null where all of it is. */
function changesOf(shown: ShownPage | null, page: ShownPage): RenderMessage | null {
  const { statements, ...others } = page;
  const sheet = statementChanges(shown?.statements ?? [], statements);
  const keys = (Object.keys(others) as (keyof typeof others)[]).filter((key) => page[key] !== shown?.[key]);
  const changed = Object.fromEntries(keys.map((key) => [key, page[key]]));
  return keys.length === 0 && sheet.length === 0 ? null : { type: 'render', changed, sheet };
}

/** What the window has left beneath a stage, in px of the page. */
function roomBeneath(frame: HTMLElement | null, height: number, scale: number): number {
  if (!frame) return 0;
  return (window.innerHeight - frame.getBoundingClientRect().top) / scale - height;
}

/** The real output over a scene, in a frame of its own that can reach nothing of the interface. */
export function Stage({
  site,
  page,
  scene,
  width,
  height,
  scale,
  label,
  overhangs = false,
  pinned = null,
  selected = null,
  reveal = NOTHING_REVEALED,
  outlined = true,
  inked = null,
  onPick,
  lit = NONE,
  onCarry,
  onEdge,
  onArc,
  onTyped,
  onClosed,
  onMeasures,
  onPainted,
  onDrawn,
  onSurveyed,
  follow,
  plays = 0,
  slowly = false,
  foreign = null,
  foreignPin = null,
  onForeignPick,
  onForeignChosen,
  children,
}: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const ready = useRef(false);
  const shown = useRef<ShownPage | null>(null);
  const [hanging, setHanging] = useState(NO_BOXES);
  const { press } = useCommands();
  const whole = useMemo(() => page && shownPage(site, page, scene), [site, page, scene]);
  const pins = useMemo(
    (): PinMessage => ({ type: 'pin', pinned, selected, reveal, outlined, inked }),
    [pinned, selected, reveal, outlined, inked],
  );
  const lights = useMemo((): LightMessage => ({ type: 'light', selectors: lit }), [lit]);

  const latest = useRef({
    whole,
    pins,
    lights,
    onPick,
    onCarry,
    onEdge,
    onArc,
    onTyped,
    onClosed,
    onMeasures,
    onPainted,
    onDrawn,
    onSurveyed,
    foreign,
    foreignPin,
    onForeignPick,
    onForeignChosen,
    width,
    height,
  });
  latest.current = {
    whole,
    pins,
    lights,
    onPick,
    onCarry,
    onEdge,
    onArc,
    onTyped,
    onClosed,
    onMeasures,
    onPainted,
    onDrawn,
    onSurveyed,
    foreign,
    foreignPin,
    onForeignPick,
    onForeignChosen,
    width,
    height,
  };
  const send = (content: ToFrame) => {
    if (ready.current) frame.current?.contentWindow?.postMessage(content, '*');
  };
  const show = (next: ShownPage | null) => {
    const changes = next && changesOf(shown.current, next);
    if (!changes) return;
    shown.current = ready.current ? next : null;
    send(changes);
    performance.clearMarks(STAGE_TOLD);
    performance.mark(STAGE_TOLD);
  };

  useLayoutEffect(() => follow?.(show), [follow]);
  useLayoutEffect(() => {
    show(whole);
  }, [whole]);
  // After each edit anew: what is selected may have gone somewhere else with it.
  useLayoutEffect(() => {
    send(pins);
  }, [pins]);
  useLayoutEffect(() => {
    send(lights);
  }, [lights]);

  const sendForeign = () => {
    const { foreign: content, foreignPin: pin } = latest.current;
    send({ type: 'foreign', content });
    if (pin) send(pin);
  };
  // A stage that never had one is told of none.
  const hadForeign = useRef(false);
  useLayoutEffect(() => {
    if (foreign || hadForeign.current) sendForeign();
    hadForeign.current = foreign !== null;
  }, [foreign]);
  useLayoutEffect(() => {
    if (foreignPin) send(foreignPin);
  }, [foreignPin]);

  const isMeasured = onMeasures !== undefined;
  useEffect(() => {
    send({ type: 'measure', on: isMeasured });
  }, [isMeasured]);

  const isSurveyed = onSurveyed !== undefined;
  const askSurvey = () => {
    const { whole, onSurveyed, width } = latest.current;
    if (whole && onSurveyed) send({ type: 'survey', width });
  };
  useEffect(askSurvey, [isSurveyed, whole, width]);

  // An edit that was just made is on its way to the stage.
  useEffect(() => {
    if (plays === 0) return;
    const timer = setTimeout(() => {
      send({ type: 'play', slowly });
    }, 100);
    return () => {
      clearTimeout(timer);
    };
  }, [plays]);

  useEffect(() => {
    const listen = (event: MessageEvent<FromFrame>) => {
      if (event.source !== frame.current?.contentWindow) return;
      const { data } = event;
      if (data.type === 'ready') {
        ready.current = true;
        shown.current = null;
        show(latest.current.whole);
        send(latest.current.pins);
        send(latest.current.lights);
        if (latest.current.foreign) sendForeign();
        if (latest.current.onMeasures) send({ type: 'measure', on: true });
        askSurvey();
      } else if (data.type === 'pick') latest.current.onPick?.(data);
      else if (data.type === 'foreign-pick') latest.current.onForeignPick?.(data.at);
      else if (data.type === 'foreign-chosen') latest.current.onForeignChosen?.(data);
      else if (data.type === 'carry') latest.current.onCarry?.(data);
      else if (data.type === 'edge') latest.current.onEdge?.(data);
      else if (data.type === 'arc') latest.current.onArc?.(data);
      else if (data.type === 'hanging') setHanging(data.boxes);
      else if (data.type === 'measures') latest.current.onMeasures?.(data.boxes);
      else if (data.type === 'surveyed') latest.current.onSurveyed?.(data);
      else if (data.type === 'closed') latest.current.onClosed?.();
      else if (data.type === 'key') {
        if (!press(data) && !data.meta && !data.alt) latest.current.onTyped?.(data.key);
      } else if (data.type === 'picture') {
        const { width, height } = latest.current;
        latest.current.onDrawn?.({ body: data.body, css: data.css, width, height });
      } else {
        frame.current?.setAttribute('data-painted', String(data.at));
        latest.current.onPainted?.();
        if (latest.current.onDrawn) send({ type: 'picture' });
      }
    };
    window.addEventListener('message', listen);
    return () => {
      window.removeEventListener('message', listen);
    };
  }, [press]);

  // Where nothing hangs out nobody asks the browser where the frame is.
  const overhang =
    overhangs && hanging.length > 0
      ? overhangOf(hanging, height, roomBeneath(frame.current, height, scale))
      : 0;

  return (
    <div
      style={{ width: width * scale, height: height * scale }}
      data-overhang={overhang > 0 ? overhang : undefined}
      className={`relative bg-white ${overhang > 0 ? '' : 'overflow-hidden'}`}
    >
      <iframe
        ref={frame}
        src="/frame"
        sandbox="allow-scripts"
        title={label}
        tabIndex={onPick ? 0 : -1}
        inert={!onPick}
        style={{
          width,
          height: height + overhang,
          clipPath: overhang > 0 ? clipOf(hanging, { width, height, overhang }) : undefined,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
          border: 0,
          display: 'block',
        }}
      />
      {children && (
        <div
          aria-hidden="true"
          className="pointer-events-none absolute inset-0"
          style={{ transform: `scale(${scale})`, transformOrigin: '0 0', width, height }}
        >
          {children}
        </div>
      )}
    </div>
  );
}
