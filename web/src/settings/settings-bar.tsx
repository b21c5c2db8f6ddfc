import {
  isSameBesideLooks,
  findPart,
  foldOf,
  isPartKind,
  kindLabel,
  opensOver,
  panelsOf,
  pieceFoldOf,
  pieceKind,
  shapeOf,
  type Field as ShapeField,
  type Owner,
  type Part,
  type Piece,
  type Site,
} from '@hamaca/core';
import { Fragment, type ComponentType, memo, useEffect, useRef } from 'react';
import { benchStore, useBench } from '../store/bench-store.ts';
import { useEdit } from '../store/open-site.tsx';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { fieldEditor, type EditorProps, type SetFields } from './editors.tsx';
import { OutputNames } from './output-names.tsx';
import { ListField } from './list-field.tsx';
import { Field } from './words.tsx';

/** Editors of one field of one kind, where a list of words would say too little. */
export type OwnEditors = Readonly<Record<string, ComponentType<EditorProps>>>;

const STAYS = '(stays)';
const NOWHERE = '(nowhere)';

/** From which band down a part, or a piece as a whole, leaves its place, and for which panel. */
function FoldsField({
  site,
  thing,
  fold,
  isWhole,
}: {
  readonly site: Site;
  readonly thing: Part | Piece;
  readonly fold: ReturnType<typeof foldOf>;
  readonly isWhole: boolean;
}) {
  const edit = useEdit();
  const folds: Part['folds'] = thing.folds;
  const from = folds?.from ?? STAYS;
  const panels = panelsOf(site);
  const fallback = panels[0]?.id ?? null;
  const into = fold ? (fold.to?.piece.id ?? NOWHERE) : NOWHERE;
  const folding = (args: { from: string | null; panel?: string | null; tight?: boolean }) => {
    edit({ name: 'fold-part', args: { id: thing.id, ...args } }, 'Where it folds away');
  };
  return (
    <>
      <Field label={isWhole ? 'goes into a panel' : 'folds away'}>
        <Choice
          label="Folds away from"
          value={from}
          options={[
            { value: STAYS, label: 'never' },
            ...site.bands.map((band) => ({ value: band.id, label: `${band.name} and narrower` })),
          ]}
          onChange={(value) => {
            if (value === STAYS) folding({ from: null });
            else folding(folds ? { from: value } : { from: value, panel: fallback });
          }}
        />
      </Field>
      {folds && (
        <Field label="into">
          <Choice
            label="Folds into"
            value={into}
            options={[
              ...panels.map(({ id, name }) => ({ value: id, label: `panel ${name}` })),
              ...(isWhole ? [] : [{ value: NOWHERE, label: 'nowhere: it is left out' }]),
            ]}
            onChange={(value) => {
              folding({ from, panel: value === NOWHERE ? null : value });
            }}
          />
        </Field>
      )}
      {folds && !isWhole && (
        <Button
          className="!h-6"
          pressed={folds.tight === true}
          title="It stays as long as its row has room for it on one line"
          onClick={() => {
            folding({ from, tight: folds.tight !== true });
          }}
        >
          only where there is no room
        </Button>
      )}
    </>
  );
}

const isSetting = (name: string, field: ShapeField<unknown>) =>
  field.label !== '' && field.spec.kind !== 'things' && name !== 'folds';

/** The fields by which a thing is known; it has one of them, or the first is meant. */
const NAMING = 'input[aria-label="name"], input[aria-label="label"], input[aria-label="text"]';

interface Props {
  readonly site: Site;
  readonly owner: Owner;
  readonly editors: OwnEditors;
}

type Thing = Readonly<Record<string, unknown>>;

/** The fields that a thing has a control for, as it is: by name. */
function shownFields({ kind, thing }: Owner): (readonly [string, ShapeField<unknown>])[] {
  const own = thing as unknown as Thing;
  return Object.entries(shapeOf(kind)).filter(
    ([name, field]) =>
      isSetting(name, field) &&
      (field.when?.(own) ?? true) &&
      // A drawing and a picture that stand for each other have one control.
      !(field.spec.kind === 'picture' && own['svg'] !== undefined),
  );
}

const namesOf = (owner: Owner): string =>
  shownFields(owner)
    .map(([name]) => name)
    .join();

/** Settings say nothing of looks, but for which of them there are, and where an editor of its own draws them. */
const isSameSettings = (a: Props, b: Props) =>
  a.owner.id === b.owner.id &&
  a.editors === b.editors &&
  namesOf(a.owner) === namesOf(b.owner) &&
  !Object.keys(a.editors).some((name) => name.startsWith(`${a.owner.kind}.`)) &&
  isSameBesideLooks(a.site, b.site, ['menus', 'pages', 'icons', 'bands', 'palette', 'roles']);

/** The settings of a piece, section or part, one control a field, read from its shape. */
export const SettingsBar = memo(function SettingsBar({ site, owner, editors }: Props) {
  const edit = useEdit();
  const bar = useRef<HTMLDivElement>(null);
  const isMade = useBench((state) => state.made === owner.id);
  useEffect(() => {
    if (!isMade) return;
    benchStore.setState({ made: null });
    const field = bar.current?.querySelector<HTMLInputElement>(NAMING);
    field?.focus();
    field?.select();
  }, [isMade]);
  const thing = owner.thing as unknown as Thing;
  const of = kindLabel(owner.kind);
  const fields = shownFields(owner);
  const setFor =
    (label: string): SetFields =>
    (values, icons = []) => {
      edit({ name: 'set-owner', args: { id: owner.id, fields: values, icons } }, `${of}: ${label}`);
    };
  const part = isPartKind(owner.kind) ? findPart(site, owner.id) : null;
  return (
    <div
      key={owner.id}
      ref={bar}
      className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-twine px-3 py-1 text-bench"
    >
      {fields.map(([name, field]) => {
        const props: EditorProps = {
          site,
          kind: owner.kind,
          of,
          thing,
          name,
          field,
          set: setFor(field.label),
        };
        const Own = editors[`${owner.kind}.${name}`];
        if (Own) return <Own key={name} {...props} />;
        if (field.spec.kind === 'list') return <ListField key={name} {...props} />;
        return <Fragment key={name}>{fieldEditor(props)}</Fragment>;
      })}
      {part && !opensOver(owner.piece) && (
        <FoldsField site={site} thing={part} fold={foldOf(site, part.id)} isWhole={false} />
      )}
      {owner.sort === 'piece' && pieceKind(owner.piece).foldsWhole && panelsOf(site).length > 0 && (
        <FoldsField site={site} thing={owner.piece} fold={pieceFoldOf(site, owner.piece)} isWhole />
      )}
      <OutputNames site={site} owner={owner} of={of} set={setFor('names in the output')} />
    </div>
  );
}, isSameSettings);
