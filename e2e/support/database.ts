import { MikroORM } from '@mikro-orm/postgresql';

/** A database made for one test and dropped after it; and a way to look into it. */
export async function startedDatabase(
  admin: string,
  name: string,
  /** Another database, which nobody is connected to, to be copied. */
  template?: string,
): Promise<{ readonly url: string; drop(): Promise<void> }> {
  await query(admin, `create database "${name}"${template === undefined ? '' : ` template "${template}"`}`);
  const url = new URL(admin);
  url.pathname = `/${name}`;
  return {
    url: url.href,
    drop: async () => void (await query(admin, `drop database if exists "${name}" with (force)`)),
  };
}

/** Runs one statement and returns its rows. */
export async function query(url: string, sql: string): Promise<readonly Readonly<Record<string, unknown>>[]> {
  const orm = await MikroORM.init({
    clientUrl: url,
    entities: [],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
  });
  try {
    return await orm.em.getConnection().execute(sql);
  } finally {
    await orm.close(true);
  }
}
