/** Opens the camera that looks away from whoever holds the device. Rejects with a sentence that says why, and what to do `instead` where there is something. */
export async function openCamera(instead = ''): Promise<MediaStream> {
  const or = instead && ` ${instead}`;
  if (!('mediaDevices' in navigator)) throw new Error(`Over plain HTTP a browser opens no camera here.${or}`);
  return navigator.mediaDevices
    .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } })
    .catch((error: unknown) => {
      const denied = error instanceof DOMException && error.name === 'NotAllowedError';
      throw new Error(
        denied
          ? `This browser may not use the camera. Allow it in its settings.${or}`
          : `No camera is found here.${or}`,
      );
    });
}
