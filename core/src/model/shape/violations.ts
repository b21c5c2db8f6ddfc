import { isRecord } from '../../base/json.ts';
import type { Violation } from '../violation.ts';
import type { Field, FieldSpec, Shape } from './field.ts';
import { refuseValue } from './refuse-value.ts';

export type ThingsSpec = Extract<FieldSpec, { kind: 'things' }>;

/** What shapes cannot know of themselves: which kinds there are. */
export interface KindBook {
  /** The shape of one thing of a list, told from its kind; null where there is no such kind. */
  readonly shapeOf: (spec: ThingsSpec, value: Readonly<Record<string, unknown>>) => Shape | null;
  /** The shapes that may stand in a list, by kind. */
  readonly variants: (spec: ThingsSpec) => Readonly<Record<string, Shape>>;
  /** What is wrong with a look of an owner of one kind. */
  readonly lookViolations: (owner: string, look: unknown) => readonly Violation[];
}

const THING_WORDS = { items: 'links', parts: 'parts', sections: 'sections', pieces: 'pieces' } as const;

/** Things that were found to be as their shape says, or looks as their owner's kind does. Things never change in place. */
export type Approved = WeakMap<object, Shape | string>;

/** Walks values along their shapes and gathers what is not allowed. */
class Tester {
  readonly violations: Violation[] = [];
  private readonly path: string[] = [];
  private readonly book: KindBook;
  private readonly approved: Approved | null;

  constructor(book: KindBook, approved: Approved | null) {
    this.book = book;
    this.approved = approved;
  }

  private refuse(allowed: string): void {
    this.violations.push({ path: [...this.path], allowed });
  }

  private within(key: string, look: () => void): void {
    this.path.push(key);
    look();
    this.path.pop();
  }

  /** Tests an object unless it is known to be as `as` says, and remembers it where nothing is wrong. */
  private once(value: unknown, as: Shape | string, test: () => void): void {
    const approved = isRecord(value) ? this.approved : null;
    if (approved?.get(value as object) === as) return;
    const before = this.violations.length;
    test();
    if (this.violations.length === before) approved?.set(value as object, as);
  }

  record(shape: Shape, value: unknown): void {
    if (!isRecord(value)) {
      this.refuse('an object');
      return;
    }
    this.once(value, shape, () => {
      this.fields(shape, value);
    });
  }

  private fields(shape: Shape, value: Readonly<Record<string, unknown>>): void {
    for (const key in shape) {
      const field = shape[key] as Field<unknown>;
      if (!Object.hasOwn(value, key)) {
        if (!field.optional)
          this.within(key, () => {
            this.field(field.spec, undefined);
          });
        continue;
      }
      this.path.push(key);
      this.field(field.spec, value[key]);
      this.path.pop();
    }
    for (const key in value)
      if (!Object.hasOwn(shape, key)) this.refuse(`only the keys ${Object.keys(shape).join(', ')}`);
  }

  field(spec: FieldSpec, value: unknown): void {
    switch (spec.kind) {
      case 'group':
        this.record(spec.of, value);
        return;
      case 'list':
        this.list(value, spec, (entry) => {
          this.field(spec.of, entry);
        });
        return;
      case 'union':
        this.union(spec, value);
        return;
      case 'things':
        this.things(spec, value);
        return;
      case 'look':
        this.once(value, spec.owner, () => {
          this.look(spec.owner, value);
        });
        return;
      default: {
        const allowed = refuseValue(spec, value);
        if (allowed !== null) this.refuse(allowed);
      }
    }
  }

  private look(owner: string, value: unknown): void {
    for (const violation of this.book.lookViolations(owner, value))
      this.violations.push({ path: [...this.path, ...violation.path], allowed: violation.allowed });
  }

  private list(
    value: unknown,
    { min, max }: { min: number; max: number },
    each: (entry: unknown) => void,
  ): void {
    if (!Array.isArray(value) || value.length < min || value.length > max) {
      this.refuse(max === Infinity ? 'a list' : `a list of ${min} to ${max} entries`);
      return;
    }
    for (let index = 0; index < value.length; index++) {
      this.path.push(String(index));
      each(value[index]);
      this.path.pop();
    }
  }

  private union(spec: Extract<FieldSpec, { kind: 'union' }>, value: unknown): void {
    const picked = isRecord(value) ? spec.pick(value) : null;
    const shape = picked !== null && Object.hasOwn(spec.of, picked) ? spec.of[picked] : undefined;
    if (shape) this.record(shape, value);
    else this.refuse(`a ${spec.one} of kind ${Object.keys(spec.of).join(', ')}`);
  }

  private things(spec: ThingsSpec, value: unknown): void {
    this.list(value, spec, (entry) => {
      const shape = isRecord(entry) ? this.book.shapeOf(spec, entry) : null;
      if (shape) this.record(shape, entry);
      else if (isRecord(entry))
        this.refuse(
          `one of the ${THING_WORDS[spec.of]} of kind ${Object.keys(this.book.variants(spec)).join(', ')}`,
        );
      else this.refuse('an object');
    });
  }
}

/** What is wrong with a value as a thing of a shape: the ways to it with what may stand there. */
export function shapeViolations(shape: Shape, value: unknown, book: KindBook): Violation[] {
  const tester = new Tester(book, null);
  tester.record(shape, value);
  return tester.violations;
}

/** What is wrong with a value of one field; what is known to be approved is not looked at again. */
export function fieldViolations(
  field: Field<unknown>,
  value: unknown,
  book: KindBook,
  approved: Approved | null = null,
): Violation[] {
  const tester = new Tester(book, approved);
  tester.field(field.spec, value);
  return tester.violations;
}
