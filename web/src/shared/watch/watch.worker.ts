import {
  lampIn,
  notWatching,
  watch,
  whyNotRead,
  withLamp,
  withoutLamp,
  type Watching,
} from '@brine/core/watching/course';
import { heightOf, projection, type Pose } from '@brine/core/watching/display';
import { lightsOf } from '@brine/core/watching/light';
import { WATCHED_WIDTH, type WatchAnswer, type WatchRequest } from './watchMessages.ts';

/** Digits lower than this, in points, are too far away to be sure of. */
const FAR = 22;

/** Watches a display on the device, picture by picture; no picture leaves the worker. */
let watching: Watching = notWatching;

self.addEventListener('message', ({ data: request }: MessageEvent<WatchRequest>) => {
  switch (request.kind) {
    case 'lamp':
      watching = withLamp(watching, request.id, request.x, request.y, request.at);
      return;
    case 'noLamp':
      watching = withoutLamp(watching, request.id);
      return;
    case 'picture':
      self.postMessage(answer(request));
  }
});

function answer(picture: Extract<WatchRequest, { kind: 'picture' }>): WatchAnswer {
  const step = watch(watching, lightsOf(picture, WATCHED_WIDTH), picture.at);
  watching = step.watching;
  const { pose, lamps } = watching;
  const why = step.text === null ? whyNotRead(watching) : null;
  return {
    at: picture.at,
    text: step.text,
    why: why && why !== 'dark' && pose && heightOf(pose) < FAR ? 'far' : why,
    changed: step.changed,
    lamps: step.lamps,
    corners: pose ? frameOf(pose) : null,
    lampsAt: pose
      ? lamps.map(({ position }) => {
          const [x, y] = lampIn(position, pose);
          return { id: position.id, x, y };
        })
      : [],
  };
}

/** How far the frame that is drawn lies outside of the middle of the segments, in heights and in distances of digits. */
const OUTSIDE = { down: 0.2, along: 0.2 } as const;

function frameOf(pose: Pose): readonly number[] {
  const to = projection(pose);
  const { along, down } = OUTSIDE;
  const right = pose.digits - 1 + pose.width + along;
  return [to(-along, -down), to(right, -down), to(right, 1 + down), to(-along, 1 + down)].flat();
}
