import {
  addAtHome,
  idsOf,
  kindLabel,
  ownersOf,
  regionsOf,
  sectionKind,
  sectionKindsIn,
  sectionsOf,
  uniqueName,
  type PartKindId,
  type PartPlace,
  type PlacedSection,
  type Region,
  type Section,
  type SectionKindId,
  firstSlot,
} from '@hamaca/core';
import { Fragment } from 'react';
import { selectMade } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { Actions, type Action } from '../../../ui/actions.tsx';
import { Line, OutlineRow, useFolded } from './line.tsx';
import { useOutlineSite } from './outline-site.tsx';
import { makeNewPart, newParts } from './part-kinds.ts';
import { PartLines } from './part-lines.tsx';
import { slotLines } from './slot-lines.ts';

function useAddPart() {
  const site = useOutlineSite();
  const edit = useEdit();
  return async (kind: PartKindId, place: PartPlace) => {
    const { part, icons } = await makeNewPart(site, kind, regionsOf(site).get(place.region)?.form ?? 'row');
    const adding = addAtHome(site, { name: 'add-part', args: { place, part, icons } });
    if (edit(adding, `Add: ${kindLabel(kind)}`)) selectMade(part.id, firstSlot(kind));
  };
}

/** The head of a region, with what can be added to it. */
function RegionHead({ region }: { readonly region: Region }) {
  const site = useOutlineSite();
  const add = useAddPart();
  const index = region.parts.length;
  const named =
    region.name === 'parts' ? region.section.name : `the ${region.name} of ${region.section.name}`;
  return (
    <OutlineRow
      depth={1}
      names={{ 'data-drop': `${region.id} ${index}` }}
      className="h-6 border-l-[3px] border-transparent pl-[30px] text-small text-ink-faint"
    >
      <div role="gridcell" className="self-end pb-0.5">
        {region.name}
        {index === 0 ? ', empty' : ''}
      </div>
      <div role="gridcell" className="ml-auto">
        <Actions
          label={`Add a part at ${named}`}
          sign="+"
          actions={() =>
            newParts(site, region).map(({ kind, label, hint, refused }) => ({
              label,
              hint: refused ?? hint,
              disabled: refused !== null,
              run: () => {
                void add(kind, { region: region.id, index });
              },
            }))
          }
        />
      </div>
    </OutlineRow>
  );
}

function useSectionActions(placed: PlacedSection): () => readonly Action[] {
  const site = useOutlineSite();
  const edit = useEdit();
  const { section, kind, piece } = placed;
  const siblings = sectionsOf(site).filter((other) => other.piece.id === piece.id);
  const index = siblings.findIndex((other) => other.section.id === section.id);
  const word = kindLabel(kind).toLowerCase();
  const add = (made: SectionKindId, above: boolean) => {
    const id = uniqueName(made, idsOf(site));
    const args = {
      piece: piece.id,
      index: above ? index : index + 1,
      section: sectionKind(made).create(id, above ? 'Above' : 'Beneath') as unknown as Section,
    };
    if (edit({ name: 'add-section', args }, `Add a ${kindLabel(made).toLowerCase()}`)) selectMade(id, made);
  };
  const move = (to: number) => {
    edit({ name: 'move-section', args: { id: section.id, index: to } }, `Move ${word} ${section.name}`);
  };
  return () => [
    ...sectionKindsIn(piece).flatMap((made) =>
      [true, false].map((above) => ({
        label: `Add a ${kindLabel(made).toLowerCase()} ${above ? 'above' : 'beneath'}`,
        run: () => {
          add(made, above);
        },
      })),
    ),
    {
      label: 'Move up',
      disabled: index === 0,
      run: () => {
        move(index - 1);
      },
    },
    {
      label: 'Move down',
      disabled: index === siblings.length - 1,
      run: () => {
        move(index + 1);
      },
    },
    {
      label: 'Duplicate',
      run: () => {
        const copy = uniqueName(section.id, idsOf(site));
        const args = { id: section.id, copy };
        if (edit({ name: 'duplicate-section', args }, `Duplicate ${word} ${section.name}`))
          selectMade(copy, kind);
      },
    },
    {
      label: 'Remove with all in it',
      disabled: siblings.length === 1,
      run: () => {
        edit({ name: 'remove-section', args: { id: section.id } }, `Remove ${word} ${section.name}`);
      },
    },
  ];
}

/** A row or block with the parts of its regions; parts are added to a region at its head. */
export function SectionLines({ placed }: { readonly placed: PlacedSection }) {
  const site = useOutlineSite();
  const { section, kind, regions } = placed;
  const actions = useSectionActions(placed);
  const isFolded = useFolded(section.id);
  const label = `${kindLabel(kind)} ${section.name}`;
  const owner = ownersOf(site).get(section.id);
  const [line] = owner ? slotLines(site, owner) : [];
  return (
    <>
      {line && (
        <Line line={{ ...line, label }} depth={0} branch={section.id}>
          <Actions label={`More about ${label.toLowerCase()}`} sign="⋯" actions={actions} />
        </Line>
      )}
      {!isFolded &&
        regions.map((region) => (
          <Fragment key={region.id}>
            <RegionHead region={region} />
            {region.parts.map((part, index) => (
              <PartLines key={part.id} part={part} place={`${region.id} ${index}`} />
            ))}
          </Fragment>
        ))}
    </>
  );
}
