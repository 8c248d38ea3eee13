import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { NotJpeg, withoutMetadata } from './jpeg.ts';

/** Most pictures of one job. */
const MOST_PICTURES = 200;

/** Keeps a picture of a job. The same one sent twice is kept once; the same id with other bytes is refused. */
export async function keepPicture(
  services: Services,
  person: SignedIn,
  jobId: string,
  id: string,
  base64: string,
): Promise<{ readonly id: string; readonly bytes: number }> {
  const bytes = Buffer.from(jpegOf(base64));
  return services.database.transaction(async (repositories) => {
    await mustFindJob(repositories, jobId);
    const twin = await repositories.pictures.byId(id);
    if (twin) {
      if (twin.jobId !== jobId || !Buffer.from(twin.bytes).equals(bytes))
        throw new AppError('conflict', 'A picture with this id was already taken with other content');
      return { id, bytes: bytes.length };
    }
    if ((await repositories.pictures.countOf(jobId)) >= MOST_PICTURES)
      throw new AppError('badInput', `pictures: this job has ${MOST_PICTURES} already; expected no more`);
    await repositories.pictures.create({ id, jobId, authorId: person.id, bytes, createdAt: services.now() });
    return { id, bytes: bytes.length };
  });
}

/** The bytes of a picture of a job. */
export async function readPicture(services: Services, jobId: string, id: string): Promise<Uint8Array> {
  const picture = await services.database.transaction((repositories) => repositories.pictures.byId(id));
  if (!picture || picture.jobId !== jobId) throw new AppError('notFound', 'This picture is not here');
  return new Uint8Array(picture.bytes);
}

function jpegOf(base64: string): Uint8Array {
  try {
    return withoutMetadata(Buffer.from(base64, 'base64'));
  } catch (error) {
    if (error instanceof NotJpeg) throw new AppError('badInput', `jpeg: ${error.message}`);
    throw error;
  }
}
