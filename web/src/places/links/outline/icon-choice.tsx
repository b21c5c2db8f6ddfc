import { findIcon, type MenuItem, type Site } from '@hamaca/core';
import { linkIconTone } from '../../../media/icon-tone.ts';
import { IconPicker } from '../../../ui/icon-picker.tsx';
import { useEdit } from '../../../store/open-site.tsx';

/** The icon of a link. */
export function IconChoice({ site, item }: { readonly site: Site; readonly item: MenuItem }) {
  const edit = useEdit();
  return (
    <IconPicker
      site={site}
      tone={linkIconTone(site, item)}
      current={item.icon === undefined ? null : findIcon(site, item.icon)}
      onChoose={(icon) => {
        edit(
          {
            name: 'set-item',
            args: { id: item.id, fields: { icon: icon?.id ?? null }, icons: icon ? [icon] : [] },
          },
          `Icon of “${item.label}”`,
        );
      }}
    />
  );
}
