import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A picture as it was sent: a small JPEG without anything but the picture. */
export const pictureEntity = defineEntity({
  name: 'Picture',
  tableName: 'picture',
  properties: {
    id: p.uuid().primary(),
    jobId: p.uuid(),
    authorId: p.uuid(),
    bytes: p.blob(),
    createdAt: p.datetime(),
  },
});

export type StoredPicture = InferEntity<typeof pictureEntity>;
