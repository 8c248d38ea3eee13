import type { Light } from './light.ts';

/** Each point as light as it is on any of some pictures of one size; at least one. */
export function brightestOf(lights: readonly Light[]): Light {
  const [first, ...others] = lights;
  const most = (of: (light: Light) => Float32Array): Float32Array => {
    const data = of(first!).slice();
    for (const other of others) {
      const more = of(other);
      for (let i = 0; i < data.length; i += 1) if (more[i]! > data[i]!) data[i] = more[i]!;
    }
    return data;
  };
  const strongest = most((light) => light.strongest);
  return {
    ...first!,
    strongest,
    data: first!.data === first!.strongest ? strongest : most((light) => light.data),
  };
}
