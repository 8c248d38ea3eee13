/** A type as it is read: nothing in it is written. Functions and the core's own types stay what they are. */
export type DeepReadonly<T> = T extends (infer Item)[]
  ? readonly DeepReadonly<Item>[]
  : T extends object
    ? { readonly [Key in keyof T]: DeepReadonly<T[Key]> }
    : T;

/** A type as it is sent: what may be undefined may be left out. */
export type Sent<T> = {
  readonly [Key in keyof T as undefined extends T[Key] ? never : Key]: DeepReadonly<T[Key]>;
} & {
  readonly [Key in keyof T as undefined extends T[Key] ? Key : never]?: DeepReadonly<T[Key]>;
};
