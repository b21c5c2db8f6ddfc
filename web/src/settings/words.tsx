import { fail, formatTarget, parseTarget, succeed, type Result, type Site, type Target } from '@hamaca/core';
import { useRef, useState, type ReactNode } from 'react';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/text-field.tsx';
import { notify } from '../store/notices.ts';
import { readSvg } from '../media/read-svg.ts';
import { shrinkPicture } from '../media/shrink-picture.ts';

/** A small name in front of a field. */
export function Field({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-small whitespace-nowrap text-ink-faint">{label}</span>
      {children}
    </label>
  );
}

/** A text that must not be empty, unless it may. */
export function Words({
  label,
  value,
  wide = 'w-36',
  empty = false,
  placeholder,
  hint,
  refuse,
  onCommit,
}: {
  readonly label: string;
  readonly value: string;
  readonly wide?: string;
  readonly empty?: boolean;
  readonly placeholder?: string;
  readonly hint?: string;
  /** Why a text cannot be taken, or null. */
  readonly refuse?: (text: string) => string | null;
  readonly onCommit: (text: string) => void;
}) {
  return (
    <Field label={label}>
      <TextField
        className={wide}
        title={hint}
        value={value}
        aria-label={label}
        {...(placeholder === undefined ? {} : { placeholder })}
        onCommit={(text) => {
          if (text.trim() === '' && !empty) return 'Some text is needed here.';
          const refused = refuse?.(text.trim()) ?? null;
          if (refused !== null) return `This cannot be taken: ${refused}.`;
          onCommit(text.trim());
          return null;
        }}
      />
    </Field>
  );
}

/** Where something leads: a page, a section, an address, a number. */
export function TargetWords({
  site,
  target,
  label = 'target',
  onCommit,
}: {
  readonly site: Site;
  readonly target: Target;
  readonly label?: string;
  readonly onCommit: (target: Target) => void;
}) {
  return (
    <Field label={label}>
      <TextField
        className="w-44"
        value={formatTarget(site, target)}
        placeholder="/path, #section, phone …"
        aria-label={label}
        onCommit={(text) => {
          const parsed = parseTarget(site, text);
          if (!parsed.ok) return `This target is refused: ${parsed.error}.`;
          onCommit(parsed.value);
          return null;
        }}
      />
    </Field>
  );
}

/** A drawing that was cleaned, or a picture made small enough to keep. */
export type Upload = { readonly svg: string } | { readonly image: string };

/** Largest SVG that is read, in kB. */
const MOST_SVG = 200;
/** Longest side of a picture in a logo, an image or a fill, in px: twice what a header shows. */
const LARGE_SIDE = 720;

const isSvg = (file: File) => /\.svg$/i.test(file.name) || file.type === 'image/svg+xml';

async function readUpload(
  file: File,
  wanted: { svg: boolean; picture: boolean },
): Promise<Result<Upload, string>> {
  if (wanted.svg && isSvg(file)) {
    const drawing = await readSvg(file, MOST_SVG);
    return drawing.ok ? succeed({ svg: drawing.value }) : drawing;
  }
  const image = wanted.picture ? await shrinkPicture(file, LARGE_SIDE) : null;
  if (image !== null) return succeed({ image });
  const kinds = [
    ...(wanted.picture ? ['a PNG, JPEG, WebP or AVIF picture'] : []),
    ...(wanted.svg ? [`an SVG of at most ${MOST_SVG} kB`] : []),
  ];
  return fail(`${kinds.join(' or ')} is needed`);
}

/** A button that takes an SVG or a picture; anything else is refused with the reason. */
export function PictureUpload({
  label,
  name,
  svgOnly = false,
  pictureOnly = false,
  onTake,
}: {
  readonly label: string;
  readonly name: string;
  readonly svgOnly?: boolean;
  readonly pictureOnly?: boolean;
  readonly onTake: (upload: Upload) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    setBusy(true);
    const upload = await readUpload(chosen, { svg: !pictureOnly, picture: !svgOnly });
    setBusy(false);
    if (upload.ok) onTake(upload.value);
    else
      notify({ tone: 'error', text: `${chosen.name} cannot be used: ${upload.error}. Nothing was changed.` });
  };
  return (
    <>
      <Button
        className="!h-6"
        disabled={busy}
        onClick={() => {
          file.current?.click();
        }}
      >
        {label}
      </Button>
      <input
        ref={file}
        type="file"
        accept={
          svgOnly
            ? '.svg,image/svg+xml'
            : '.svg,image/svg+xml,image/png,image/jpeg,image/webp,image/avif,image/gif'
        }
        aria-label={name}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
