import {
  parameterIds,
  parameters,
  type BoxFile,
  type ParameterId,
} from '../../machines/identification/index.ts';

/** The values of a box file, each in its own unit. */
export const naturalPoint = (box: BoxFile): Readonly<Record<ParameterId, number>> =>
  Object.fromEntries(parameterIds.map((id) => [id, box.parameters[id].value])) as Record<ParameterId, number>;

/** How the parameters err together; each for itself where the file does not say. n × n. */
export function covarianceOf({ covariance, parameters: values }: BoxFile): Float64Array {
  const n = parameters.length;
  const square = new Float64Array(n * n);
  for (const [i, { id, scale, spread }] of parameters.entries()) {
    if (covariance) square.set(covariance[i]!, i * n);
    else {
      const { value, error } = values[id];
      const own = scale === 'factor' ? error / Math.max(Math.abs(value), Number.MIN_VALUE) : error;
      // Fitted as a share, written in watts.
      square[i * n + i] = Math.max(1e-8, (id === 'constantHeat' ? spread : own) ** 2);
    }
  }
  return square;
}
