import {
  ITEM_ROLES,
  TOKENS,
  type Finding,
  type ItemChange,
  type ItemRole,
  type MenuItem,
  type Site,
} from '@hamaca/core';
import { useRef, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import { notify } from '../../../store/notices.ts';
import { shrinkPicture } from '../../../media/shrink-picture.ts';
import { refuseOwn } from '../../../settings/output-names.tsx';
import { FindingLine } from '../../../findings/finding-line.tsx';
import { IconChoice } from './icon-choice.tsx';
import { linksStore } from '../../../store/links-store.ts';
import type { OutlineActions } from './outline-actions.ts';

const ROLE_WORDS: Readonly<Record<'link' | ItemRole, string>> = {
  link: 'a link',
  action: 'a call to action',
  heading: 'a heading over others',
  divider: 'a line between links',
};

const fieldClass = (wide: boolean) => `flex min-w-0 items-center gap-2 ${wide ? 'col-span-2' : ''}`;
const FIELD_LABEL = 'w-20 shrink-0 text-right text-small text-ink-faint';

function Field({
  label,
  children,
  wide = false,
}: {
  readonly label: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
}) {
  return (
    <label className={fieldClass(wide)}>
      <span className={FIELD_LABEL}>{label}</span>
      {children}
    </label>
  );
}

/** Several controls under one word: a label would name the first of them alone. */
function Group({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div role="group" aria-label={label} className={fieldClass(false)}>
      <span className={FIELD_LABEL}>{label}</span>
      {children}
    </div>
  );
}

interface Props {
  readonly site: Site;
  readonly item: MenuItem;
  readonly depth: number;
  readonly findings: readonly Finding[];
  readonly actions: OutlineActions;
}

/** Everything a link has besides label and target, beneath its line. */
export function LinkDetails({ site, item, depth, findings, actions }: Props) {
  const edit = useEdit();
  const file = useRef<HTMLInputElement>(null);
  const set = (fields: ItemChange, label: string) => {
    edit({ name: 'set-item', args: { id: item.id, fields } }, `${label} of “${item.label}”`);
    return null;
  };
  const text =
    (field: 'description' | 'title' | 'name' | 'imageText' | 'rel', label: string, allowed?: RegExp) =>
    (value: string) => {
      const trimmed = value.trim();
      if (trimmed !== '' && allowed && !allowed.test(trimmed))
        return 'Words separated by single spaces, without quotes, brackets or signs like & and =.';
      return set({ [field]: trimmed === '' ? null : trimmed }, label);
    };
  const own = (field: 'className' | 'data', label: string) => (value: string) =>
    refuseOwn(field, value) ?? set({ [field]: value.trim() === '' ? null : value.trim() }, label);
  const takePicture = async (chosen: File | undefined) => {
    if (!chosen) return;
    const image = await shrinkPicture(chosen);
    if (image === null)
      notify({
        tone: 'error',
        text: `${chosen.name} is no picture that can be used; a PNG, JPEG, WebP or GIF is needed. The link was left as it is.`,
      });
    else set({ image }, 'Picture');
  };
  const setImage = (value: string) => {
    const image = value.trim();
    if (image === '') return set({ image: null, imageText: null }, 'Picture');
    return /^(?:https?:\/\/|\/|\.{0,2}\/)?[^\s"<>]+$/.test(image) &&
      !/^[a-z][a-z0-9+.-]*:(?!\/\/)/i.test(image)
      ? set({ image }, 'Picture')
      : 'A path on the site or an address starting with https://.';
  };
  const toggleBand = (band: string) => {
    const shown = item.bands ?? site.bands.map((entry) => entry.id);
    const next = shown.includes(band)
      ? shown.filter((id) => id !== band)
      : site.bands.map((entry) => entry.id).filter((id) => id === band || shown.includes(id));
    if (next.length > 0) set({ bands: next.length === site.bands.length ? null : next }, 'Widths');
  };
  const alone = (act: () => void) => {
    linksStore.setState({ caret: item.id, selected: new Set([item.id]), anchor: item.id });
    act();
  };
  const isData = item.image?.startsWith('data:') === true;
  return (
    <section
      aria-label={`Details of ${item.label}`}
      className="border-b border-twine bg-cotton py-2 pr-3 text-bench"
      style={{ paddingInlineStart: (depth - 1) * 24 + 24 }}
    >
      {findings.length > 0 && (
        <ul className="mb-2 grid gap-1 pl-22">
          {findings.map((finding) => (
            <li key={finding.check}>
              <FindingLine finding={finding} />
            </li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-2 gap-x-3 gap-y-1.5">
        <Field label="it is">
          <Choice
            label="Role"
            value={item.role ?? 'link'}
            options={(['link', ...ITEM_ROLES] as const).map((role) => ({
              value: role,
              label: ROLE_WORDS[role],
            }))}
            onChange={(role) => {
              set({ role: role === 'link' ? null : (role as ItemRole) }, 'Role');
            }}
          />
        </Field>
        <Group label="shown in">
          <span className="flex flex-wrap gap-1">
            {site.bands.map((band) => (
              <Button
                key={band.id}
                className="!h-6"
                pressed={item.bands === undefined || item.bands.includes(band.id)}
                onClick={() => {
                  toggleBand(band.id);
                }}
              >
                {band.name}
              </Button>
            ))}
          </span>
        </Group>
        <Field label="description" wide>
          <TextField
            aria-label="Description"
            className="w-full"
            value={item.description ?? ''}
            maxLength={500}
            placeholder="a line beneath the label"
            onCommit={text('description', 'Description')}
          />
        </Field>
        <Group label="icon">
          <IconChoice site={site} item={item} />
        </Group>
        <Group label="picture">
          <span className="flex min-w-0 items-center gap-1">
            {isData && item.image !== undefined && (
              <img src={item.image} alt="" className="size-6 shrink-0 rounded-[2px] object-cover" />
            )}
            <TextField
              aria-label="Picture"
              className="w-full"
              value={isData ? '' : (item.image ?? '')}
              placeholder={isData ? 'kept in the site' : '/pictures/ibis.jpg'}
              onCommit={setImage}
            />
            <Button
              className="!h-6"
              onClick={() => {
                file.current?.click();
              }}
            >
              {item.image === undefined ? 'File…' : 'Replace…'}
            </Button>
            {item.image !== undefined && (
              <Button
                className="!h-6"
                aria-label="Take the picture away"
                onClick={() => {
                  set({ image: null, imageText: null }, 'Picture');
                }}
              >
                ×
              </Button>
            )}
            <input
              ref={file}
              type="file"
              accept="image/png,image/jpeg,image/webp,image/gif,image/avif"
              aria-label="Picture file"
              className="sr-only"
              tabIndex={-1}
              onChange={(event) => {
                void takePicture(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
          </span>
        </Group>
        {item.image !== undefined && (
          <Field label="it shows" wide>
            <TextField
              aria-label="What the picture shows"
              className="w-full"
              value={item.imageText ?? ''}
              placeholder="leave empty where it only decorates"
              onCommit={text('imageText', 'Words for the picture')}
            />
          </Field>
        )}
        <Field label="heard as">
          <TextField
            aria-label="Accessible name"
            className="w-full"
            value={item.name ?? ''}
            maxLength={500}
            placeholder="the label"
            onCommit={text('name', 'Accessible name')}
          />
        </Field>
        <Field label="tooltip">
          <TextField
            aria-label="Tooltip"
            className="w-full"
            value={item.title ?? ''}
            maxLength={500}
            onCommit={text('title', 'Tooltip')}
          />
        </Field>
        <Field label="rel">
          <TextField
            aria-label="rel"
            className="w-full"
            value={item.rel ?? ''}
            placeholder="nofollow"
            onCommit={text('rel', 'rel', TOKENS)}
          />
        </Field>
        <Field label="class">
          <TextField
            aria-label="Class"
            className="w-full"
            value={item.className ?? ''}
            placeholder="your own, on the link"
            onCommit={own('className', 'Class')}
          />
        </Field>
        <Field label="data" wide>
          <TextField
            aria-label="Data attributes"
            className="w-full"
            value={item.data ?? ''}
            maxLength={500}
            placeholder={'area=header event="open menu", on the link'}
            onCommit={own('data', 'Data attributes')}
          />
        </Field>
        <span className="col-span-2 flex gap-1 pl-22">
          <Button
            className="!h-6"
            pressed={item.newTab === true}
            onClick={() => {
              set({ newTab: item.newTab ? null : true }, 'New tab');
            }}
          >
            opens a new tab
          </Button>
          <Button
            className="!h-6"
            pressed={item.labelHidden === true}
            onClick={() => {
              set({ labelHidden: item.labelHidden ? null : true }, 'Label');
            }}
          >
            label only heard
          </Button>
          <span className="ml-auto flex gap-1">
            <Button
              className="!h-6"
              onClick={() => {
                alone(actions.duplicate);
              }}
            >
              Duplicate
            </Button>
            <Button
              className="!h-6"
              aria-label={`Remove ${item.label}`}
              onClick={() => {
                alone(actions.remove);
              }}
            >
              Remove
            </Button>
          </span>
        </span>
      </div>
    </section>
  );
}
