import {
  colourOf,
  formatColour,
  formatValue,
  isColourValue,
  parseValue,
  ROLES,
  type Role,
  type Site,
} from '@hamaca/core';
import { TextField } from '../../ui/text-field.tsx';
import { useEdit, useSiteStore } from '../../store/open-site.tsx';
import { ReachButton } from './reaches.tsx';

/** What each role is for. */
const JOBS: Readonly<Record<Role, string>> = {
  ink: 'text and icons',
  paper: 'the ground of bars, boxes and panels',
  accent: 'what stands out: the call to action, the current page',
  'on-accent': 'text upon the accent',
  soft: 'a quiet fill, where one points',
  line: 'thin lines and separators',
};

/** The jobs colours do everywhere, and the swatch that does each. */
export function RolesPane({ site, asked }: { readonly site: Site; readonly asked: string | null }) {
  const edit = useEdit();
  const store = useSiteStore();
  const listId = 'role-colours';
  return (
    <section aria-label="Roles">
      <h2 className="mb-2 font-semibold">Roles</h2>
      <datalist id={listId}>
        {[...site.palette.map((swatch) => swatch.name), ...ROLES].map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <ul className="border-t border-twine">
        {ROLES.map((role) => {
          const value = site.roles[role];
          const read = (text: string) => {
            const parsed = parseValue(site, 'colour', text);
            return parsed.ok && isColourValue(parsed.value)
              ? ({ name: 'set-role', args: { role, value: parsed.value } } as const)
              : parsed;
          };
          return (
            <li
              key={role}
              className={`grid min-h-11 grid-cols-[84px_20px_148px_1fr] items-center gap-2 border-b border-linen py-1 text-bench ${asked === role ? 'bg-ochre-wash' : ''}`}
            >
              <span className="font-semibold">{role}</span>
              <span
                aria-hidden="true"
                className="size-5 rounded-[2px] border border-ink/25"
                style={{ background: formatColour(colourOf(site, value)) }}
              />
              <TextField
                className="w-full"
                list={listId}
                aria-label={`Colour of the role ${role}`}
                value={formatValue(site, value)}
                onTyping={(text) => {
                  const made = text === null ? null : read(text);
                  store.preview(made && 'name' in made ? made : null);
                }}
                onCommit={(text) => {
                  const made = read(text);
                  if (!('name' in made)) return made.ok ? 'A colour is needed here.' : made.error;
                  edit(made, `Role ${role}`);
                  return null;
                }}
              />
              <span className="flex min-w-0 items-center justify-between gap-1">
                <span className="truncate text-small text-ink-faint" title={JOBS[role]}>
                  {JOBS[role]}
                </span>
                <ReachButton site={site} source={{ kind: 'role', role }} label={`the role ${role}`} />
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
